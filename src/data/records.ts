import type { Table } from 'dexie'
import { OrzoError } from '@/core/base/errors/orzoError'
import { type Clock, isoNow } from '@/core/base/units/instants'
import { type Edit } from '@/core/record/edits/edit'
import { type DocumentEdit, inRound } from '@/core/record/edits/inRound'
import {
  assembleJob,
  diffJobs,
  type Part,
  type PartChange,
  partsOf,
  type ReadRecord,
  readRecord,
  type RecordProblem,
} from '@/core/record/job/assemble'
import type { JobDocument, StoredDocument, StoredJob } from '@/core/record/job/job'
import { jobSize, LARGEST_JOB } from '@/core/record/job/jobSize'
import { LIST_LIMITS, overfull } from '@/core/record/job/listLimits'
import { envelopeKey, type FileEnvelopes } from '@/core/record/job/recordsOfFile'
import { rangeProblems } from '@/core/record/job/ranges'
import { viewOf } from '@/core/record/job/rounds'
import { progressOf } from '@/core/record/job/stages'
import { summaryOf } from '@/core/record/job/summary'
import { recordKey, type StoredRecord } from '@/core/record/records/envelope'
import { problemsOf } from '@/core/record/records/kind'
import { isKindName, type KindName, RECORD_KINDS, type RecordData } from '@/core/record/records/kinds'
import { withoutUndefined } from '@/core/record/records/patches'
import type { JobIndexRow, OrzoDatabase } from './database'
import { randomWord } from './newId'
import { deviceOf } from './settings'

/** A job as it stands in the database, with what of it could not be read. */
export type Loaded = { readonly job: StoredDocument | undefined; readonly problems: readonly RecordProblem[] }

/** What this tab knows of a job: its records as they were read, and the job that they make. */
type Known = {
  readonly clock: number
  readonly born: string
  readonly records: ReadonlyMap<string, ReadRecord>
  readonly problems: ReadonlyMap<string, RecordProblem>
  readonly job: StoredDocument | undefined
}

/** Jobs kept in memory; a job that is not looked at any more is read again when it is. */
const MOST_KNOWN = 8
const known = new WeakMap<OrzoDatabase, Map<string, Known>>()

function knownOf(db: OrzoDatabase): Map<string, Known> {
  const jobs = known.get(db) ?? new Map<string, Known>()
  known.set(db, jobs)
  return jobs
}

function remember(db: OrzoDatabase, jobId: string, state: Known | undefined) {
  const jobs = knownOf(db)
  jobs.delete(jobId)
  if (!state) return
  jobs.set(jobId, state)
  for (const oldest of jobs.keys()) {
    if (jobs.size <= MOST_KNOWN) break
    jobs.delete(oldest)
  }
}

/** The job with rows that were written since it was last looked at. */
function merged(
  index: Pick<JobIndexRow, 'id' | 'updatedAt' | 'clock' | 'born'>,
  rows: readonly StoredRecord[],
  before: Known | undefined,
): Known {
  const records = new Map(before?.records)
  const problems = new Map(before?.problems)
  for (const row of rows) {
    const same = records.get(row.key)
    if (same && same.row.rev === row.rev && same.row.clock === row.clock) continue
    const read = readRecord(row)
    if ('row' in read) {
      records.set(row.key, read)
      problems.delete(row.key)
    } else {
      records.delete(row.key)
      problems.set(row.key, read)
    }
  }
  const job = assembleJob(index.id, index.updatedAt, records.values(), before?.job)
  return { clock: index.clock, born: index.born, records, problems, job }
}

/** What is in the database now, reading only what changed since. Runs inside a transaction or a live query. */
async function current(db: OrzoDatabase, jobId: string): Promise<Known | undefined> {
  const index = await db.jobIndex.get(jobId)
  if (!index) return undefined
  const before = knownOf(db).get(jobId)
  const usable = before && before.born === index.born && before.clock <= index.clock ? before : undefined
  if (usable && usable.clock === index.clock) return usable
  const rows = usable
    ? await db.records
        .where('[jobId+clock]')
        .between([jobId, usable.clock], [jobId, Infinity], false)
        .toArray()
    : await db.records.where('jobId').equals(jobId).toArray()
  return merged(index, rows, usable)
}

