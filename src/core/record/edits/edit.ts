import { type Draft, Immer } from 'immer'
import type { Job } from '../job/job'
import { clockOf, jobTime } from '../job/jobTime'

/** What an edit is given from outside: the moment, and ids that do not repeat. */
export type Stamp = { readonly now: string; readonly newId: () => string }

/** One change that a user can make in a round of a job. @throws OrzoError where it cannot be made any more */
export type Edit = (job: Job, stamp: Stamp) => Job

// a job is shared with the screen, which never writes into it: freezing each part again would only cost time
const immer = new Immer({ autoFreeze: false })

/** The moment of an edit in the time of the job: that of the clock, but in a demo job that runs faster. */
function inJobTime(job: Job, stamp: Stamp): Stamp {
  const clock = clockOf(job)
  if (!clock) return stamp
  return { ...stamp, now: new Date(jobTime(clock, Date.parse(stamp.now))).toISOString() }
}

/**
 * Makes an edit from a recipe that writes into a draft; parts that it does not touch stay the same objects. The stamp that the
 * recipe sees is in the time of the job.
 */
export const edit =
  (recipe: (draft: Draft<Job>, stamp: Stamp) => void): Edit =>
  (job, stamp) =>
    immer.produce(job, (draft) => recipe(draft, inJobTime(job, stamp)))

/** Writes a value, or takes the place away where there is none. */
export function put<T extends object, K extends keyof T>(target: T, key: K, value: T[K] | undefined): void {
  if (value === undefined) delete target[key]
  else target[key] = value
}

/** Writes several values; undefined takes a place away. */
export function putAll<T extends object>(target: T, values: { [K in keyof T]?: T[K] | undefined }): void {
  for (const key of Object.keys(values) as (keyof T)[]) put(target, key, values[key])
}
