import { writeJobText } from '@/core/record/job/readJob'
import { slugOf } from '@/core/base/units/slug'
import { summaryOf } from '@/core/record/job/summary'
import { hasFiles, type StoredJob } from '@/core/record/job/job'
import { readWholeJob, type WholeJob } from '@/data/archive'
import { systemClock } from '@/data/clock'
import { database } from '@/data/shared'
import { saveBlob } from '@/ui/saveBlob'
import { filesClient } from '@/workers/filesClient'
import { titleOf } from '@/core/report/jobText'

/** The job's name without anything that a file system dislikes. */
export const fileStem = (job: StoredJob): string => slugOf(titleOf(summaryOf(job)), 60) || 'job'

/** Buffers of a job's logs and photos: they go over to the worker instead of being copied. */
export const buffersOf = ({ files }: Pick<WholeJob, 'files'>): ArrayBufferLike[] => [
  ...Object.values(files.logs).flatMap(({ time, values }) => [
    time.buffer,
    ...values.map(({ buffer }) => buffer),
  ]),
  ...Object.values(files.photos).map(({ buffer }) => buffer),
]

async function wholeOf(jobId: string): Promise<WholeJob> {
  const whole = await readWholeJob(database(), jobId)
  if (!whole) throw new Error('this job is no longer here')
  return whole
}

async function archiveOf(jobId: string): Promise<Blob> {
  const whole = await wholeOf(jobId)
  const question = { ...whole, at: systemClock.now() }
  return filesClient().ask('pack', question, { transfer: buffersOf(whole) })
}

async function documentBlob(jobId: string): Promise<Blob> {
  const { job, envelopes } = await wholeOf(jobId)
  return new Blob([writeJobText(job, envelopes)], { type: 'application/json' })
}

/** Name of the job's file. */
export const fileName = (job: StoredJob): string => `${fileStem(job)}.orzo.${hasFiles(job) ? 'zip' : 'json'}`

/** Hands the job to the browser as a download: its document, or with logs or photos all of it in one zip file. */
export async function downloadJob(job: StoredJob): Promise<void> {
  saveBlob(hasFiles(job) ? await archiveOf(job.id) : await documentBlob(job.id), fileName(job))
}