/** A job, its parts shared with what was read before. */
export async function loadJob(db: OrzoDatabase, jobId: string): Promise<Loaded> {
  const state = await db.transaction('r', db.records, db.jobIndex, () => current(db, jobId))
  remember(db, jobId, state)
  return { job: state?.job, problems: [...(state?.problems.values() ?? [])] }
}

/** The whole document of a job. */
export const getDocument = async (db: OrzoDatabase, jobId: string): Promise<StoredDocument | undefined> =>
  (await loadJob(db, jobId)).job

/** A job as its last round sees it. */
export async function getJob(db: OrzoDatabase, jobId: string): Promise<StoredJob | undefined> {
  const document = await getDocument(db, jobId)
  return document && viewOf(document)
}

/** What stands beside the data of a job's records, removed ones too; for its file. */
export async function envelopesOf(db: OrzoDatabase, jobId: string): Promise<FileEnvelopes> {
  const rows = await db.records.where('jobId').equals(jobId).toArray()
  const readable = rows.filter((row) => 'row' in readRecord(row) || row.deleted !== undefined)
  return Object.fromEntries(
    readable
      .sort((a, b) => (a.key < b.key ? -1 : 1))
      .map(({ kind, id, order, rev, clock, device, at, deleted }) => [
        envelopeKey(kind as KindName, id),
        { order, rev, clock, device, at, ...(deleted === undefined ? {} : { deleted }) },
      ]),
  )
}

/** @throws OrzoError bad-document naming the place, where data is not what its kind holds */
function validated(kind: KindName, data: RecordData[KindName]): RecordData[KindName] {
  const clean = withoutUndefined(data)
  const result = RECORD_KINDS[kind].schema.safeParse(clean, { reportInput: true })
  if (result.success) return clean
  const sentences = problemsOf(result.error, `the ${kind}`).map(({ path, message }) => `${path} ${message}`)
  throw new OrzoError('bad-document', sentences.join('; '))
}

/** @throws OrzoError bad-document naming a figure that cannot be: its file would not be read back */
function possible(kind: KindName, data: RecordData[KindName]): RecordData[KindName] {
  const [first] = rangeProblems(data, `the ${kind}`)
  if (first) throw new OrzoError('bad-document', `${first.path} ${first.message}.`)
  return data
}

type Writing = {
  readonly jobId: string
  readonly clock: number
  readonly device: string
  readonly at: string
}

const rowOf = ({ jobId, clock, device, at }: Writing, { kind, id, order, data }: Part): StoredRecord => ({
  key: recordKey(jobId, kind, id),
  jobId,
  kind,
  id,
  order,
  version: RECORD_KINDS[kind].version,
  rev: 1,
  clock,
  device,
  at,
  data,
})

/** A change as the row that it becomes; a removed record stays as a mark. */
function changedRow(writing: Writing, change: PartChange, state: Known): StoredRecord {
  const { kind, id, after } = change
  const before = state.records.get(recordKey(writing.jobId, kind, id))?.row
  const order = before?.order ?? nextOrder(state, kind)
  const data = after === undefined ? (before?.data ?? null) : possible(kind, validated(kind, after))
  const row = { ...rowOf(writing, { kind, id, order, data } as Part), rev: (before?.rev ?? 0) + 1 }
  return after === undefined ? { ...row, deleted: 1 } : row
}

const nextOrder = ({ records }: Known, kind: KindName): number =>
  [...records.values()].reduce((most, { row }) => (row.kind === kind ? Math.max(most, row.order) : most), 0) +
  1

const indexRow = (job: StoredDocument, clock: number, born: string): JobIndexRow => ({
  id: job.id,
  updatedAt: job.updatedAt,
  demo: job.demo ? 1 : 0,
  progress: progressOf(viewOf(job)),
  clock,
  born,
  summary: summaryOf(job),
})

/** What a change did: the records that it touched, and the job after it. */
export type Changed = { readonly changes: readonly PartChange[]; readonly job: StoredDocument }

const GONE = 'this job is no longer here: it was removed in another window.'

/** Refuses a change after which the job's own file could not be read back. @throws OrzoError bad-document */
function refuseTooMuch(before: JobDocument, after: JobDocument): void {
  const list = overfull(before, after)
  if (list) {
    const { most, name } = LIST_LIMITS[list]
    throw new OrzoError(
      'bad-document',
      `this job has ${most} ${name}, and its file holds no more. Remove one, or begin a job for what is new.`,
    )
  }
  const size = jobSize(after)
  if (size > LARGEST_JOB && size > jobSize(before))
    throw new OrzoError(
      'bad-document',
      'this job is as large as its file can be. Remove notes or typed logs, or begin a job for what is new.',
    )
}

