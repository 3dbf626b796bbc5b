import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { createAnswerer } from '@/core/answer/answer'
import { readArchive } from '@/core/record/archive/backup'
import { setTitle } from '@/core/record/edits/headEdits'
import { addTaken, beginStep, markTaken } from '@/core/record/edits/workEdits'
import type { JobDocument, StoredDocument } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import { progressOf, stageStates } from '@/core/record/job/stages'
import { readJobText, readJobValue, writeJobText } from '@/core/record/job/readJob'
import { documentOf, viewOf } from '@/core/record/job/rounds'
import type { StoredRecord } from '@/core/record/records/envelope'
import { readRecord } from '@/core/record/job/assemble'
import { KIND_NAMES, type KindName, LISTS, type ListKind, RECORD_KINDS } from '@/core/record/records/kinds'
import { unitState } from '@/core/record/state/unitState'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { workBegan } from '@/core/repair/plan/workBegan'
import { holdingNow } from '@/core/repair/work/holdingNow'
import { effectsOf, SWEEPS, type TaskId } from '@/core/repair/plan/tasks/tasks'
import type { WorkGate } from '@/core/repair/work/gates'
import { runSheet } from '@/core/repair/work/runSheet'
import { takenOffList } from '@/core/repair/work/takenOff'
import { readWholeJob } from './archive'
import { type JobIndexRow, OrzoDatabase } from './database'
import fixture from './fixtures/version2.json'
import { importJob } from './importing'
import { changeJob, getDocument } from './records'
import { undo } from './undo'

/** Rows, files and a backup as the build before rounds wrote them, and what that build made of them. */
const IDS = Object.keys(fixture.files) as (keyof typeof fixture.files)[]
const LATER = '2026-06-01T08:00:00.000Z'
const CLOCK = { now: () => Date.parse(LATER), zone: () => 'UTC' }
const READ_AT = Date.parse('2026-05-04T20:00:00.000Z')
let count = 0
const databases: OrzoDatabase[] = []
const fresh = () => {
  count += 1
  const db = new OrzoDatabase(`version2-${count}`)
  databases.push(db)
  return db
}
afterAll(() => Promise.all(databases.map((db) => db.delete())))

async function oldStore(): Promise<OrzoDatabase> {
  const db = fresh()
  await db.records.bulkAdd(fixture.records as StoredRecord[])
  await db.jobIndex.bulkAdd(fixture.jobIndex as JobIndexRow[])
  return db
}

/** The samples of a job's logs, from the backup of that build: what it said of them is judged from them anew. */
function backupLogs(id: string): LogSamples {
  for (const { reading, logs } of readArchive(
    new Uint8Array(readFileSync(path.resolve('src/data/fixtures/version2-backup.zip'))),
  ))
    if (reading.ok && reading.job.id === id) return logs
  return {}
}

/** That build believed what was said of a log of no samples; this one shuts the gate and says so. */
function asThen(gate: WorkGate): WorkGate {
  const isOfNothing =
    gate.missing.length > 0 && gate.missing.every((each) => each.endsWith('no samples to it'))
  return isOfNothing ? { ...gate, isOpen: true, missing: [] } : gate
}

/** Gates that came later. */
const GATES_SINCE: readonly string[] = ['not-approved', 'over-weight', 'too-few-pulls', 'one-mode']

/** Gates that came later: the owner's answer, what is over by weight, refrigerant before a sweep. */
const isOfThen = (task: TaskId, { id }: WorkGate) =>
  !GATES_SINCE.includes(id) && !(id === 'not-recovered' && SWEEPS.includes(task))

/** The list of the first start holds since then what the job has, with the figures of its plate: how many points are open is its own. */
const pointsOf = (id: string, missing: readonly string[]) =>
  id === 'not-listed' && missing.length > 0 ? ['points of the list'] : missing

