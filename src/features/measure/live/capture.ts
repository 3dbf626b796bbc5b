import type { Job } from '@/core/record/job/job'
import type { Reading } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { LiveTap } from '@/instruments/session'
import { repeated, withReading, withSet } from '../sets'

const readingOf = ({ value, unit, at, name }: LiveTap): Reading => ({
  value,
  unit,
  at: new Date(at).toISOString(),
  source: 'probe',
  instrument: name,
})

/** Puts live values into a set; the value a tap had before goes into its history. */
export const captured = (
  job: Job,
  setIndex: number,
  taps: Iterable<readonly [ReadingKey, LiveTap]>,
  now: string,
): Job =>
  withSet(job, setIndex, now, (set) =>
    [...taps].reduce(
      (each, [key, live]) => withReading(each, key, repeated(readingOf(live), each.readings[key])),
      set,
    ),
  )
