import { addLog } from '@/core/record/edits/listEdits'
import { addLook } from '@/core/record/edits/lookEdits'
import { runs, seedOf } from '../../tools/run/propertyRuns'
import 'fake-indexeddb/auto'
import fc from 'fast-check'
import type { Edit } from '@/core/record/edits/edit'
import { setArrival, setPlate, setPlatePart, setTitle } from '@/core/record/edits/headEdits'
import { setClosing, tick } from '@/core/record/edits/listEdits'
import { markDoubtful, observe, putReading } from '@/core/record/edits/readingEdits'
import { addSet, removeSet, setLabel } from '@/core/record/edits/setEdits'
import { decide, setOverride, takeBack } from '@/core/record/edits/decisionEdits'
import type { StoredJob } from '@/core/record/job/job'
import { OrzoDatabase } from './database'
import { addJob, blankJob } from './jobs'
import { changeJob, getJob } from './records'
import { recordStep, redo, undo, undoable, watchUndo } from './undo'

const NOW = '2026-05-04T09:00:00.000Z'
const clock = { now: () => Date.parse(NOW), zone: () => 'UTC' }
let db: OrzoDatabase
let jobId: string
let time: number

beforeEach(async () => {
  db = new OrzoDatabase(`undo-${Math.random()}`)
  jobId = (await addJob(db, blankJob(NOW))).id
  time = 0
})

/** An edit of this window: it can be undone here. */
async function here(edit: Edit, after = 10_000) {
  time += after
  const { changes } = await changeJob(db, jobId, edit, clock)
  recordStep(jobId, changes, time)
}
/** An edit of another window. */
const there = (edit: Edit) => changeJob(db, jobId, edit, clock)
const now = async () => (await getJob(db, jobId)) as StoredJob
const titleNow = async () => (await now()).title

test('each change is taken back and comes again, in order', async () => {
  await here(setTitle('roof'))
  await here(setTitle('cellar'))
  expect(undoable(jobId)).toEqual({ undo: true, redo: false })
  await undo(db, jobId, clock)
  expect(await titleNow()).toBe('roof')
  await undo(db, jobId, clock)
  expect(await titleNow()).toBeUndefined()
  expect(undoable(jobId)).toEqual({ undo: false, redo: true })
  await redo(db, jobId, clock)
  await redo(db, jobId, clock)
  expect(await titleNow()).toBe('cellar')
})

test('a word typed at once is one step; a new change forgets what was undone', async () => {
  for (const text of ['r', 'ro', 'roo', 'roof']) await here(setTitle(text), 200)
  await undo(db, jobId, clock)
  expect(await titleNow()).toBeUndefined()
  await here(setTitle('cellar'))
  expect(undoable(jobId)).toEqual({ undo: true, redo: false })
})

test('a doubt right after the number is a step of its own', async () => {
  await here(putReading(undefined, 'suctionPressure', { value: 118, unit: 'psig' }))
  await here(putReading(undefined, 'suctionPressure', { value: 120, unit: 'psig' }), 100)
  await here(markDoubtful(undefined, 'suctionPressure', true), 100)
  await undo(db, jobId, clock)
  const stored = async () => (await now()).readingSets[0]?.readings.suctionPressure
  expect(await stored()).toMatchObject({ value: 120 })
  expect((await stored())?.doubtful).toBeUndefined()
  await undo(db, jobId, clock)
  expect(await stored()).toMatchObject({ value: 118 })
})

test('only the place that was changed is taken back: what another window wrote elsewhere stays', async () => {
  await here(setTitle('roof'))
  await there(setArrival({ complaint: 'hot' }))
  expect(await undo(db, jobId, clock)).toEqual([])
  expect(await now()).toMatchObject({ arrival: { complaint: 'hot' } })
  expect(await titleNow()).toBeUndefined()
})

test('a place that another window changed since is told and kept', async () => {
  await here(setTitle('roof'))
  await there(setTitle('dome'))
  expect(await undo(db, jobId, clock)).toEqual(['title'])
  expect(await titleNow()).toBe('dome')
  // the step is gone, not stuck
  expect(undoable(jobId)).toEqual({ undo: false, redo: false })
})

test('two looks that are typed quickly one after the other are two steps', async () => {
  const log = {
    id: 'log-1',
    name: 'Decay test',
    startedAt: '2026-11-27T09:00:00Z',
    source: 'hand' as const,
    channels: [{ key: 'systemVacuum' as const, unit: 'micron' as const }],
    looks: [],
  }
  await here(addLog(log))
  await here(addLook('log-1', [321]))
  await here(addLook('log-1', [491]))
  await undo(db, jobId, clock)
  expect((await now()).logs[0]!.looks!.map(({ values }) => values)).toEqual([[321]])
})

test('half of a reading never is taken back alone: value and unit are one place', async () => {
  await here(putReading(undefined, 'suctionPressure', { value: 118, unit: 'psig' }))
  await here(putReading(undefined, 'suctionPressure', { value: 800, unit: 'kPag' }))
  await there(putReading(undefined, 'suctionPressure', { value: 810, unit: 'kPag' }))
  expect(await undo(db, jobId, clock)).toEqual(['suction pressure'])
  expect((await now()).readingSets[0]!.readings.suctionPressure).toMatchObject({ value: 810, unit: 'kPag' })
})

test('a set that another window wrote into is not taken away with the edit that made it', async () => {
  await here(addSet('second'))
  await there(setLabel('second', 'warmed up'))
  expect(await undo(db, jobId, clock)).toEqual(['reading set'])
  expect((await now()).readingSets.map(({ label }) => label)).toContain('warmed up')
})

