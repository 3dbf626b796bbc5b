import { LIST_LIMITS } from '@/core/record/job/listLimits'
import type { JobDocument, StoredDocument } from '@/core/record/job/job'
import { jobSize, LARGEST_JOB } from '@/core/record/job/jobSize'
import { LARGEST_JOB_TEXT, readJobText, writeJobText } from '@/core/record/job/readJob'
import { mostSamples } from '@/core/record/logs/samples'
import { LIST_KINDS, type ListKind, LISTS } from '@/core/record/records/kinds'
import type { LogHead } from '@/core/record/records/log'
import { SAMPLE_DRYER } from '@/core/record/records/sampleDryer'
import { documentOf } from '@/core/record/job/rounds'
import { readWholeJob } from './archive'
import { OrzoDatabase } from './database'
import { importJob } from './importing'
import { addJob, blankJob } from './jobs'
import { LogWriter, storeLog } from './logs'
import { changeDocument, getDocument } from './records'

const NOW = '2026-05-04T09:30:00.000Z'
const CLOCK = { now: () => Date.parse(NOW), zone: () => 'UTC' }
const LOG = (id: string): LogHead => ({
  id,
  name: 'Pull-down',
  startedAt: NOW,
  source: 'instruments',
  channels: [{ key: 'suctionPressure', unit: 'psig' }],
})

/** One record of each kind, by a number of its own. */
const MADE: { readonly [K in ListKind]: (i: number) => unknown } = {
  set: (i) => ({ id: `set-${i}`, mode: 'cooling', readings: {} }),
  decision: (i) => ({ id: `fault-${i}`, state: 'draft' }),
  tick: (i) => ({ key: `part:${i}` }),
  log: (i) => LOG(`log-${i}`),
  attachment: (i) => ({ id: `photo-${i}`, name: 'Plate', type: 'image/jpeg', size: 5 }),
  dryer: (i) => ({ ...SAMPLE_DRYER, id: `own-${i}` }),
  step: (i) => ({ id: `step-${i}`, task: 'own', spans: [] }),
  takenOff: (i) => ({ id: `off-${i}`, what: 'own-cover', label: 'cover' }),
  round: (i) => ({ id: `round-${i}`, why: 'found' }),
  closing: (i) => ({ round: `round-${i}` }),
  repair: (i) => ({ round: `round-${i}` }),
  day: (i) => ({ round: `round-${i}` }),
  run: (i) => ({ round: `round-${i}` }),
}

let db: OrzoDatabase
let count = 0
beforeEach(() => {
  count += 1
  db = new OrzoDatabase(`limits-${count}`)
})
afterEach(() => db.delete())

/** A job with so many records of a kind. */
function full(kind: ListKind, most: number): StoredDocument {
  const records = Array.from({ length: most }, (_v, i) => MADE[kind](i))
  const job = {
    ...documentOf(blankJob(NOW)),
    readingSets: [],
    [LISTS[kind].list]: records,
  } as unknown as StoredDocument
  const reading = readJobText(writeJobText(job))
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return { ...job, ...reading.job } as StoredDocument
}

let newest = 1000
const withOneMore = (kind: ListKind) => (document: JobDocument) => {
  const { list } = LISTS[kind]
  return { ...document, [list]: [...document[list], MADE[kind]((newest += 1))] }
}
const withOneLess = (kind: ListKind) => (document: JobDocument) => {
  const { list } = LISTS[kind]
  return { ...document, [list]: document[list].slice(1) }
}

test.each(LIST_KINDS)(
  'as many records of kind %s as a file holds are taken, given out and taken back; one more is refused at entry',
  async (kind) => {
    const { most, name } = LIST_LIMITS[kind]
    const { id } = await importJob(db, full(kind, most - 1), NOW)
    await changeDocument(db, id, withOneMore(kind), CLOCK)
    await expect(changeDocument(db, id, withOneMore(kind), CLOCK)).rejects.toThrow(`has ${most} ${name}`)
    const { job, envelopes } = (await readWholeJob(db, id))!
    expect(job[LISTS[kind].list]).toHaveLength(most)
    expect(readJobText(writeJobText(job, envelopes))).toMatchObject({ ok: true })
    await changeDocument(db, id, withOneLess(kind), CLOCK)
    await changeDocument(db, id, withOneMore(kind), CLOCK)
    expect((await getDocument(db, id))![LISTS[kind].list]).toHaveLength(most)
  },
)

test('a file with one more than it holds is refused with its list', () => {
  expect(() => full('attachment', 201)).toThrow(/attachments.*holds more than 200 photos/)
})

/** Looks of a log, as many as it holds. */
const typedLog = (id: string) => ({
  ...LOG(id),
  source: 'hand' as const,
  looks: Array.from({ length: 2000 }, (_l, i) => ({ id: `look-${i}`, seconds: i, values: [118.25] })),
})