/** The same facts that the build before rounds wrote down of a job. */
function meaningOf(document: StoredDocument, samples: LogSamples) {
  const job = knownJob(viewOf(document))
  const { unit } = job
  const answer = createAnswerer().whole({ job, samples })
  const { plan, vetoes } = answer
  const state = unitState(job, effectsOf)
  const holding = holdingNow({ unit, vetoes, state, plan, began: workBegan(job) })
  const sheet = runSheet({ job, tasks: plan.tasks, state, holding, verdicts: answer.verdicts }, READ_AT)
  const tasks = plan.tasks.map(({ id }) => id)
  return {
    progress: progressOf(job),
    // since then measuring is done with what the kind needs, not with a first reading
    stages: (JSON.parse(JSON.stringify(stageStates(job))) as { stage: string }[]).filter(
      ({ stage }) => stage !== 'measure',
    ),
    faults: answer.faults,
    vetoes: plan.holding,
    class: plan.contamination.class,
    path: plan.refrigerantPath.path,
    // the figure is the same; since then it says how it is known
    charge: plan.charge?.guess.value,
    leader: answer.ranking.suspects[0]!.fault,
    tasks,
    steps: sheet.steps.map(({ task, state: at, hands, gates }) => ({
      id: task.id,
      state: at,
      hands,
      gates: gates
        .filter((gate) => isOfThen(task.id, gate))
        .map(asThen)
        .map(({ id, isOpen, missing, override }) => ({
          id,
          isOpen,
          missing: pointsOf(id, missing),
          ...(override === undefined ? {} : { override }),
        })),
    })),
    unplanned: sheet.unplanned.length,
    off: takenOffList({ job, state, tasks }).map(({ what, label, state: at }) => ({
      id: what,
      label,
      state: at,
    })),
  }
}

/**
 * Steps that a plan has since then, or has no more: what a swap takes off goes back on, what is written while it settles, no oil is drained
 * from a new compressor, a job from which no oil comes tests a drop, boxes are opened before anything is cut.
 */
const SINCE: readonly string[] = ['checkBoxes', 'closeCover', 'writeUp', 'testOil', 'testDrop', 'changeOil']
/** Charges, kg, since an old dryer that nobody wrote down adds nothing by a guess. */
const CHARGE_SINCE: { readonly [id: string]: number } = { 'demo-dome': 4.4443763189462535 }
/** 3 F of superheat where 14 F is right, and frost back to the compressor, are no longer called sound. */
const LEADER_SINCE: { readonly [id: string]: string } = { 'demo-gatehouse': 'overcharge' }

describe.each(IDS)('%s', (id) => {
  const old = fixture.means[id]
  test('stored rows open and mean the same', async () => {
    const db = await oldStore()
    const now = meaningOf((await getDocument(db, id))!, backupLogs(id))
    const without = <T>(list: readonly T[], name: (each: T) => string) =>
      list.filter((each) => !SINCE.includes(name(each)))
    expect({
      ...now,
      tasks: without(now.tasks, (each) => each),
      steps: without(now.steps, (each) => each.id),
    }).toEqual({
      progress: old.progress,
      stages: (old.stages as { stage: string }[]).filter(({ stage }) => stage !== 'measure'),
      faults: old.faults,
      vetoes: old.vetoes,
      class: old.class,
      path: old.path,
      charge: CHARGE_SINCE[id] ?? ('charge' in old ? old.charge : undefined),
      leader: LEADER_SINCE[id] ?? old.leader,
      tasks: without(old.tasks as string[], (each) => each),
      steps: without(
        old.sheet as {
          id: string
          state: string
          hands: number
          gates: { id: string; missing: string[] }[]
        }[],
        (each) => each.id,
      ).map(({ id: task, state, hands, gates }) => ({
        id: task,
        state,
        hands,
        gates: gates.map((gate) => ({ ...gate, missing: pointsOf(gate.id, gate.missing) })),
      })),
      unplanned: 0,
      off: old.off,
    })
  })
  test('its file of version 2 says what the rows say', async () => {
    const db = await oldStore()
    const reading = readJobText(JSON.stringify(fixture.files[id]))
    expect(reading).toEqual({ ok: true, job: await getDocument(db, id) })
  })
  test('as version 3 it comes back exactly, envelopes and marks too', async () => {
    const db = await oldStore()
    const { job, envelopes } = (await readWholeJob(db, id))!
    const text = writeJobText(job, envelopes)
    const reading = readJobText(text)
    if (!reading.ok) throw new Error(JSON.stringify(reading))
    const other = fresh()
    await importJob(other, reading.job, LATER, undefined, reading.envelopes)
    const again = (await readWholeJob(other, id))!
    expect(writeJobText(again.job, again.envelopes)).toBe(text)
  })
})

