import type { StoredRecord } from '../records/envelope'
import type { HeadData } from '../records/head'
import { type DataProblem, readData } from '../records/kind'
import {
  isKindName,
  type KindName,
  LIST_KINDS,
  type ListKind,
  LISTS,
  ONLY_ID,
  RECORD_KINDS,
  type RecordData,
} from '../records/kinds'
import { isSame } from '../records/patches'
import { headSchema } from '../records/head'
import { JOB_FORMAT, JOB_VERSION, type JobDocument, type StoredDocument } from './job'

/** One record of a job without its envelope. */
export type Part<K extends KindName = KindName> = {
  readonly kind: K
  readonly id: string
  readonly order: number
  readonly data: RecordData[K]
}

const HEAD_KEYS = Object.keys(headSchema.shape) as (keyof HeadData)[]

/** The head of a job: what it holds beside its lists. */
export const headOf = (job: Pick<JobDocument, keyof HeadData>): HeadData =>
  Object.fromEntries(
    HEAD_KEYS.filter((key) => job[key] !== undefined).map((key) => [key, job[key]]),
  ) as HeadData

const listOf = (job: JobDocument, kind: ListKind): readonly RecordData[ListKind][] => job[LISTS[kind].list]
const idOf = (kind: ListKind, data: RecordData[ListKind]): string =>
  (LISTS[kind].idOf as (data: RecordData[ListKind]) => string)(data)

/** A job as its records, in order. */
export function partsOf(job: JobDocument): Part[] {
  return [
    { kind: 'head', id: ONLY_ID, order: 0, data: headOf(job) },
    ...LIST_KINDS.flatMap((kind) =>
      listOf(job, kind).map((data, i): Part => ({ kind, id: idOf(kind, data), order: i + 1, data })),
    ),
  ]
}

/** A record that was read: migrated, validated; or why it could not be. */
export type ReadRecord = { readonly row: StoredRecord; readonly data: RecordData[KindName] }
export type RecordProblem = { readonly key: string; readonly problems: readonly DataProblem[] }

/** Reads one stored record of any version. */
export function readRecord(row: StoredRecord): ReadRecord | RecordProblem {
  if (!isKindName(row.kind)) {
    const message = `"${row.kind}" is no kind of record that this Orzo knows: update Orzo`
    return { key: row.key, problems: [{ path: 'kind', message }] }
  }
  const reading = readData<RecordData[KindName]>(RECORD_KINDS[row.kind], row.version, row.data)
  return reading.ok ? { row, data: reading.data } : { key: row.key, problems: reading.problems }
}

const byPlace = ({ row: a }: ReadRecord, { row: b }: ReadRecord) =>
  a.order - b.order || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)

/** The same list where every element is the same object. */
function shared<T>(list: T[], before: readonly T[] | undefined): T[] {
  const isUnchanged = before?.length === list.length && list.every((each, i) => each === before[i])
  return isUnchanged ? (before as T[]) : list
}

/**
 * Puts a job together from its records; parts that did not change stay the same objects.
 * @param previous the job as it was put together before
 * @returns undefined while its head is missing or cannot be read
 */
export function assembleJob(
  jobId: string,
  updatedAt: string,
  records: Iterable<ReadRecord>,
  previous?: StoredDocument,
): StoredDocument | undefined {
  const live = [...records].filter(({ row }) => row.deleted === undefined).sort(byPlace)
  const head = live.find(({ row }) => row.kind === 'head')
  if (!head) return undefined
  const lists = Object.fromEntries(
    LIST_KINDS.map((kind) => {
      const { list } = LISTS[kind]
      const all = live.filter(({ row }) => row.kind === kind).map(({ data }) => data)
      return [list, shared(all, previous?.[list] as typeof all | undefined)]
    }),
  )
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    id: jobId,
    updatedAt,
    createdAt: updatedAt,
    ...(head.data as HeadData),
    ...lists,
  } as StoredDocument
}

/** One record that an edit made, changed or took away. */
export type PartChange = {
  readonly kind: KindName
  readonly id: string
  readonly before: RecordData[KindName] | undefined
  readonly after: RecordData[KindName] | undefined
}

function listChanges(kind: ListKind, before: JobDocument, after: JobDocument): PartChange[] {
  const [old, now] = [listOf(before, kind), listOf(after, kind)]
  if (old === now) return []
  const known = new Map(old.map((data) => [idOf(kind, data), data]))
  const left = new Set(known.keys())
  const changed = now.flatMap((data): PartChange[] => {
    const id = idOf(kind, data)
    left.delete(id)
    const was = known.get(id)
    return was === data || isSame(was, data) ? [] : [{ kind, id, before: was, after: data }]
  })
  const gone = [...left].map((id): PartChange => ({ kind, id, before: known.get(id), after: undefined }))
  return [...gone, ...changed]
}

/** The records in which two states of a job differ; parts that are the same object are not looked into. */
export function diffJobs(before: JobDocument, after: JobDocument): PartChange[] {
  const heads = HEAD_KEYS.every((key) => before[key] === after[key])
    ? []
    : ([{ kind: 'head', id: ONLY_ID, before: headOf(before), after: headOf(after) }] as const).filter(
        (change) => !isSame(change.before, change.after),
      )
  return [...heads, ...LIST_KINDS.flatMap((kind) => listChanges(kind, before, after))]
}
