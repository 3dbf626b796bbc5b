import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { OrzoError } from '@/core/base/errors/orzoError'
import { seededRandom } from '@/core/base/numeric/random'
import { backupJob, packBackup } from '@/core/record/archive/backup'
import type { ArchivedJob } from '@/core/record/archive/jobArchive'
import { packZip } from '@/core/record/archive/zip'
import { jobMembers } from '@/core/record/archive/jobArchive'
import type { JobDocument, StoredDocument } from '@/core/record/job/job'
import { readJobText, writeJobText } from '@/core/record/job/readJob'
import { readLogCsv, writeLogCsv } from '@/core/record/logs/logCsv'
import { isSame } from '@/core/record/records/patches'
import { readWholeJob } from '@/data/archive'
import { OrzoDatabase } from '@/data/database'
import { importJob } from '@/data/importing'
import { answerText } from '@/server/answerText'
import { filesHandlers } from '@/workers/filesHandlers'
import { mutate } from './mutate'

/** Seeds of `npm test`; `npm run soak` goes on from there. */
const COUNT = process.env.SOAK ? 10_000 : 300
/** Longest time of one file in a soak, ms. */
const LONGEST = 2000
const NOW = '2026-05-04T09:30:00.000Z'
const AT = Date.parse(NOW)

const EXAMPLES = path.resolve(__dirname, '../../examples')
function example(name: string, id: string): StoredDocument {
  const reading = readJobText(readFileSync(path.join(EXAMPLES, name), 'utf8'))
  if (!reading.ok) throw new Error(`${name} is no job`)
  return { createdAt: NOW, updatedAt: NOW, ...reading.job, id } as StoredDocument
}
const LOG = {
  id: 'watch',
  name: 'Watch',
  startedAt: NOW,
  source: 'file',
  channels: [{ key: 'boxTemp', unit: 'F' }],
  samples: 60,
} as const
const SAMPLES = {
  time: Float64Array.from({ length: 60 }, (_s, i) => i * 10),
  values: [Float64Array.from({ length: 60 }, (_s, i) => 40 - i / 30)],
}
// a picture of one point
const PHOTO = new Uint8Array([0xff, 0xd8, 0xff, 0xdb, 0, 3, 1, 0xff, 0xda, 0, 3, 1, 7, 0xff, 0xd9])

const WITH_FILES: StoredDocument = {
  ...example('plugged-dryer.orzo.json', 'job-files'),
  title: 'Lodge cooler',
  logs: [{ ...LOG, channels: [...LOG.channels] }],
  attachments: [{ id: 'photo', name: 'Plate', type: 'image/jpeg', size: PHOTO.length }],
}
const FILES = { logs: { watch: SAMPLES }, photos: { photo: PHOTO } }
const NO_FILES = { logs: {}, photos: {} }
const OTHERS = [example('plugged-orifices.orzo.json', 'job-2'), example('plans/04-valve-sweat.json', 'job-3')]
const ALL: readonly { job: StoredDocument; files: typeof FILES | typeof NO_FILES }[] = [
  { job: WITH_FILES, files: FILES },
  ...OTHERS.map((job) => ({ job, files: NO_FILES })),
]
const utf8 = (text: string) => new TextEncoder().encode(text)

const SOURCES = {
  job: utf8(writeJobText(OTHERS[1]!)),
  archive: packZip(jobMembers(WITH_FILES, FILES), AT),
  backup: packBackup(
    ALL.flatMap(({ job, files }, i) => backupJob({ job, files }, i)),
    { at: NOW, settings: [{ key: 'theme', value: 'cellar' }], aside: [], unread: [], store: [] },
    AT,
  ),
  log: utf8(writeLogCsv(LOG, SAMPLES)),
} as const
type Source = keyof typeof SOURCES
const KINDS = { job: 'json', archive: 'zip', backup: 'zip', log: 'csv' } as const

type Heard = { jobs: ArchivedJob[]; problems: number; settings: unknown }

/** What the worker of files says of a file. */
async function heardOf(name: string, bytes: Uint8Array): Promise<Heard> {
  const jobs: ArchivedJob[] = []
  const reading = filesHandlers().read({ name, file: new Blob([bytes as Uint8Array<ArrayBuffer>]) })
  for (;;) {
    const next = await reading.next()
    if (next.done) {
      const told = jobs.map(({ problems, reading: { ok } }) => problems.length + (ok ? 0 : 1))
      const problems = told.reduce((sum, each) => sum + each, next.value.problems.length)
      return { jobs, problems, settings: next.value.contents?.settings }
    }
    jobs.push(next.value)
  }
}

/** A job that was read is stored whole, and comes out of the store as it was read. */
async function storedWhole(db: OrzoDatabase, { reading, logs, photos }: ArchivedJob): Promise<void> {
  if (!reading.ok) return
  const { id } = await importJob(db, reading.job, NOW, { logs, photos }, reading.envelopes)
  const whole = await readWholeJob(db, id)
  const { id: _id, createdAt: _c, updatedAt: _u, ...was } = reading.job
  const { id: _own, createdAt: _d, updatedAt: _v, ...now } = whole!.job
  if (!isSame(was, now)) expect(now).toEqual(was)
  expect(Object.keys(whole!.files.photos).sort()).toEqual(Object.keys(photos).sort())
}

