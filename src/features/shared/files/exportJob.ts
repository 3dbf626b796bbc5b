import { slugOf } from '@/core/base/units/slug'
import { writeJobText } from '@/core/record/job/readJob'
import { summaryOf } from '@/core/record/job/summary'
import type { StoredJob } from '@/core/record/job/job'
import { saveBlob } from '@/ui/saveBlob'
import { titleOf } from '../jobText'

/** The job's name without anything that a file system dislikes. */
export const fileStem = (job: StoredJob): string => slugOf(titleOf(summaryOf(job)), 60) || 'job'

/** Name of the job's file. */
export const fileName = (job: StoredJob): string => `${fileStem(job)}.orzo.json`

/** Hands the job to the browser as a download. */
export const downloadJob = (job: StoredJob): void =>
  saveBlob(new Blob([writeJobText(job)], { type: 'application/json' }), fileName(job))
