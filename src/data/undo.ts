import { applyPatch, createPatch, type Operation } from 'rfc6902'
import type { Job } from '@/core/record/job/job'
import type { OrzoDatabase } from './database'
import { changeJob } from './jobs'

/** One change of a job, there and back (JSON Patch, RFC 6902). */
type Step = { readonly back: readonly Operation[]; readonly forth: readonly Operation[]; readonly at: number }
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
  states.set(jobId, { undo: next.done.length > 0, redo: next.undone.length > 0 })
  listeners.forEach((listener) => listener())
}

/** What can be undone and redone on a job in this tab; the same object until it changes. */
export const undoable = (jobId: string): Undoable => states.get(jobId) ?? NOTHING

/** Calls back whenever `undoable` of any job changes. */
export function watchUndo(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

const places = (operations: readonly Operation[]) =>
  operations
    .map(({ path }) => path)
    .filter((path) => !path.endsWith('/at'))
    .sort()
    .join(' ')

/** The document without the time of its last change, which is no change by itself. */
const content = (job: Job): Job => ({ ...job, updatedAt: undefined })

/** Remembers a change that was stored. */
export function recordStep(jobId: string, before: Job, after: Job, now: number): void {
  const [from, to] = [content(before), content(after)]
  const forth = createPatch(from, to)
  if (forth.length === 0) return
  const { done } = steps.get(jobId) ?? EMPTY
  const step: Step = { forth, back: createPatch(to, from), at: now }
  const last = done.at(-1)
  const sameWord = last && now - last.at < ONE_STEP && places(last.forth) === places(forth)
  const kept = sameWord ? [...done.slice(0, -1), { ...step, back: last.back }] : [...done, step]
  put(jobId, { done: kept.slice(-MOST_STEPS), undone: [] })
}

function patched(job: Job, operations: readonly Operation[]): Job {
  const copy = structuredClone(job)
  const failed = applyPatch(copy, structuredClone([...operations])).find((error) => error !== null)
  if (failed) throw new Error('this place was changed in another window since; change it by hand.')
  return copy
}

async function move(db: OrzoDatabase, jobId: string, from: 'done' | 'undone', now: string): Promise<void> {
  const here = steps.get(jobId) ?? EMPTY
  const step = here[from].at(-1)
  if (!step) return
  const operations = from === 'done' ? step.back : step.forth
  await changeJob(db, jobId, (job) => patched(job, operations), now)
  const rest = here[from].slice(0, -1)
  put(
    jobId,
    from === 'done'
      ? { done: rest, undone: [...here.undone, step] }
      : { done: [...here.done, step], undone: rest },
  )
}

/** Takes the last change back. @throws Error when the same place was changed elsewhere since */
export const undo = (db: OrzoDatabase, jobId: string, now: string): Promise<void> =>
  move(db, jobId, 'done', now)

/** Makes the change again that was taken back last. @throws Error when the same place was changed elsewhere since */
export const redo = (db: OrzoDatabase, jobId: string, now: string): Promise<void> =>
  move(db, jobId, 'undone', now)
