import 'fake-indexeddb/auto'
import { setArrival, setTitle } from '@/core/record/edits/headEdits'
import { tick } from '@/core/record/edits/listEdits'
import { putReading } from '@/core/record/edits/readingEdits'
import { addSet, removeSet, setLabel } from '@/core/record/edits/setEdits'
import { recordKey } from '@/core/record/records/envelope'
import { OrzoDatabase } from './database'
import { addJob, blankJob, listJobs, removeJob } from './jobs'
import { changeJob, getJob, loadJob } from './records'

const NOW = '2026-05-04T09:00:00.000Z'
const clock = { now: () => Date.parse(NOW), zone: () => 'UTC' }
let one: OrzoDatabase
let two: OrzoDatabase
let jobId: string

beforeEach(async () => {
  one = new OrzoDatabase(`records-${Math.random()}`)
  two = new OrzoDatabase(one.name)
  jobId = (await addJob(one, blankJob(NOW))).id
})
afterEach(() => {
  one.close()
  two.close()
})

const rawRecords = (db: OrzoDatabase, id: string) => db.records.where('jobId').equals(id).toArray()

/** Rows that a change wrote, by the store they went into. */
async function written(work: () => Promise<unknown>): Promise<string[]> {
  const rows: string[] = []
  const hear = (store: string) => (key: unknown) => void rows.push(`${store} ${String(key)}`)
  one.records.hook('creating', (key) => hear('records')(key))
  one.records.hook('updating', (_changes, key) => void hear('records')(key))
  one.jobIndex.hook('updating', (_changes, key) => void hear('jobIndex')(key))
  await work()
  return rows
}

test('one edit in a job of many sets writes its record and one row of the index', async () => {
  for (let i = 0; i < 20; i++) await changeJob(one, jobId, addSet(`set-${i}`), clock)
  const rows = await written(() =>
    changeJob(one, jobId, putReading('set-7', 'suctionPressure', { value: 118, unit: 'psig' }), clock),
  )
  expect(rows.sort()).toEqual([`jobIndex ${jobId}`, `records ${recordKey(jobId, 'set', 'set-7')}`])
})

test('two windows see each other; what did not change stays the same object', async () => {
  await changeJob(one, jobId, addSet('b'), clock)
  const before = (await getJob(two, jobId))!
  await changeJob(one, jobId, setLabel('b', 'warm'), clock)
  const after = (await getJob(two, jobId))!
  expect(after.readingSets.map(({ label }) => label)).toEqual(['as found', 'warm'])
  expect(after.readingSets[0]).toBe(before.readingSets[0])
  expect(after.unit).toBe(before.unit)
  await Promise.all([
    changeJob(one, jobId, setTitle('a title'), clock),
    changeJob(two, jobId, setArrival({ complaint: 'warm' }), clock),
  ])
  expect(await getJob(one, jobId)).toMatchObject({ title: 'a title', arrival: { complaint: 'warm' } })
  expect(await getJob(two, jobId)).toEqual(await getJob(one, jobId))
})

test('a removed record stays as a mark and is gone from the job in every window', async () => {
  await changeJob(one, jobId, addSet('b'), clock)
  await getJob(two, jobId)
  await changeJob(one, jobId, removeSet('b'), clock)
  expect((await getJob(two, jobId))!.readingSets.map(({ id }) => id)).not.toContain('b')
  const mark = (await rawRecords(one, jobId)).find(({ id }) => id === 'b')
  expect(mark).toMatchObject({ deleted: 1, rev: 2, device: expect.any(String) })
})

test('a record that cannot be read is told, left as stored, and the rest of the job opens', async () => {
  await changeJob(one, jobId, addSet('b'), clock)
  const key = recordKey(jobId, 'set', 'b')
  await one.records.update(key, { version: 9 })
  const other = recordKey(jobId, 'photo-of-tomorrow', 'x')
  const row = (await one.records.get(key))!
  await one.records.put({ ...row, key: other, kind: 'photo-of-tomorrow', id: 'x' })
  const { job, problems } = await loadJob(two, jobId)
  expect(job!.readingSets).toHaveLength(1)
  expect(problems.map(({ key: of }) => of).sort()).toEqual([other, key].sort())
  expect(problems.find((each) => each.key === key)!.problems[0]!.message).toMatch(
    /newer than this Orzo reads/,
  )
  expect(await one.records.get(key)).toMatchObject({ version: 9 })
})

test('a job of the same id that comes after a removed one is not mixed with it', async () => {
  const job = (await getJob(one, jobId))!
  await changeJob(one, jobId, tick('task:setUp', true), clock)
  await getJob(two, jobId)
  await removeJob(one, jobId)
  expect(await rawRecords(one, jobId)).toEqual([])
  await addJob(one, { ...job, title: 'anew' })
  expect(await getJob(two, jobId)).toMatchObject({ title: 'anew', ticks: [] })
})

test('the list follows each change: title, progress, last changed first', async () => {
  await changeJob(one, jobId, setTitle('dome'), { ...clock, now: () => Date.parse(NOW) + 1000 })
  await changeJob(one, jobId, setArrival({ complaint: 'warm' }), clock)
  expect(await listJobs(two)).toMatchObject([
    { id: jobId, progress: 'measure', clock: 3, summary: { title: 'dome', complaint: 'warm' } },
  ])
})
