import { writeJobText } from '@/core/job/readJob'
import type { StoredJob } from '@/data/jobs'
import { titleOf } from '../jobs/jobText'

/** A file name without anything that a file system dislikes. */
export const fileName = (job: StoredJob): string =>
  `${
    titleOf(job)
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'job'
  }.orzo.json`

/** Hands the job to the browser as a download. */
export function downloadJob(job: StoredJob): void {
  const address = URL.createObjectURL(new Blob([writeJobText(job)], { type: 'application/json' }))
  const link = document.createElement('a')
  link.href = address
  link.download = fileName(job)
  link.click()
  setTimeout(() => URL.revokeObjectURL(address), 1000)
}
