import { backupJob, packBackup } from '@/core/record/archive/backup'
import { jobMembers, readArchivedJob } from '@/core/record/archive/jobArchive'
import { openZip, packZip } from '@/core/record/archive/zip'
import { replaceReading } from '@/core/record/edits/readingEdits'
import type { StoredJob } from '@/core/record/job/job'
import type { Samples } from '@/core/record/logs/samples'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { LogHead } from '@/core/record/records/log'
import { readBeside, readWholeJob } from '@/data/archive'
import { OrzoDatabase } from '@/data/database'
import { importJob } from '@/data/importing'
import { addJob, blankJob, listJobs } from '@/data/jobs'
import { LogWriter, storeLog } from '@/data/logs'
import { changeJob, getJob } from '@/data/records'
import { meter } from './meter'

const NOW = '2026-05-04T09:30:00.000Z'
const CLOCK = { now: () => Date.parse(NOW), zone: () => 'UTC' }

export const SETS = 100
export const SAMPLES = 100_000
const PROBED = 1000
const EDITS = 60
const JOBS = 200
/** Between the first and the last appends samples go in by as many as this at a time. */
const STRIDE = 500

const KEYS = [
  'suctionPressure',
  'liquidPressure',
  'suctionLineTemp',
  'liquidLineTemp',
  'dischargeLineTemp',
  'outdoorAirTemp',
  'returnAirTemp',
  'supplyAirTemp',
  'dryerInTemp',
  'dryerOutTemp',
  'compressorAmps',
  'voltageL1L2',
] as const
const unitOf = (key: string) =>
  key.includes('Pressure') ? 'psig' : key.includes('Temp') ? 'F' : key.includes('Amps') ? 'A' : 'V'

const CHANNELS = KEYS.map((key) => ({ key, unit: unitOf(key) })) as LogHead['channels']
const HEAD: LogHead = { id: 'log', name: 'Bench', startedAt: NOW, source: 'instruments', channels: CHANNELS }

const setOf = (i: number): ReadingSet & { id: string } => ({
  id: `set-${i}`,
  at: NOW,
  label: `set ${i}`,
  mode: 'cooling',
  readings: Object.fromEntries(
    KEYS.map((key, k) => [
      key,
      { value: 60 + ((i * 7 + k * 13) % 200), unit: unitOf(key), at: NOW, source: 'typed' },
    ]),
  ) as ReadingSet['readings'],
})

/** A job of many sets. */
export const bigJob = (id: string, sets: number): StoredJob => ({
  ...blankJob(NOW),
  id,
  title: `Bench ${id}`,
  readingSets: Array.from({ length: sets }, (_set, i) => setOf(i)),
})

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN
const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0)
const round = (value: number, digits = 3) => Number(value.toPrecision(digits))

async function timed<T>(work: () => Promise<T> | T): Promise<{ ms: number; result: T }> {
  const start = performance.now()
  const result = await work()
  return { ms: performance.now() - start, result }
}

let names = 0
const fresh = () => new OrzoDatabase(`bench-${(names += 1)}-${Math.floor(performance.timeOrigin)}`)

async function edits() {
  const db = fresh()
  const written = meter(db)
  await addJob(db, bigJob('big', SETS))
  await getJob(db, 'big')
  const times: number[] = []
  Object.assign(written, { rows: 0, bytes: 0 })
  for (let i = 0; i < EDITS; i += 1) {
    const edit = replaceReading('set-50', 'suctionPressure', { value: 100 + i, unit: 'psig' })
    times.push((await timed(() => changeJob(db, 'big', edit, CLOCK))).ms)
  }
  await db.delete()
  return {
    rows: written.rows / EDITS,
    bytes: Math.round(written.bytes / EDITS),
    medianMs: round(median(times)),
  }
}

const valuesAt = (i: number) => KEYS.map((_key, k) => 60 + 20 * Math.sin(i / (50 + k)))

/** Appends samples, each stored on its own. @returns ms of each */
async function probe(writer: LogWriter, from: number, count: number): Promise<number[]> {
  const times: number[] = []
  for (let i = from; i < from + count; i += 1) {
    const { ms } = await timed(() => {
      writer.append(i, valuesAt(i))
      return writer.flush()
    })
    times.push(ms)
  }
  return times
}

async function appends() {
  const db = fresh()
  const written = meter(db)
  await addJob(db, bigJob('log', 1))
  // one that is not counted, so that the first is as warm as the last
  await probe(await LogWriter.begin(db, 'log', { ...HEAD, id: 'warm' }, CLOCK), 0, PROBED)
  const writer = await LogWriter.begin(db, 'log', HEAD, CLOCK)
  const first = await probe(writer, 0, PROBED)
  for (let i = PROBED; i < SAMPLES - PROBED; i += 1) {
    writer.append(i, valuesAt(i))
    if (i % STRIDE === 0) await writer.flush()
  }
  await writer.flush()
  Object.assign(written, { rows: 0, bytes: 0 })
  const last = await probe(writer, SAMPLES - PROBED, PROBED)
  const each = { rows: written.rows / PROBED, bytes: Math.round(written.bytes / PROBED) }
  await writer.end(CLOCK)
  await db.delete()
  return {
    samples: SAMPLES,
    channels: KEYS.length,
    first: { totalMs: Math.round(sum(first)), medianMs: round(median(first)) },
    last: { totalMs: Math.round(sum(last)), medianMs: round(median(last)), ...each },
    lastByFirst: { total: round(sum(last) / sum(first)), median: round(median(last) / median(first)) },
  }
}

const samples = (): Samples => ({
  time: Float64Array.from({ length: SAMPLES }, (_s, i) => i),
  values: KEYS.map((_key, k) =>
    Float64Array.from({ length: SAMPLES }, (_s, i) => 60 + ((i * (k + 3)) % 997) / 10),
  ),
})

async function whole() {
  const db = fresh()
  await addJob(db, bigJob('big', SETS))
  await storeLog(db, 'big', HEAD, samples(), CLOCK)
  const again = new OrzoDatabase(db.name)
  const open = await timed(() => getJob(again, 'big'))
  const read = await timed(() => readWholeJob(again, 'big'))
  const { job, files } = read.result!
  const pack = await timed(() => packZip(jobMembers(job, files), CLOCK.now()))
  const backup = await timed(async () =>
    packBackup(backupJob({ job, files }, 0), await readBeside(again, NOW), CLOCK.now()),
  )
  const other = fresh()
  const unpack = await timed(() => {
    const byPath = new Map(openZip(pack.result).entries.map((entry) => [entry.path, entry]))
    return readArchivedJob(byPath.get('job.orzo.json')!, byPath)
  })
  const stored = await timed(() => importJob(other, job, NOW, unpack.result))
  for (const each of [again, db, other]) await each.delete()
  return {
    openMs: round(open.ms),
    exportMs: { read: round(read.ms), pack: round(pack.ms), zipBytes: pack.result.length },
    backupMs: round(backup.ms),
    importMs: { unpack: round(unpack.ms), store: round(stored.ms) },
  }
}

async function lists() {
  const db = fresh()
  for (let i = 0; i < JOBS; i += 1) await addJob(db, bigJob(`job-${i}`, 5))
  const times: number[] = []
  for (let i = 0; i < 20; i += 1) times.push((await timed(() => listJobs(db))).ms)
  await db.delete()
  return { jobs: JOBS, medianMs: round(median(times)) }
}

/** Everything that is measured, in order. */
export async function runData() {
  return { oneEdit: await edits(), log: await appends(), wholeJob: await whole(), list: await lists() }
}
