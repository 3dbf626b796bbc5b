import { convertValue } from '@/core/base/units/convertValue'
import { shownUnit, type UnitSystem } from '@/core/base/units/system'
import type { Quantity } from '@/core/base/units/units'
import type { Reading } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { LiveTap } from '@/instruments/session'

/** A live value in the chosen units, as exact as its instrument shows it. */
export function liveIn({ value, unit }: Pick<LiveTap, 'value' | 'unit'>, system: UnitSystem): Quantity {
  const to = shownUnit(unit, system)
  if (to === unit) return { value, unit }
  return { value: Number(convertValue({ value, unit }, to).toPrecision(4)), unit: to }
}

const readingOf = (live: LiveTap, system: UnitSystem): Reading => ({
  ...liveIn(live, system),
  at: new Date(live.at).toISOString(),
  source: 'probe',
  instrument: live.name,
})

/** Live values as readings. */
export const captured = (
  taps: Iterable<readonly [ReadingKey, LiveTap]>,
  system: UnitSystem,
): (readonly [ReadingKey, Reading])[] => [...taps].map(([key, live]) => [key, readingOf(live, system)])