test('a removed set comes back to its place; one that is back already is told', async () => {
  for (const id of ['b', 'c']) await there(addSet(id))
  const order = (await now()).readingSets.map(({ id }) => id)
  await here(removeSet('b'))
  await undo(db, jobId, clock)
  expect((await now()).readingSets.map(({ id }) => id)).toEqual(order)
})

test('a change in a set that another window removed is told; the removed set stays away', async () => {
  await there(addSet('b'))
  await here(setLabel('b', 'mine'))
  await there(removeSet('b'))
  expect(await undo(db, jobId, clock)).toEqual(['label'])
  expect((await now()).readingSets.map(({ id }) => id)).not.toContain('b')
})

test('listeners hear of it, and a change of nothing is no step', async () => {
  const heard = jest.fn()
  const stop = watchUndo(heard)
  await here(setTitle(''))
  expect(heard).not.toHaveBeenCalled()
  await here(setTitle('roof'))
  expect(heard).toHaveBeenCalledTimes(1)
  stop()
})

/** Edits of every kind; each writes a value that no other edit writes. */
const EDITS: readonly ((n: number) => Edit)[] = [
  (n) => setTitle(`title ${n}`),
  (n) => setArrival({ complaint: `complaint ${n}` }),
  (n) => setPlate({ name: `unit ${n}` }),
  (n) => setPlatePart('power', { rla: n + 1 }),
  (n) => setPlatePart('site', { name: `site ${n}` }),
  (n) => setClosing({ note: `note ${n}` }),
  (n) => tick(`task:${n}`, true),
  (n) => setOverride('undercharge', `reason ${n}`),
  () => decide('contactor-failed', undefined),
  () => takeBack('contactor-failed'),
  (n) => putReading(undefined, 'suctionPressure', { value: n, unit: 'psig' }),
  (n) => putReading(undefined, 'liquidPressure', { value: n, unit: 'psig' }),
  () => observe(undefined, 'oilStain', 'joint'),
  (n) => setLabel(undefined, `label ${n}`),
  (n) => addSet(`set ${n}`),
]
const edits = fc.array(fc.nat(EDITS.length - 1), { minLength: 1, maxLength: 12 })
/** The other window writes where this one does, elsewhere, and takes sets away. */
const OTHERS: readonly ((n: number) => Edit)[] = [
  ...EDITS.slice(0, 8),
  ...EDITS.slice(10),
  () => (job, stamp) => {
    const last = job.readingSets.at(-1)
    return last ? removeSet(last.id)(job, stamp) : job
  },
]

const content = ({ updatedAt: _at, ...job }: StoredJob) => job

test('undo of everything gives the start; redo of everything the end (100 draws)', async () => {
  await fc.assert(
    fc.asyncProperty(edits, async (mine) => {
      jobId = (await addJob(db, blankJob(NOW))).id
      const start = content(await now())
      for (const [n, which] of mine.entries()) await here(EDITS[which]!(n + 1))
      const end = content(await now())
      while (undoable(jobId).undo) expect(await undo(db, jobId, clock)).toEqual([])
      expect(content(await now())).toEqual(start)
      while (undoable(jobId).redo) await redo(db, jobId, clock)
      expect(content(await now())).toEqual(end)
    }),
    { numRuns: runs(40, 400), seed: seedOf(10) },
  )
}, 60_000)

/** Every value that stands somewhere in a job, with its place. */
function places(value: unknown, path = ''): Map<string, unknown> {
  if (typeof value !== 'object' || value === null || ('value' in value && 'unit' in value))
    return new Map([[path, value]])
  const all = new Map<string, unknown>()
  for (const [key, each] of Object.entries(value)) {
    const name = Array.isArray(value)
      ? ((each as { id?: string; key?: string }).id ?? (each as { key?: string }).key ?? key)
      : key
    for (const [place, found] of places(each, `${path}/${name}`)) all.set(place, found)
  }
  return all
}

test('with another page between: its edits are kept, whatever is undone (100 draws)', async () => {
  await fc.assert(
    fc.asyncProperty(
      edits,
      fc.array(fc.tuple(fc.nat(11), fc.nat(OTHERS.length - 1)), { maxLength: 8 }),
      async (mine, others) => {
        jobId = (await addJob(db, blankJob(NOW))).id
        const theirs = new Map<string, unknown>()
        for (const [n, which] of mine.entries()) {
          await here(EDITS[which]!(n + 1))
          for (const [, other] of others.filter(([at]) => at === n)) {
            const before = places(content(await now()))
            await there(OTHERS[other]!(100 + n * 20 + other))
            const after = places(content(await now()))
            for (const place of new Set([...before.keys(), ...after.keys()])) {
              if (JSON.stringify(before.get(place)) !== JSON.stringify(after.get(place)))
                theirs.set(place, after.get(place))
            }
          }
          // what this page wrote over itself afterwards is this page's
          const stands = places(content(await now()))
          for (const [place, value] of theirs)
            if (JSON.stringify(stands.get(place)) !== JSON.stringify(value)) theirs.delete(place)
        }
        while (undoable(jobId).undo) await undo(db, jobId, clock)
        const end = places(content(await now()))
        for (const [place, value] of theirs) {
          if (value !== undefined && !place.endsWith('/at'))
            expect([place, end.get(place)]).toEqual([place, value])
        }
      },
    ),
    { numRuns: runs(40, 400), seed: seedOf(20) },
  )
}, 60_000)