test('the backup opens, job by job the same', async () => {
  const bytes = new Uint8Array(readFileSync(path.resolve('src/data/fixtures/version2-backup.zip')))
  const db = await oldStore()
  const reading = readArchive(bytes)
  const seen: string[] = []
  for (let step = reading.next(); !step.done; step = reading.next()) {
    const { value } = step
    if (!value.reading.ok) throw new Error(value.path)
    const { job } = value.reading
    seen.push(job.id!)
    expect(job).toEqual(await getDocument(db, job.id!))
    expect(Object.keys(value.logs).sort()).toEqual(job.logs.map(({ id }) => id).sort())
  }
  expect(seen.sort()).toEqual([...IDS].sort())
})

test('every kind that was stored then is there, and its first edit keeps its row', async () => {
  const db = await oldStore()
  const kinds = new Set(fixture.records.map(({ kind }) => kind))
  // own dryers and photos stand beside: their kinds did not change
  const then = 'closing day decision head log repair run set step takenOff tick'
  expect([...kinds].sort().join(' ')).toBe(then)
  expect(KIND_NAMES).toEqual(expect.arrayContaining([...kinds]))
  const before = await db.records.where('jobId').equals('own-vacuum').count()
  const edits = [
    setTitle('again'),
    beginStep('evacuate', 8),
    markTaken({ what: 'valve-cores', label: 'Valve cores' }, 'back'),
  ]
  for (const edit of edits) await changeJob(db, 'own-vacuum', edit, CLOCK)
  expect(await db.records.where('jobId').equals('own-vacuum').count()).toBe(before)
  await changeJob(db, 'own-vacuum', addTaken('Hatch'), CLOCK)
  await undo(db, 'own-vacuum', CLOCK)
  const { job } = (await readWholeJob(db, 'own-vacuum'))!
  expect(readJobValue(job)).toEqual({ ok: true, job })
  expect(documentOf(viewOf(job))).toEqual(job satisfies JobDocument)
})

describe.each([...new Set(fixture.records.map(({ kind }) => kind))])('records of kind %s', (kind) => {
  const rows = fixture.records.filter((row) => row.kind === kind) as StoredRecord[]
  test('each old row becomes what is stored now, under the id that it has', () => {
    for (const row of rows) {
      const read = readRecord(row)
      if (!('row' in read)) throw new Error(JSON.stringify(read))
      expect(RECORD_KINDS[kind as KindName].schema.safeParse(read.data).success).toBe(true)
      if (!Object.hasOwn(LISTS, kind)) continue
      const idOf = LISTS[kind as ListKind].idOf as (data: unknown) => string
      expect(idOf(read.data)).toBe(row.id)
    }
  })
  test('what is stored now is read without a change', () => {
    for (const row of rows) {
      const read = readRecord(row)
      if (!('row' in read)) throw new Error(row.key)
      const again = readRecord({ ...row, version: RECORD_KINDS[kind as KindName].version, data: read.data })
      expect('row' in again && again.data).toEqual(read.data)
    }
  })
})
