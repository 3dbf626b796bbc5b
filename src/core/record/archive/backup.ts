import { strToU8 } from 'fflate'
import { z } from '../../base/schema/zod'
import { attempt, OrzoError } from '../../base/errors/orzoError'
import { excessOf } from '../../base/json/excess'
import { instantSchema } from '../../base/units/quantitySchema'
import { slugOf } from '../../base/units/slug'
import type { JobDocument } from '../job/job'
import type { FileEnvelopes } from '../job/recordsOfFile'
import { envelopeSchema } from '../records/envelope'
import { problemsOf } from '../records/kind'
import {
  type ArchivedJob,
  jobEntries,
  type JobFiles,
  jobMembers,
  type MemberProblem,
  readArchivedJob,
} from './jobArchive'
import { listOf, listSchema, type MemberList, missingOf } from './memberList'
import { openZip, packZip, readText, type ZipEntry, type ZipMember } from './zip'

const BACKUP_FORMAT = 'orzo.backup'
const BACKUP_VERSION = 1
const BACKUP_MEMBER = 'backup.json'
const JOBS_FOLDER = 'jobs/'
/** Larger lists are not unpacked, bytes. */
const LARGEST_LIST = 100_000_000

/** What a backup holds beside the jobs. */
const contentsSchema = z.object({
  format: z.literal(BACKUP_FORMAT, { error: `is not "${BACKUP_FORMAT}"` }),
  version: z.number({ error: 'is not a number' }).int(),
  at: instantSchema,
  /** what the browser remembers */
  settings: z.array(z.object({ key: z.string(), value: z.unknown() })),
  /** rows of an earlier Orzo that could not be read */
  aside: z.array(z.object({ id: z.string(), at: z.string(), reason: z.string(), row: z.unknown() })),
  /** records that this Orzo cannot read, as stored */
  unread: z.array(envelopeSchema),
  /** records of the store beside the jobs: own dryers */
  store: z.array(envelopeSchema).default([]),
  /** every file of the backup beside this one; missing in backups of an earlier Orzo */
  inside: listSchema.optional(),
})
export type BackupContents = Omit<z.infer<typeof contentsSchema>, 'format' | 'version' | 'inside'>

/** One job of a backup. */
export type BackupJob = {
  readonly job: JobDocument
  readonly files: JobFiles
  readonly envelopes?: FileEnvelopes | undefined
}

/** The members of one job of a backup, in a folder of its own. @param i its place among the jobs */
export function backupJob({ job, files, envelopes }: BackupJob, i: number): ZipMember[] {
  const name = slugOf(job.title ?? job.unit.name ?? '', 40)
  const folder = [String(i + 1).padStart(3, '0'), name].filter((part) => part !== '').join('-')
  return jobMembers(job, files, `${JOBS_FOLDER}${folder}/`, envelopes)
}

/** Everything as one file: the members of the jobs, and what belongs to none. @param at moment of the backup, ms */
export function packBackup(jobs: readonly ZipMember[], contents: BackupContents, at: number): Uint8Array {
  const about = { format: BACKUP_FORMAT, version: BACKUP_VERSION, ...contents, inside: listOf(jobs) }
  const text = JSON.stringify(about, null, 2)
  return packZip([{ path: BACKUP_MEMBER, bytes: strToU8(`${text}\n`) }, ...jobs], at)
}

function readContents(entry: ZipEntry): { contents: BackupContents; inside: MemberList | undefined } {
  if (entry.size > LARGEST_LIST) throw new OrzoError('bad-archive', 'is larger than Orzo writes')
  const text = readText(entry)
  if (excessOf(text, { most: Infinity }))
    throw new OrzoError('bad-archive', 'holds brackets far deeper than Orzo writes')
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new OrzoError('bad-archive', 'is not JSON: it is damaged or cut off')
  }
  const result = contentsSchema.safeParse(value)
  if (!result.success) {
    const [first] = problemsOf(result.error)
    throw new OrzoError('bad-archive', `cannot be read: ${first?.path} ${first?.message}`)
  }
  if (result.data.version > BACKUP_VERSION)
    throw new OrzoError(
      'bad-archive',
      `is of version ${result.data.version}, newer than this Orzo reads: update Orzo`,
    )
  const { at, settings, aside, unread, store, inside } = result.data
  return { contents: { at, settings, aside, unread, store }, inside }
}

/** What an archive holds beside jobs, and what of the whole could not be read. */
export type ArchiveEnd = {
  readonly contents: BackupContents | undefined
  readonly jobs: number
  readonly problems: readonly MemberProblem[]
}

/**
 * Reads an archive of one job or of everything, job by job; what is damaged is named and the rest is given.
 * @throws OrzoError bad-archive for bytes that are no zip file, or hold no job and are no backup
 */
export function* readArchive(bytes: Uint8Array): Generator<ArchivedJob, ArchiveEnd> {
  const { entries, isDirectoryLost } = openZip(bytes)
  const problems: MemberProblem[] = isDirectoryLost
    ? [{ path: 'the end of the file', message: 'is cut off or damaged' }]
    : []
  const byPath = new Map(entries.map((entry) => [entry.path, entry]))
  const jobs = jobEntries(entries)
  const listEntry = byPath.get(BACKUP_MEMBER)
  if (jobs.length === 0 && !listEntry)
    throw new OrzoError('bad-archive', 'holds no Orzo job: choose a file that Orzo exported')
  for (const entry of jobs) yield readArchivedJob(entry, byPath)
  const about = listEntry && attempt(() => readContents(listEntry))
  if (about && !about.ok) problems.push({ path: BACKUP_MEMBER, message: about.error.message })
  if (!about && jobs.some(({ path }) => path.startsWith(JOBS_FOLDER)))
    problems.push({
      path: BACKUP_MEMBER,
      message: 'is missing: settings and what else stood beside the jobs with it',
    })
  const read = about?.ok ? about.value : undefined
  problems.push(...missingOf(read?.inside, byPath))
  return { contents: read?.contents, jobs: jobs.length, problems }
}
