import { isoNow } from '@/core/base/units/instants'
import { readWholeJob, type WholeJob } from '@/data/archive'
import { systemClock } from '@/data/clock'
import { importJob } from '@/data/importing'
import { removeJobs } from '@/data/jobs'
import { database } from '@/data/shared'

/** Takes jobs away, with everything that belongs to them. @returns what they were, to bring them back */
export async function takeAway(ids: readonly string[]): Promise<WholeJob[]> {
  const db = database()
  const whole: WholeJob[] = []
  for (const id of ids) {
    const job = await readWholeJob(db, id)
    if (job) whole.push(job)
  }
  await removeJobs(db, ids)
  return whole
}

/** Stores jobs that were taken away as they were. */
export async function bringBack(jobs: readonly WholeJob[]): Promise<void> {
  for (const { job, files } of jobs) await importJob(database(), job, isoNow(systemClock), files)
}
