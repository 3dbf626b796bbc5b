import type { Clock } from '@/core/base/units/instants'
import type { DocumentEdit } from '@/core/record/edits/inRound'
import type { PartChange } from '@/core/record/job/assemble'
import { headOf } from '@/core/record/job/assemble'
import type { JobDocument } from '@/core/record/job/job'
import { placeText } from '@/core/record/records/places'
import { headSchema } from '@/core/record/records/head'
import { type KindName, LISTS, type RecordData } from '@/core/record/records/kinds'
import { applyPatches, diffData, isSame, type Patch } from '@/core/record/records/patches'
import type { OrzoDatabase } from './database'
import { changeDocument } from './records'

type Data = Readonly<Record<string, unknown>>

/** What one change did to one record: places there and back, or the whole record made or taken away. */
type RecordStep = { readonly kind: KindName; readonly id: string } & (
  | { readonly type: 'patched'; readonly patches: readonly Patch[] }
  | { readonly type: 'made' | 'removed'; readonly data: Data }
)
type Step = { readonly records: readonly RecordStep[]; readonly at: number }
type Steps = { readonly done: readonly Step[]; readonly undone: readonly Step[] }

export type Undoable = { readonly undo: boolean; readonly redo: boolean }

const MOST_STEPS = 200
/** Changes of the same place within this are one step: a word typed, not its letters, ms. */
const ONE_STEP = 1500
const EMPTY: Steps = { done: [], undone: [] }
const NOTHING: Undoable = { undo: false, redo: false }

const steps = new Map<string, Steps>()
const states = new Map<string, Undoable>()
const listeners = new Set<() => void>()

function put(jobId: string, next: Steps) {
  steps.set(jobId, next)
  const before = undoable(jobId)
  const now = { undo: next.done.length > 0, redo: next.undone.length > 0 }
  if (now.undo === before.undo && now.redo === before.redo) return
  states.set(jobId, now)
  listeners.forEach((listener) => listener())
}

/** What can be undone and redone on a job in this tab; the same object until it changes. */
export const undoable = (jobId: string): Undoable => states.get(jobId) ?? NOTHING

/** Calls back whenever `undoable` of any job changes. */
export function watchUndo(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

function recordStepOf({ kind, id, before, after }: PartChange): RecordStep {
  if (before === undefined) return { kind, id, type: 'made', data: after as Data }
  if (after === undefined) return { kind, id, type: 'removed', data: before as Data }
  return { kind, id, type: 'patched', patches: diffData(before, after) }
}

const fieldsOf = (value: unknown): Data =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Data) : {}

/** A place, and of a quantity which of its fields: a doubt is another change than the number. */
function placeOf({ path, old, new: now }: Patch): string {
  const [before, after] = [fieldsOf(old), fieldsOf(now)]
  const fields = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => key !== 'at' && !isSame(before[key], after[key]),
  )
  return [path.join('.'), ...fields].join(' ')
}

/** Whether a change put something into a list or took it out: that is a thing of its own, never a word that is typed. */
const isOfList = ({ old, new: now }: Patch) => Array.isArray(old) || Array.isArray(now)

/** The places of a step, but for the times that go along with every change. */
const places = ({ records }: Step) =>
  records
    .flatMap((record) =>
      record.type === 'patched'
        ? record.patches.map((patch) => `${record.kind}/${record.id}/${placeOf(patch)}`)
        : [`${record.kind}/${record.id}/${record.type}`],
    )
    .filter((place) => !place.endsWith('.at'))
    .sort()
    .join(' ')

/** Two quick changes of the same places as one: from what stood before the first to what the second left. */
function joined(first: Step, second: Step): Step {
  const records = second.records.map((record, i): RecordStep => {
    const before = first.records[i]
    if (record.type !== 'patched' || before?.type !== 'patched') return record
    return {
      ...record,
      patches: record.patches.map((patch) => {
        const was = before.patches.find(({ path }) => isSame(path, patch.path))
        return was ? { ...patch, old: was.old, ...madeFrom(was) } : patch
      }),
    }
  })
  return { records, at: second.at }
}
const madeFrom = ({ madeFrom: from }: Patch) => (from === undefined ? {} : { madeFrom: from })

