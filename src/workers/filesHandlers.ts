import {
  type ArchiveEnd,
  type BackupContents,
  type BackupJob,
  backupJob,
  packBackup,
  readArchive,
} from '@/core/record/archive/backup'
import { type ArchivedJob, type JobFiles, jobMembers } from '@/core/record/archive/jobArchive'
import { ARCHIVE_LIMITS } from '@/core/record/archive/limits'
import { isBarePhoto } from '@/core/record/archive/photoBytes'
import { isZip, packZip, type ZipMember } from '@/core/record/archive/zip'
import { OrzoError } from '@/core/base/errors/orzoError'
import { withKnownIds } from '@/core/diagnosis/proof/knownIds'
import { LARGEST_JOB_TEXT, readJobText, tooLarge } from '@/core/record/job/readJob'
import type { JobDocument } from '@/core/record/job/job'
import type { FileEnvelopes } from '@/core/record/job/recordsOfFile'
import { writeLogCsv } from '@/core/record/logs/logCsv'
import type { Samples } from '@/core/record/logs/samples'
import type { Attachment } from '@/core/record/records/attachment'
import type { LogHead } from '@/core/record/records/log'
import { shrinkPhoto } from './shrinkPhoto'

/** A job with what belongs to it, to be packed. */
type Packed = { readonly job: JobDocument; readonly files: JobFiles; readonly envelopes?: FileEnvelopes }
export type PackQuestion = Packed & { readonly at: number }

const ZIP = 'application/zip'
const blobOf = (bytes: Uint8Array, type: string) => new Blob([bytes as Uint8Array<ArrayBuffer>], { type })
const zipped = (bytes: Uint8Array) => blobOf(bytes, ZIP)

/** A file that is one document. */
function* readDocument(name: string, bytes: Uint8Array): Generator<ArchivedJob, number> {
  const reading = bytes.length > LARGEST_JOB_TEXT ? tooLarge() : readJobText(new TextDecoder().decode(bytes))
  yield { path: name, reading: withKnownIds(reading), logs: {}, photos: {}, problems: [] }
  return 1
}

/** The photos of an archive without what their files tell beside the picture; what is no picture is named and left out. */
async function withBarePhotos(found: ArchivedJob, heads: readonly Attachment[]): Promise<ArchivedJob> {
  const photos: Record<string, Uint8Array> = {}
  const problems = [...found.problems]
  for (const { id, name, type } of heads) {
    const bytes = found.photos[id]
    if (!bytes) continue
    try {
      photos[id] = isBarePhoto(type, bytes) ? bytes : (await shrinkPhoto(blobOf(bytes, type), type)).bytes
    } catch (error) {
      problems.push({
        path: `photo “${name}”`,
        message: error instanceof OrzoError ? error.message : String(error),
      })
    }
  }
  return { ...found, photos, problems }
}

/** A file of one job or of many, job by job; a job that names a fault which no table holds is refused with its place. */
async function* readJobs(bytes: Uint8Array): AsyncGenerator<ArchivedJob, ArchiveEnd> {
  const jobs = readArchive(bytes)
  for (;;) {
    const next = jobs.next()
    if (next.done) return next.value
    const found = { ...next.value, reading: withKnownIds(next.value.reading) }
    yield found.reading.ok ? await withBarePhotos(found, found.reading.job.attachments) : found
  }
}

/** What the worker of files can be asked. Packing and reading are synchronous here: nobody waits on this thread. */
export function filesHandlers() {
  const backups = new Map<string, { members: ZipMember[]; jobs: number }>()
  return {
    async *pack({ job, files, envelopes, at }: PackQuestion) {
      return zipped(packZip(jobMembers(job, files, '', envelopes), at))
    },
    /** Takes one more job into a backup, so that not everything is sent at once. */
    async *addToBackup({ backup, whole }: { backup: string; whole: BackupJob }) {
      const held = backups.get(backup) ?? { members: [], jobs: 0 }
      backups.set(backup, held)
      held.members.push(...backupJob(whole, held.jobs))
      held.jobs += 1
    },
    async *endBackup({ backup, contents, at }: { backup: string; contents: BackupContents; at: number }) {
      const { members } = backups.get(backup) ?? { members: [] }
      backups.delete(backup)
      return zipped(packBackup(members, contents, at))
    },
    /** A log as a table for other programs. */
    async *table({ log, samples }: { log: LogHead; samples: Samples }) {
      return new Blob([writeLogCsv(log, samples)], { type: 'text/csv' })
    },
    async *photo(file: Blob) {
      return shrinkPhoto(file)
    },
    /** Reads a file of one job or of many, job by job. */
    async *read({ name, file }: { name: string; file: Blob }) {
      if (file.size > ARCHIVE_LIMITS.unpacked)
        throw new OrzoError('bad-archive', 'is larger than 2 GB: put the jobs into several')
      const bytes = new Uint8Array(await file.arrayBuffer())
      if (isZip(bytes)) return yield* readJobs(bytes)
      const jobs = yield* readDocument(name, bytes)
      return { contents: undefined, jobs, problems: [] }
    },
  }
}
