import { strToU8 } from 'fflate'
import { attempt, OrzoError } from '../../base/errors/orzoError'
import { slugOf } from '../../base/units/slug'
import type { JobDocument } from '../job/job'
import type { FileEnvelopes } from '../job/recordsOfFile'
import { type JobReading, LARGEST_JOB_TEXT, readJobText, writeJobText } from '../job/readJob'
import { longestTable, readLogCsv, writeLogCsv } from '../logs/logCsv'
import { samplesOfLooks } from '../logs/looks'
import type { Samples } from '../logs/samples'
import type { Attachment } from '../records/attachment'
import { isPhotoOf } from './photoBytes'
import { readText, type ZipEntry, type ZipMember } from './zip'

/** What belongs to a job and stands beside it: samples of its logs, bytes of its photos, by their ids. */
export type JobFiles = {
  readonly logs: Readonly<Record<string, Samples>>
  readonly photos: Readonly<Record<string, Uint8Array>>
}

/** A member that could not be read, or is not there: named, and why. */
export type MemberProblem = { readonly path: string; readonly message: string }

/** A job as it was read from an archive: what could be read of it, and what could not. */
export type ArchivedJob = JobFiles & {
  readonly path: string
  readonly reading: JobReading
  readonly problems: readonly MemberProblem[]
}

/** Ends the name of a job's document; what stands before the name is the folder of its logs and photos. */
const JOB_ENDING = '.orzo.json'
const JOB_MEMBER = `job${JOB_ENDING}`

/** Larger members are not unpacked, bytes: no log or photo that Orzo wrote comes near. */
const LARGEST = { log: 300_000_000, photo: 30_000_000 } as const

const ENDINGS: Readonly<Record<Attachment['type'], string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
}
const NAME_LENGTH = 40
const numbered = (i: number, name: string) =>
  [String(i + 1).padStart(2, '0'), slugOf(name, NAME_LENGTH)].filter((part) => part !== '').join('-')

const logPath = ({ name }: { name: string }, i: number) => `logs/${numbered(i, name)}.csv`
const photoPath = ({ name, type }: Attachment, i: number) => `photos/${numbered(i, name)}.${ENDINGS[type]}`

/**
 * A job as files: its document, each log as a table, each photo as it is; each readable without Orzo.
 * @param folder put before every path, as "jobs/01-lodge/"
 */
export function jobMembers(
  job: JobDocument,
  { logs, photos }: JobFiles,
  folder = '',
  envelopes?: FileEnvelopes,
): ZipMember[] {
  return [
    { path: JOB_MEMBER, bytes: strToU8(writeJobText(job, envelopes)) },
    ...job.logs.flatMap((head, i) => {
      const samples = logs[head.id]
      return samples ? [{ path: logPath(head, i), bytes: strToU8(writeLogCsv(head, samples)) }] : []
    }),
    ...job.attachments.flatMap((photo, i) => {
      const bytes = photos[photo.id]
      return bytes ? [{ path: photoPath(photo, i), bytes }] : []
    }),
  ].map(({ path, bytes }) => ({ path: folder + path, bytes }))
}

type Wanted<T> = {
  readonly id: string
  readonly path: string
  /** bytes; a larger one is not unpacked */
  readonly largest: number
  readonly read: (entry: ZipEntry) => T
}

/** Reads what belongs to a job; what is missing or damaged is named and left out. */
function readBeside<T>(
  entries: ReadonlyMap<string, ZipEntry>,
  wanted: readonly Wanted<T>[],
): { found: Record<string, T>; problems: MemberProblem[] } {
  const found: Record<string, T> = {}
  const problems: MemberProblem[] = []
  for (const { id, path, largest, read } of wanted) {
    const entry = entries.get(path)
    if (!entry) problems.push({ path, message: 'is missing' })
    else if (entry.size > largest) problems.push({ path, message: 'is larger than Orzo writes' })
    else {
      const outcome = attempt(() => read(entry))
      if (outcome.ok) found[id] = outcome.value
      else problems.push({ path, message: outcome.error.message })
    }
  }
  return { found, problems }
}

function readPhoto({ type }: Attachment, entry: ZipEntry): Uint8Array {
  const bytes = entry.read()
  if (!isPhotoOf(type, bytes)) throw new OrzoError('bad-archive', `is no picture of the type ${type}`)
  return bytes
}

function readDocument(entry: ZipEntry): JobReading {
  if (entry.size > LARGEST_JOB_TEXT) throw new OrzoError('bad-archive', 'is larger than 10 MB: no job is')
  return readJobText(readText(entry))
}

/** Reads one job of an archive with what belongs to it. @param entry its document */
export function readArchivedJob(entry: ZipEntry, entries: ReadonlyMap<string, ZipEntry>): ArchivedJob {
  const { path } = entry
  const folder = path.slice(0, path.lastIndexOf('/') + 1)
  const document = attempt(() => readDocument(entry))
  if (!document.ok) {
    const problem = { path, message: document.error.message }
    return {
      path,
      reading: { ok: false, code: 'invalid', problems: [problem] },
      logs: {},
      photos: {},
      problems: [],
    }
  }
  const reading = document.value
  if (!reading.ok) return { path, reading, logs: {}, photos: {}, problems: [] }
  const { job } = reading
  const logs = readBeside(
    entries,
    job.logs.map((head, i) => ({
      id: head.id,
      path: folder + logPath(head, i),
      largest: Math.min(LARGEST.log, longestTable(head)),
      // what was typed stands in the document; its table is for other programs
      read: (member) => samplesOfLooks(head) ?? readLogCsv(head, readText(member)),
    })),
  )
  const photos = readBeside(
    entries,
    job.attachments.map((photo, i) => ({
      id: photo.id,
      path: folder + photoPath(photo, i),
      largest: LARGEST.photo,
      read: (member) => readPhoto(photo, member),
    })),
  )
  return {
    path,
    reading,
    logs: logs.found,
    photos: photos.found,
    problems: [...logs.problems, ...photos.problems],
  }
}

/** The documents of jobs in an archive. */
export const jobEntries = (entries: readonly ZipEntry[]): ZipEntry[] =>
  entries.filter(({ path }) => path.endsWith(JOB_ENDING) && !path.startsWith('__MACOSX/'))
