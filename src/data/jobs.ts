import type { Table } from 'dexie'
import { emptyJob, type StoredJob } from '@/core/record/job/job'
import type { Policy } from '@/core/record/policy/policy'
import type { JobIndexRow, LogChunkRow, OrzoDatabase } from './database'
import { newJobId } from './newId'
import { documentOf } from '@/core/record/job/rounds'
import { getJob, writeNewJob } from './records'
import { deviceOf } from './settings'

/** A new, empty job: nothing of its unit is presumed. @param policy the company's answers, copied in */
export function blankJob(now: string, policy?: Policy): StoredJob {
  const job = emptyJob({}, policy)
  return { ...job, id: newJobId(), createdAt: now, updatedAt: now }
}

/** Stores a new job and returns it. */
export async function addJob(db: OrzoDatabase, job: StoredJob): Promise<StoredJob> {
  const device = await deviceOf(db)
  await db.transaction('rw', db.records, db.jobIndex, () => writeNewJob(db, documentOf(job), device))
  return job
}

/** A job with the stored samples of its logs. */
export type JobWithLogs = { readonly job: StoredJob; readonly chunks: readonly LogChunkRow[] }

/**
 * Stores jobs of whose id none is there, with their logs, all in one transaction: a page that goes away leaves all of them or
 * none.
 * @returns for each the one that was there already
 */
export async function addIfAbsent(
  db: OrzoDatabase,
  jobs: readonly JobWithLogs[],
): Promise<(StoredJob | undefined)[]> {
  const device = await deviceOf(db)
  return db.transaction('rw', db.records, db.jobIndex, db.logChunks, async () => {
    const found: (StoredJob | undefined)[] = []
    for (const { job, chunks } of jobs) {
      const present = await getJob(db, job.id)
      if (!present) {
        await writeNewJob(db, documentOf(job), device)
        await db.logChunks.bulkPut(chunks)
      }
      found.push(present)
    }
    return found
  })
}

/** The line of every job, last changed first; no job is opened for it. */
export const listJobs = (db: OrzoDatabase): Promise<JobIndexRow[]> =>
  db.jobIndex.orderBy('updatedAt').reverse().toArray()

const MOST_RECENT = 200

/** The lines of the jobs changed last: enough to know what is used most here. */
export const recentJobs = (db: OrzoDatabase): Promise<JobIndexRow[]> =>
  db.jobIndex.orderBy('updatedAt').reverse().limit(MOST_RECENT).toArray()

/** Removes jobs with everything that belongs to them: records, samples of logs, photos; all in one transaction. */
export async function removeJobs(db: OrzoDatabase, ids: readonly string[]): Promise<void> {
  await db.transaction('rw', [db.records, db.jobIndex, db.logChunks, db.blobs], () =>
    Promise.all([
      ...[db.records, db.logChunks, db.blobs].map((store) =>
        (store as Table).where('jobId').anyOf(ids).delete(),
      ),
      db.jobIndex.bulkDelete([...ids]),
    ]),
  )
}

export const removeJob = (db: OrzoDatabase, id: string): Promise<void> => removeJobs(db, [id])