const sameFiles = (a: ArchivedJob, files: (typeof ALL)[number]['files']) => {
  expect(a.logs).toEqual(files.logs)
  expect(a.photos).toEqual(files.photos)
}

const parsed = (text: string) => JSON.parse(text.replace(/^\uFEFF/, '')) as Record<string, unknown>

/** A document that says it is of this version holds all that its text says; an older one is changed on the way. */
function holdsAll(text: string, job: JobDocument): void {
  const { version, kinds, envelopes: _envelopes, ...said } = parsed(text)
  const { version: own, kinds: ownKinds, ...has } = parsed(writeJobText(job))
  if (version !== own || !isSame(kinds, ownKinds)) return
  for (const [key, value] of Object.entries(said))
    if (!isSame(value, has[key])) expect(has[key]).toEqual(value)
}

type Outcome = 'told' | 'read'

const CHECKS: Readonly<Record<Source, (bytes: Uint8Array, db: OrzoDatabase, i: number) => Promise<Outcome>>> =
  {
    job: async (bytes, db, i) => {
      const { jobs, problems } = await heardOf('x.orzo.json', bytes)
      const text = new TextDecoder().decode(bytes)
      const { reading } = jobs[0]!
      // a route answers or tells, whatever it is given
      if (i % 40 === 0) expect(await answerText('plan', text)).toBeDefined()
      else if (i % 8 === 0) expect(await answerText('diagnose', text)).toBeDefined()
      if (!reading.ok) {
        expect(problems).toBeGreaterThan(0)
        return 'told'
      }
      holdsAll(text, reading.job)
      await storedWhole(db, jobs[0]!)
      return 'read'
    },
    archive: async (bytes, db) => {
      const { jobs, problems } = await heardOf('x.orzo.zip', bytes)
      for (const job of jobs) await storedWhole(db, job)
      if (problems > 0) return 'told'
      expect(jobs).toHaveLength(1)
      const [only] = jobs
      expect(only!.reading.ok && only!.reading.job).toEqual(
        readJobText(writeJobText(WITH_FILES)).ok && WITH_FILES,
      )
      sameFiles(only!, FILES)
      return 'read'
    },
    backup: async (bytes, db) => {
      const { jobs, problems, settings } = await heardOf('x.orzo.zip', bytes)
      for (const job of jobs) await storedWhole(db, job)
      if (problems > 0) return 'told'
      expect(settings).toEqual([{ key: 'theme', value: 'cellar' }])
      expect(jobs.map(({ reading }) => reading.ok && reading.job.id)).toEqual(ALL.map(({ job }) => job.id))
      ALL.forEach(({ files }, at) => sameFiles(jobs[at]!, files))
      return 'read'
    },
    log: async (bytes) => {
      const samples = readLogCsv(LOG, new TextDecoder().decode(bytes))
      expect(samples.time).toHaveLength(LOG.samples)
      expect(samples.time.every(Number.isFinite)).toBe(true)
      expect(samples.values[0]!.every((value) => Number.isNaN(value) || Math.abs(value) <= 1e13)).toBe(true)
      return 'read'
    },
  }

/** Jobs that stand in a store without their head, or records without a job: what a write that broke off would leave. */
async function leftovers(db: OrzoDatabase): Promise<string[]> {
  const ids = new Set(await db.jobIndex.toCollection().primaryKeys())
  const rows = [
    ...(await db.records.toArray()),
    ...(await db.logChunks.toArray()),
    ...(await db.blobs.toArray()),
  ]
  return rows.map(({ jobId }) => jobId).filter((id) => !ids.has(id))
}

async function outcomeOf(source: Source, bytes: Uint8Array, db: OrzoDatabase, i: number): Promise<Outcome> {
  try {
    return await CHECKS[source](bytes, db, i)
  } catch (error) {
    if (error instanceof OrzoError) return 'told'
    throw error
  }
}

test(`${COUNT} seeded mutations of jobs, archives, backups and logs: told or whole, nothing else`, async () => {
  const counts = new Map<string, number>()
  const longest = { ms: 0, what: '' }
  const sources = Object.keys(SOURCES) as Source[]
  for (let i = 0; i < COUNT; i += 1) {
    const source = sources[i % sources.length] as Source
    const bytes = mutate(SOURCES[source], KINDS[source], seededRandom(3400 + i))
    const db = new OrzoDatabase(`mutation-${i}`)
    const start = performance.now()
    let outcome: Outcome
    try {
      outcome = await outcomeOf(source, bytes, db, i)
    } catch (error) {
      throw new Error(`seed ${3400 + i}, ${source}: ${(error as Error).stack ?? String(error)}`, {
        cause: error,
      })
    }
    const ms = performance.now() - start
    if (ms > longest.ms) Object.assign(longest, { ms, what: `${source}, seed ${3400 + i}` })
    expect([i, await leftovers(db)]).toEqual([i, []])
    await db.delete()
    counts.set(`${source} ${outcome}`, (counts.get(`${source} ${outcome}`) ?? 0) + 1)
  }
  for (const source of sources) expect(counts.get(`${source} told`)).toBeGreaterThan(COUNT / 40)
  if (!process.env.SOAK) return
  console.log(Object.fromEntries(counts), longest)
  expect(longest.ms).toBeLessThan(LONGEST)
}, 7_200_000)