/** What is written in the same transaction as an edit: samples of a log, bytes of a photo. */
export type Beside = { readonly stores: readonly Table[]; readonly write: () => Promise<unknown> }

/**
 * Makes one edit in one transaction, so that two tabs or two quick edits never overwrite each other. Only records that the
 * edit changed are validated and written, beside one row of the index.
 * @param beside what stands or falls with the edit
 * @throws OrzoError when the edit would make a record invalid or its place is gone; nothing is written then
 */
export async function changeDocument(
  db: OrzoDatabase,
  jobId: string,
  edit: DocumentEdit,
  clock: Clock,
  beside?: Beside,
): Promise<Changed> {
  const device = await deviceOf(db)
  const now = isoNow(clock)
  const stores = [db.records, db.jobIndex, ...(beside?.stores ?? [])] as Table[]
  const { state, changes } = await db.transaction('rw', stores, async () => {
    const before = await current(db, jobId)
    if (!before?.job) throw new OrzoError('bad-document', GONE)
    await beside?.write()
    const after = edit(before.job, { now, newId: randomWord })
    const made = diffJobs(before.job, after)
    if (made.length === 0) return { state: before, changes: made }
    refuseTooMuch(before.job, after)
    const writing = { jobId, clock: before.clock + 1, device, at: now }
    const rows = made.map((change) => changedRow(writing, change, before))
    await db.records.bulkPut(rows)
    const index = { id: jobId, updatedAt: now, clock: writing.clock, born: before.born }
    const next = merged(index, rows, before)
    await db.jobIndex.put(indexRow(next.job as StoredDocument, writing.clock, before.born))
    return { state: next, changes: made }
  })
  remember(db, jobId, state)
  return { changes, job: state.job as StoredDocument }
}

/** Makes one edit in the last round of a job. @throws OrzoError as changeDocument does */
export const changeJob = (
  db: OrzoDatabase,
  jobId: string,
  edit: Edit,
  clock: Clock,
  beside?: Beside,
): Promise<Changed> => changeDocument(db, jobId, inRound(edit), clock, beside)

/** A record with the envelope that its file kept: what another device did stays as it did it. */
function keptRow(row: StoredRecord, envelopes: FileEnvelopes): StoredRecord {
  const kept = envelopes[envelopeKey(row.kind as KindName, row.id)]
  return kept && kept.deleted === undefined ? { ...row, ...(kept as Partial<StoredRecord>) } : row
}

/** Marks of records that were removed before the file was written: they hold no data any more. */
const markRows = (jobId: string, envelopes: FileEnvelopes): StoredRecord[] =>
  Object.entries(envelopes).flatMap(([key, { deleted, ...kept }]) => {
    const cut = key.indexOf('/')
    const [kind, id] = [key.slice(0, cut), key.slice(cut + 1)]
    if (deleted === undefined || !isKindName(kind) || id === '') return []
    return [
      {
        ...kept,
        key: recordKey(jobId, kind, id),
        jobId,
        kind,
        id,
        version: RECORD_KINDS[kind].version,
        deleted,
        data: null,
      },
    ]
  })

/**
 * Writes a whole job as new records; runs inside a transaction over records and index.
 * @param envelopes of its records, where its file kept them
 */
export async function writeNewJob(
  db: OrzoDatabase,
  job: StoredDocument,
  device: string,
  envelopes: FileEnvelopes = {},
): Promise<void> {
  const writing = { jobId: job.id, clock: 1, device, at: job.updatedAt }
  const live = partsOf(job).map((part) =>
    keptRow(rowOf(writing, { ...part, data: validated(part.kind, part.data) } as Part), envelopes),
  )
  const present = new Set(live.map(({ key }) => key))
  const rows = [...live, ...markRows(job.id, envelopes).filter(({ key }) => !present.has(key))]
  const clock = rows.reduce((latest, row) => Math.max(latest, row.clock), 1)
  await db.records.bulkPut(rows)
  await db.jobIndex.put(indexRow(job, clock, randomWord()))
}