/** Remembers a change that was stored. */
export function recordStep(jobId: string, changes: readonly PartChange[], now: number): void {
  if (changes.length === 0) return
  const step: Step = { records: changes.map(recordStepOf), at: now }
  const { done } = steps.get(jobId) ?? EMPTY
  const last = done.at(-1)
  const isWord =
    last !== undefined &&
    now - last.at < ONE_STEP &&
    step.records.every((record) => record.type === 'patched' && !record.patches.some(isOfList)) &&
    places(last) === places(step)
  const kept = isWord ? [...done.slice(0, -1), joined(last, step)] : [...done, step]
  put(jobId, { done: kept.slice(-MOST_STEPS), undone: [] })
}

const HEAD_KEYS = Object.keys(headSchema.shape) as (keyof RecordData['head'])[]

function dataOf(job: JobDocument, kind: KindName, id: string): Data | undefined {
  if (kind === 'head') return headOf(job) as Data
  const { list, idOf } = LISTS[kind]
  return (job[list] as readonly Data[]).find((each) => (idOf as (data: unknown) => string)(each) === id)
}

/** A job with one record put in, changed or taken away; a record that comes back has kept its order. */
function withData(job: JobDocument, kind: KindName, id: string, data: Data | undefined): JobDocument {
  if (kind === 'head') {
    const rest = Object.fromEntries(
      Object.entries(job).filter(([key]) => !(HEAD_KEYS as readonly string[]).includes(key)),
    )
    return { ...rest, ...data } as JobDocument
  }
  const { list, idOf } = LISTS[kind]
  const all = job[list] as readonly Data[]
  const isIt = (each: Data) => (idOf as (data: unknown) => string)(each) === id
  const next =
    data === undefined
      ? all.filter((each) => !isIt(each))
      : all.some(isIt)
        ? all.map((each) => (isIt(each) ? data : each))
        : [...all, data]
  return { ...job, [list]: next }
}

type Moved = { readonly job: JobDocument; readonly done?: RecordStep; readonly kept: readonly string[] }

function moveRecord(job: JobDocument, step: RecordStep, way: 'back' | 'forth'): Moved {
  const { kind, id } = step
  const now = dataOf(job, kind, id)
  const told = (path: readonly string[] = []) => [placeText(kind, path)]
  if (step.type === 'patched') {
    if (!now) return { job, kept: step.patches.flatMap(({ path }) => told(path)) }
    const { data, done, kept } = applyPatches(now, step.patches, way)
    const names = kept.filter(({ path }) => path.at(-1) !== 'at').flatMap(({ path }) => told(path))
    if (done.length === 0) return { job, kept: names }
    return { job: withData(job, kind, id, data), done: { ...step, patches: done }, kept: names }
  }
  const appears = (step.type === 'made') === (way === 'forth')
  if (appears)
    return now ? { job, kept: told() } : { job: withData(job, kind, id, step.data), done: step, kept: [] }
  // what somebody else wrote into it since would go with it
  return now && isSame(now, step.data)
    ? { job: withData(job, kind, id, undefined), done: step, kept: [] }
    : { job, kept: now ? told() : [] }
}

/** Places that were left as they are because another window changed them since, in words; empty where all went back. */
export type Kept = readonly string[]

async function move(db: OrzoDatabase, jobId: string, from: 'done' | 'undone', clock: Clock): Promise<Kept> {
  const here = steps.get(jobId) ?? EMPTY
  const step = here[from].at(-1)
  if (!step) return []
  const way = from === 'done' ? 'back' : 'forth'
  let kept: string[] = []
  let done: RecordStep[] = []
  const edit: DocumentEdit = (job) => {
    kept = []
    done = []
    const order = way === 'back' ? [...step.records].reverse() : step.records
    return order.reduce((current, record) => {
      const moved = moveRecord(current, record, way)
      kept.push(...moved.kept)
      if (moved.done) done.push(moved.done)
      return moved.job
    }, job)
  }
  await changeDocument(db, jobId, edit, clock)
  const rest = here[from].slice(0, -1)
  const took: Step = { records: way === 'back' ? [...done].reverse() : done, at: 0 }
  const other = done.length > 0 ? [took] : []
  put(
    jobId,
    from === 'done'
      ? { done: rest, undone: [...here.undone, ...other] }
      : { done: [...here.done, ...other], undone: rest },
  )
  return [...new Set(kept)]
}

/** Takes the last change back. @returns what was kept because it was changed elsewhere since */
export const undo = (db: OrzoDatabase, jobId: string, clock: Clock): Promise<Kept> =>
  move(db, jobId, 'done', clock)

/** Makes the change again that was taken back last. @returns what was kept because it was changed elsewhere since */
export const redo = (db: OrzoDatabase, jobId: string, clock: Clock): Promise<Kept> =>
  move(db, jobId, 'undone', clock)
