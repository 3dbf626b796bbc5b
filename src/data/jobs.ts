import { emptyJob, type Job, type StoredJob } from '@/core/record/job/job'
import { type JobProblem, readJobText } from '@/core/record/job/readJob'
import type { Policy } from '@/core/record/policy/policy'
import { isSame } from '@/core/record/records/patches'
import type { JobIndexRow, OrzoDatabase } from './database'
import { newJobId } from './newId'
import { getJob, writeNewJob } from './records'
import { deviceOf } from './settings'

/** A new, empty job. @param policy the company's answers, copied in */
export function blankJob(now: string, policy?: Policy): StoredJob {
  const job = emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }, policy)
  return { ...job, id: newJobId(), createdAt: now, updatedAt: now }
}

/** Stores a new job and returns it. */
export async function addJob(db: OrzoDatabase, job: StoredJob): Promise<StoredJob> {
  const device = await deviceOf(db)
  await db.transaction('rw', db.records, db.jobIndex, () => writeNewJob(db, job, device))
  return job
}

/** Stores a job unless one of its id is there, in one transaction. @returns the one that is there */
export async function addIfAbsent(db: OrzoDatabase, job: StoredJob): Promise<StoredJob | undefined> {
  const device = await deviceOf(db)
  return db.transaction('rw', db.records, db.jobIndex, async () => {
    const present = await getJob(db, job.id)
    if (!present) await writeNewJob(db, job, device)
    return present
  })
}

/** The line of every job, last changed first; no job is opened for it. */
export const listJobs = (db: OrzoDatabase): Promise<JobIndexRow[]> =>
  db.jobIndex.orderBy('updatedAt').reverse().toArray()

/** Removes a job with everything that belongs to it: records, samples of logs, photos. */
export async function removeJob(db: OrzoDatabase, id: string): Promise<void> {
  await db.transaction('rw', [db.records, db.jobIndex, db.logChunks, db.blobs], async () => {
    await Promise.all([
      db.records.where('jobId').equals(id).delete(),
      db.logChunks.where('jobId').equals(id).delete(),
      db.blobs.where('jobId').equals(id).delete(),
      db.jobIndex.delete(id),
    ])
  })
}

export type ImportOutcome =
  | { readonly outcome: 'added' | 'already-here' | 'added-beside'; readonly id: string }
  | { readonly outcome: 'refused'; readonly problems: readonly JobProblem[] }

const completed = (job: Job, now: string): StoredJob => ({
  ...job,
  id: job.id ?? newJobId(),
  createdAt: job.createdAt ?? now,
  updatedAt: job.updatedAt ?? now,
})

/**
 * Stores a job that was read. One that is already here in another state is kept beside it under a new id: nothing is
 * overwritten.
 */
async function importJob(db: OrzoDatabase, read: Job, now: string): Promise<ImportOutcome> {
  const job = completed(read, now)
  const present = await addIfAbsent(db, job)
  if (!present) return { outcome: 'added', id: job.id }
  if (isSame(present, job)) return { outcome: 'already-here', id: job.id }
  const copy = { ...job, id: newJobId() }
  await addJob(db, copy)
  return { outcome: 'added-beside', id: copy.id }
}

/** Reads a file's text and stores the job. A refused file changes nothing. */
export async function importJobText(db: OrzoDatabase, text: string, now: string): Promise<ImportOutcome> {
  const reading = readJobText(text)
  if (!reading.ok) return { outcome: 'refused', problems: reading.problems }
  return importJob(db, reading.job, now)
}
