import { JOB_FORMAT, JOB_VERSION, type Job } from '@/core/record/job/job'
import { type JobProblem, readJobText, readJobValue } from '@/core/record/job/readJob'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { JobRow, OrzoDatabase } from './database'
import { newId } from './newId'

/** A stored job always has an id and its times. */
export type StoredJob = Job & { id: string; createdAt: string; updatedAt: string }

const rowOf = (job: StoredJob): JobRow => ({
  id: job.id,
  updatedAt: job.updatedAt,
  demo: job.demo ? 1 : 0,
  job,
})

/** A new, empty job. */
export function blankJob(now: string): StoredJob {
  const unit: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    id: newId(),
    stage: 'arrive',
    createdAt: now,
    updatedAt: now,
    unit,
    readingSets: [],
  }
}

/** Stores a new job and returns it. */
export async function addJob(db: OrzoDatabase, job: StoredJob): Promise<StoredJob> {
  await db.jobs.add(rowOf(job))
  return job
}

/** All jobs, last changed first. */
export const listJobs = async (db: OrzoDatabase): Promise<StoredJob[]> =>
  (await db.jobs.orderBy('updatedAt').reverse().toArray()).map((row) => row.job as StoredJob)

export const getJob = async (db: OrzoDatabase, id: string): Promise<StoredJob | undefined> =>
  (await db.jobs.get(id))?.job as StoredJob | undefined

/**
 * Changes a job in one transaction, so that two tabs or two quick edits never overwrite each other.
 * @returns the document before and after
 * @throws Error when the change would make the document invalid; the stored job stays as it was
 */
export async function changeJob(
  db: OrzoDatabase,
  id: string,
  change: (job: Job) => Job,
  now: string,
): Promise<{ before: Job; after: Job }> {
  return db.transaction('rw', db.jobs, async () => {
    const row = await db.jobs.get(id)
    if (!row) throw new Error('This job is no longer here: it was removed in another window.')
    const reading = readJobValue(dropUndefined({ ...change(row.job), updatedAt: now }))
    if (!reading.ok)
      throw new Error(reading.problems.map(({ path, message }) => `${path} ${message}`).join('; '))
    await db.jobs.put(rowOf(reading.job as StoredJob))
    return { before: row.job, after: reading.job }
  })
}

/** The same document without keys whose value is undefined, as it will read back from a file. */
function dropUndefined(job: Job): Job {
  return JSON.parse(JSON.stringify(job)) as Job
}

export const removeJob = (db: OrzoDatabase, id: string): Promise<void> => db.jobs.delete(id)

export type ImportOutcome =
  | { readonly outcome: 'added' | 'already-here' | 'added-beside'; readonly id: string }
  | { readonly outcome: 'refused'; readonly problems: readonly JobProblem[] }

function completed(job: Job, now: string): StoredJob {
  return { ...job, id: job.id ?? newId(), createdAt: job.createdAt ?? now, updatedAt: job.updatedAt ?? now }
}

/**
 * Reads a file's text and stores the job. A refused file changes nothing. A job that is already here
 * in another state is kept beside it under a new id: nothing is overwritten.
 */
export async function importJobText(db: OrzoDatabase, text: string, now: string): Promise<ImportOutcome> {
  const reading = readJobText(text)
  if (!reading.ok) return { outcome: 'refused', problems: reading.problems }
  const job = completed(reading.job, now)
  return db.transaction('rw', db.jobs, async (): Promise<ImportOutcome> => {
    const present = await db.jobs.get(job.id)
    if (!present) {
      await db.jobs.add(rowOf(job))
      return { outcome: 'added', id: job.id }
    }
    if (JSON.stringify(present.job) === JSON.stringify(job)) return { outcome: 'already-here', id: job.id }
    const copy = { ...job, id: newId() }
    await db.jobs.add(rowOf(copy))
    return { outcome: 'added-beside', id: copy.id }
  })
}
