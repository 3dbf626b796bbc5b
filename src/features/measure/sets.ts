import { mainMode } from '@/core/record/equipment/kinds'
import { carriedOver } from '@/core/record/edits/carry'
import type { Job } from '@/core/record/job/job'
import { MOST_REPEATS, type Observations, type Reading, type ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'

/** Changes one set of a job; the first reading of a job makes its first set. */
export function withSet(job: Job, index: number, now: string, change: (set: ReadingSet) => ReadingSet): Job {
  const sets = job.readingSets.length > 0 ? job.readingSets : [firstSet(job, now)]
  return { ...job, readingSets: sets.map((set, i) => (i === index ? change(set) : set)) }
}

const firstSet = (job: Job, now: string): ReadingSet => ({
  at: now,
  label: 'as found',
  mode: mainMode(job.unit),
  readings: {},
})

/** Puts a reading in, or takes it out. */
export const withReading = (set: ReadingSet, key: ReadingKey, reading: Reading | undefined): ReadingSet => ({
  ...set,
  readings: { ...set.readings, [key]: reading },
})

export const withObservation = (
  set: ReadingSet,
  key: keyof Observations,
  value: string | number | undefined,
): ReadingSet => ({
  ...set,
  observations: { ...set.observations, [key]: value },
})

/** What is known of the inside over all sets; a later word replaces an earlier one. */
export const mergedObservations = (job: Job): Observations =>
  Object.assign({}, ...job.readingSets.map((set) => set.observations ?? {}))

/** Puts a word on the latest set and takes other words for it off the earlier ones, so that the answer is one. */
export function withLatestObservation(
  job: Job,
  key: keyof Observations,
  value: string | number | undefined,
  now: string,
): Job {
  const sets = job.readingSets.length > 0 ? job.readingSets : [firstSet(job, now)]
  const last = sets.length - 1
  return {
    ...job,
    readingSets: sets.map((set, i) => withObservation(set, key, i === last ? value : undefined)),
  }
}

/** Label of the next set: after a decided repair it is the proof. */
const nextLabel = (job: Job) => (job.decision?.fault ? 'after repair' : `set ${job.readingSets.length + 1}`)

/** Starts a new set in the same mode; what does not change by itself goes along. */
export function addSet(job: Job, now: string): Job {
  const mode = job.readingSets.at(-1)?.mode ?? mainMode(job.unit)
  const sets = job.readingSets.length > 0 ? job.readingSets : [firstSet(job, now)]
  return { ...job, readingSets: [...sets, { at: now, label: nextLabel(job), mode, ...carriedOver(job) }] }
}

/** The new reading of a tap with what the tap read before in this set. */
export function repeated(reading: Reading, original: Reading | undefined): Reading {
  if (!original || (original.value === reading.value && original.unit === reading.unit)) return reading
  const { value, unit, at, before = [], note } = original
  const earlier = [...before, { value, unit, ...(at ? { at } : {}) }].slice(-MOST_REPEATS)
  return { ...reading, before: earlier, ...(note ? { note } : {}) }
}

/** Takes a set out; undo brings it back. */
export const withoutSet = (job: Job, index: number): Job => ({
  ...job,
  readingSets: job.readingSets.filter((_set, i) => i !== index),
})
