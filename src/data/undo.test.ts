import 'fake-indexeddb/auto'
import { OrzoDatabase } from './database'
import { addJob, blankJob, changeJob, getJob } from './jobs'
import { recordStep, redo, undo, undoable, watchUndo } from './undo'

const NOW = '2026-05-04T09:00:00.000Z'
let db: OrzoDatabase
let jobId: string
let clock: number

beforeEach(async () => {
  db = new OrzoDatabase(`undo-${Math.random()}`)
  jobId = (await addJob(db, blankJob(NOW))).id
  clock = 0
})

async function title(text: string, after = 10_000) {
  clock += after
  const { before, after: stored } = await changeJob(
    db,
    jobId,
    (job) => ({ ...job, title: text || undefined }),
    NOW,
  )
  recordStep(jobId, before, stored, clock)
}
const titleNow = async () => (await getJob(db, jobId))?.title

test('each change goes back and comes again, in order', async () => {
  await title('roof')
  await title('cellar')
  expect(undoable(jobId)).toEqual({ undo: true, redo: false })
  await undo(db, jobId, NOW)
  expect(await titleNow()).toBe('roof')
  await undo(db, jobId, NOW)
  expect(await titleNow()).toBeUndefined()
  expect(undoable(jobId)).toEqual({ undo: false, redo: true })
  await redo(db, jobId, NOW)
  await redo(db, jobId, NOW)
  expect(await titleNow()).toBe('cellar')
})

test('a word typed at once is one step; a new change forgets what was undone', async () => {
  for (const text of ['r', 'ro', 'roo', 'roof']) await title(text, 200)
  await undo(db, jobId, NOW)
  expect(await titleNow()).toBeUndefined()
  await title('cellar')
  expect(undoable(jobId)).toEqual({ undo: true, redo: false })
})

test('only the place that was changed goes back: what another window wrote elsewhere stays', async () => {
  await title('roof')
  await changeJob(db, jobId, (job) => ({ ...job, arrival: { complaint: 'hot' } }), NOW)
  await undo(db, jobId, NOW)
  expect(await getJob(db, jobId)).toMatchObject({ arrival: { complaint: 'hot' } })
  expect(await titleNow()).toBeUndefined()
})

test('a place that another window removed is told, and nothing changes', async () => {
  clock += 10_000
  const set = { mode: 'cooling' as const, label: 'one', readings: {} }
  await changeJob(db, jobId, (job) => ({ ...job, readingSets: [set] }), NOW)
  const { before, after } = await changeJob(
    db,
    jobId,
    (job) => ({ ...job, readingSets: [{ ...set, label: 'two' }] }),
    NOW,
  )
  recordStep(jobId, before, after, clock)
  await changeJob(db, jobId, (job) => ({ ...job, readingSets: [] }), NOW)
  await expect(undo(db, jobId, NOW)).rejects.toThrow(/another window/)
  expect((await getJob(db, jobId))?.readingSets).toEqual([])
})

test('listeners hear of it, and a change of nothing is no step', async () => {
  const heard = jest.fn()
  const stop = watchUndo(heard)
  await title('')
  expect(heard).not.toHaveBeenCalled()
  await title('roof')
  expect(heard).toHaveBeenCalledTimes(1)
  stop()
})
