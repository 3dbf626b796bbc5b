import type { StoredJob } from '@/data/jobs'

const same = (a: string | undefined, b: string | undefined) =>
  a !== undefined && b !== undefined && a.trim() !== '' && a.trim().toLowerCase() === b.trim().toLowerCase()

/** Earlier and other jobs on the same unit: the same name at the same site. Without a name none is known. */
export const jobsOfUnit = (job: StoredJob, all: readonly StoredJob[]): StoredJob[] =>
  all.filter(
    (other) =>
      other.id !== job.id &&
      (same(other.unit.name, job.unit.name) || same(other.title, job.title)) &&
      (same(other.unit.site?.name, job.unit.site?.name) || !job.unit.site?.name || !other.unit.site?.name),
  )

/** Jobs whose plate can be copied: the unit next door, the one before. */
export const platesToCopy = (job: StoredJob, all: readonly StoredJob[]): StoredJob[] =>
  all.filter((other) => other.id !== job.id)
