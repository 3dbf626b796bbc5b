import type { Reading } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { LiveTap } from '@/instruments/session'

const readingOf = ({ value, unit, at, name }: LiveTap): Reading => ({
  value,
  unit,
  at: new Date(at).toISOString(),
  source: 'probe',
  instrument: name,
})

/** Live values as readings. */
export const captured = (
  taps: Iterable<readonly [ReadingKey, LiveTap]>,
): (readonly [ReadingKey, Reading])[] => [...taps].map(([key, live]) => [key, readingOf(live)])
