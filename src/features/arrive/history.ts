import type { JobSummary } from '@/core/record/job/summary'

/** What a list knows of a job. */
type Listed = { readonly id: string; readonly summary: JobSummary }

const same = (a: string | undefined, b: string | undefined) =>
  a !== undefined && b !== undefined && a.trim() !== '' && a.trim().toLowerCase() === b.trim().toLowerCase()

/** Earlier and other jobs on the same unit: the same name at the same site. Without a name none is known. */
export const jobsOfUnit = <T extends Listed>(job: Listed, all: readonly T[]): T[] =>
  all.filter(
    ({ id, summary: other }) =>
      id !== job.id &&
      (same(other.unitName, job.summary.unitName) || same(other.title, job.summary.title)) &&
      (same(other.siteName, job.summary.siteName) || !job.summary.siteName || !other.siteName),
  )

/** Jobs whose plate can be copied: the unit next door, the one before. */
export const platesToCopy = <T extends Listed>(job: Listed, all: readonly T[]): T[] =>
  all.filter(({ id }) => id !== job.id)