test('a job grows as far as its own file is read back, no further; it may shrink', async () => {
  const { id } = await addJob(db, blankJob(NOW))
  const add = (i: number) =>
    changeDocument(
      db,
      id,
      (document) => ({ ...document, logs: [...document.logs, typedLog(`log-${i}`)] }),
      CLOCK,
    )
  let logs = 0
  await expect(
    (async () => {
      for (; logs < 200; logs += 1) await add(logs)
    })(),
  ).rejects.toThrow(/as large as its file can be/)
  const { job, envelopes } = (await readWholeJob(db, id))!
  expect(job.logs).toHaveLength(logs)
  const text = writeJobText(job, envelopes)
  expect(Buffer.byteLength(text)).toBeLessThan(LARGEST_JOB_TEXT)
  expect(readJobText(text).ok).toBe(true)
  expect(jobSize(job)).toBeGreaterThan(0.9 * LARGEST_JOB)
  await changeDocument(db, id, (document) => ({ ...document, logs: document.logs.slice(1) }), CLOCK)
  expect((await getDocument(db, id))!.logs).toHaveLength(logs - 1)
})

test('the size of a job is never less than its file, whatever its signs, its ids and its devices', async () => {
  const long = (i: number) => `${'é'.repeat(110)}-${i}`
  const attachments = Array.from(
    { length: 200 },
    (_p, i) => ({ id: long(i), name: 'é’’Ω', type: 'image/jpeg', size: 5 }) as const,
  )
  const envelope = { order: 99_999, rev: 999_999, clock: 9_999_999, device: 'd'.repeat(120), at: NOW }
  const envelopes = Object.fromEntries(attachments.map(({ id }) => [`attachment/${id}`, envelope]))
  const read = { ...full('set', 50), title: 'é’’Ω'.repeat(400), attachments }
  const { id } = await importJob(db, read, NOW, undefined, envelopes)
  const whole = (await readWholeJob(db, id))!
  expect(whole.envelopes[`attachment/${long(7)}`]?.device).toHaveLength(120)
  const text = writeJobText(whole.job, whole.envelopes)
  expect(jobSize(whole.job)).toBeGreaterThanOrEqual(Buffer.byteLength(text))
  expect(jobSize(whole.job)).toBeLessThan(1.2 * Buffer.byteLength(text))
})

test('a log takes as many samples as its table gives back', async () => {
  expect([mostSamples(1), mostSamples(19), mostSamples(20), mostSamples(39)]).toEqual([
    1_000_000, 1_000_000, 952_380, 500_000,
  ])
  const { id } = await addJob(db, blankJob(NOW))
  const most = mostSamples(1)
  const samples = { time: new Float64Array(most + 1), values: [new Float64Array(most + 1)] }
  await expect(storeLog(db, id, LOG('long'), samples, CLOCK)).rejects.toThrow(/no more samples/)
  expect((await getDocument(db, id))!.logs).toEqual([])
})

test('a log that is recorded takes no more when it is full', async () => {
  const { id } = await addJob(db, blankJob(NOW))
  const channels = Array.from({ length: 39 }, () => ({ key: 'suctionPressure', unit: 'psig' }) as const)
  const writer = await LogWriter.begin(db, id, { ...LOG('long'), channels }, CLOCK)
  const values = new Array<number>(39).fill(1)
  for (let i = 0; i < mostSamples(39); i += 1) writer.append(i, values)
  expect(writer.isFull).toBe(true)
  expect(() => writer.append(1e6, values)).toThrow(/no more samples/)
}, 120_000)

test('a list inside of a record has its limit at entry too, told in a sentence', async () => {
  const { id } = await addJob(db, blankJob(NOW))
  const full = typedLog('log-1')
  const withLooks = (looks: typeof full.looks) => (document: JobDocument) => ({
    ...document,
    logs: [{ ...full, looks }],
  })
  await changeDocument(db, id, withLooks(full.looks), CLOCK)
  const oneMore = [...full.looks, { id: 'look-2000', seconds: 2000, values: [1] }]
  await expect(changeDocument(db, id, withLooks(oneMore), CLOCK)).rejects.toThrow(
    'looks holds more than 2,000 entries',
  )
})

test('a figure that cannot be is refused at entry as in a file', async () => {
  const { id } = await addJob(db, blankJob(NOW))
  const withCharge = (value: number) => (document: JobDocument) => ({
    ...document,
    unit: { ...document.unit, factoryCharge: { value, unit: 'lb' as const } },
  })
  await changeDocument(db, id, withCharge(10_000), CLOCK)
  await expect(changeDocument(db, id, withCharge(10_001), CLOCK)).rejects.toThrow(
    /unit\.factoryCharge\.value is 10,001 lb, which cannot be/,
  )
})
