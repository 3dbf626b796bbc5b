import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import type { TapView } from './tapView'

/** A tap that was not read, changed where said; what tests draw. */
export const unreadTap = (key: ReadingKey, more: Partial<TapView> = {}): TapView => ({
  key,
  label: readingRow(key).label,
  short: readingRow(key).short,
  value: undefined,
  unit: undefined,
  error: undefined,
  age: undefined,
  wanted: false,
  flagged: false,
  doubtful: false,
  stale: false,
  live: undefined,
  trend: undefined,
  ...more,
})
