import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import fixture from './fixtures/version1.json'
import { readJobValue } from '@/core/record/job/readJob'
import { isByPosition } from '@/core/record/records/tick'
import { setTitle } from '@/core/record/edits/headEdits'
import { OrzoDatabase } from './database'
import { listJobs } from './jobs'
import { sweepOldJobs } from './legacy'
import { changeJob, getDocument, getJob } from './records'
import { readSettings } from './settings'
import { displayUnits } from '@/core/record/settings/displayUnits'

const NOW = '2026-05-05T09:00:00.000Z'
type Row = (typeof fixture.jobs)[number]
let name: string

/** A database as the code of version 1 left it. */
async function oldDatabase(rows: readonly unknown[] = fixture.jobs): Promise<void> {
  const old = new Dexie(name)
  old.version(1).stores({ jobs: '&id, updatedAt, demo', settings: '&key' })
  await old.table('jobs').bulkAdd(rows as Row[])
  await old.table('settings').bulkAdd(fixture.settings)
  old.close()
}

beforeEach(() => {
  name = `legacy-${Math.random()}`
})

/** What a row's document is in the present version. */
const wanted = ({ id, job }: Row) => {
  const reading = readJobValue(job)
  if (!reading.ok) throw new Error(`${id} cannot be read`)
  return { ...reading.job, id }
}

test('every stored job of version 1 opens, equal in every field; settings too', async () => {
  await oldDatabase()
  const db = new OrzoDatabase(name)
  expect(await sweepOldJobs(db, NOW)).toEqual({ copied: fixture.jobs.length, aside: 0 })
  for (const row of fixture.jobs) expect(await getDocument(db, row.id)).toEqual(wanted(row))
  expect(await db.jobs.count()).toBe(0)
  expect((await listJobs(db)).map(({ updatedAt }) => updatedAt)).toEqual(
    fixture.jobs
      .map(({ updatedAt }) => updatedAt)
      .sort()
      .reverse(),
  )
  const settings = await readSettings(db)
  expect(displayUnits(settings)).toMatchObject({ temperature: 'C', chosen: { pressure: 'barg' } })
  expect(settings).toMatchObject({ theme: 'cellar', screenOn: true, demoOffered: true })
  // nothing is left to do, and nothing comes twice
  expect(await sweepOldJobs(db, NOW)).toEqual({ copied: 0, aside: 0 })
  expect(await listJobs(db)).toHaveLength(fixture.jobs.length)
})

test('the one decision becomes the first of many, ticks go by what they tick, the stage is computed', async () => {
  await oldDatabase()
  const db = new OrzoDatabase(name)
  await sweepOldJobs(db, NOW)
  expect((await getJob(db, 'demo-control-room'))!.decisions).toEqual([
    {
      id: 'txv-underfeeding',
      state: 'decided',
      fault: 'txv-underfeeding',
      at: '2026-05-04T06:05:00-04:00',
      override: 'Power head cut through',
    },
  ])
  // what was written before anything was decided stays as a draft
  expect((await getJob(db, 'demo-lodge'))!.decisions).toEqual([
    {
      id: 'unnamed',
      state: 'draft',
      override: 'Valve body is cracked',
      causes: ['moisture'],
      causesChecked: 'oil looked at',
    },
  ])
  const { ticks } = (await getJob(db, 'demo-exhibit-hall'))!
  expect(ticks.map(({ key }) => key)).toEqual([
    'position:part-2',
    'task:setUp',
    'task:recover',
    'leave:dryer-connections-and-room-on-both-sides',
  ])
  expect(ticks.filter(isByPosition)).toHaveLength(1)
  expect((await listJobs(db)).find(({ id }) => id === 'demo-exhibit-hall')?.progress).toBe('close')
})

test('a copy that is interrupted anywhere goes on at the next opening', async () => {
  await oldDatabase()
  for (let done = 0; done < fixture.jobs.length; done++) {
    const db = new OrzoDatabase(name)
    await db.open()
    const swept = sweepOldJobs(db, NOW).catch(() => undefined)
    // one job more than at the time before, then the page goes away
    while ((await db.jobs.count().catch(() => 0)) > fixture.jobs.length - done - 1)
      await new Promise((next) => setTimeout(next))
    db.close()
    await swept
  }
  const db = new OrzoDatabase(name)
  await sweepOldJobs(db, NOW)
  for (const row of fixture.jobs) expect(await getDocument(db, row.id)).toEqual(wanted(row))
  expect(await listJobs(db)).toHaveLength(fixture.jobs.length)
})

test('a row that cannot be read is kept aside as it is, with the reason; the others are copied', async () => {
  const [first, ...rest] = fixture.jobs as unknown as readonly [Row, ...Row[]]
  const broken = { ...first, job: { ...first.job, unit: { kind: 'no-kind' } } }
  await oldDatabase([broken, ...rest])
  const db = new OrzoDatabase(name)
  expect(await sweepOldJobs(db, NOW)).toEqual({ copied: rest.length, aside: 1 })
  expect(await db.aside.toArray()).toEqual([
    { id: first.id, at: NOW, reason: expect.stringMatching(/unit\.kind/), row: broken },
  ])
})

test('what an old window writes late is swept beside the job that went on, once', async () => {
  await oldDatabase()
  const db = new OrzoDatabase(name)
  await sweepOldJobs(db, NOW)
  const [row] = fixture.jobs as unknown as readonly [Row, ...Row[]]
  const late = { ...row, job: { ...row.job, title: 'written late' } }
  await db.jobs.put(late as never)
  expect(await sweepOldJobs(db, NOW)).toEqual({ copied: 1, aside: 0 })
  expect(await getDocument(db, row.id)).toEqual(wanted(row))
  expect((await getJob(db, `${row.id}-late-1`))?.title).toBe('written late')
  // the same state again adds nothing
  await db.jobs.bulkPut([late, row] as never[])
  await sweepOldJobs(db, NOW)
  expect(await listJobs(db)).toHaveLength(fixture.jobs.length + 1)
  // what was edited since in the late copy is not written over by a later state
  await changeJob(db, `${row.id}-late-1`, setTitle('went on'), {
    now: () => Date.parse(NOW),
    zone: () => 'UTC',
  })
  await db.jobs.put(late as never)
  await sweepOldJobs(db, NOW)
  expect((await getJob(db, `${row.id}-late-1`))?.title).toBe('went on')
  expect((await getJob(db, `${row.id}-late-2`))?.title).toBe('written late')
})

test('two windows that copy at once lose nothing: the one that comes second leaves what the first went on with', async () => {
  await oldDatabase()
  const [one, two] = [new OrzoDatabase(name), new OrzoDatabase(name)]
  const clock = { now: () => Date.parse(NOW), zone: () => 'UTC' }
  const edited = sweepOldJobs(one, NOW).then(() => changeJob(one, 'demo-lodge', setTitle('went on'), clock))
  // the second has read its row when the first copies it and its user goes on
  const get = two.jobs.get.bind(two.jobs) as (id: string) => Promise<unknown>
  let read = 0
  jest.spyOn(two.jobs, 'get').mockImplementation((async (id: string) => {
    const row = await get(id)
    if (id === 'demo-lodge' && (read += 1) === 1) await edited
    return row
  }) as never)
  await sweepOldJobs(two, NOW)
  expect(await listJobs(two)).toHaveLength(fixture.jobs.length)
  expect((await getJob(two, 'demo-lodge'))?.title).toBe('went on')
})
