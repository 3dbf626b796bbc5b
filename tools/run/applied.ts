import type { Edit } from '@/core/record/edits/edit'
import type { KnownJob } from '@/core/record/job/job'

let ids = 0

/** A job after some edits, all made at one moment, with ids of its own. @param at ms */
export const applied = (job: KnownJob, at: number, all: readonly Edit[]): KnownJob =>
  all.reduce<KnownJob>(
    (now, each) => each(now, { now: new Date(at).toISOString(), newId: () => `id-${++ids}` }) as KnownJob,
    job,
  )
