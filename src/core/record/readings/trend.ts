import { MINUTE } from '../../base/units/time'
import { lineThrough } from '../../base/numeric/line'

/** A value of one instrument at a moment. */
export type TimedValue = { readonly at: number; readonly value: number }

export type Trend = {
  /** change a minute, in the unit of the values */
  readonly perMinute: number
  /** whether it stood still, within the error, for the whole of the chosen time */
  readonly settled: boolean
}

/** Fewer values tell no slope. */
const LEAST_VALUES = 4
/** A window counts as filled when its values reach over this share of it. */
const FILLED = 0.9

/**
 * Slope of the last stretch of a stream, and whether it has settled: over the window its line moves by no more than the
 * error. [physics]
 * @param values in the order of time, ms since any start
 * @param window length of the stretch, ms
 * @param error how far the value may drift over the window and still count as still, in the unit of the values
 * @returns undefined while there are too few values
 */
export function trendOf(values: readonly TimedValue[], window: number, error: number): Trend | undefined {
  const last = values.at(-1)
  if (!last) return undefined
  const recent = values.filter(({ at }) => at >= last.at - window)
  const [first] = recent
  if (!first || recent.length < LEAST_VALUES) return undefined
  const slope =
    lineThrough(
      recent.map(({ at }) => at),
      recent.map(({ value }) => value),
    )?.slope ?? 0
  const filled = last.at - first.at >= FILLED * window
  return { perMinute: slope * MINUTE, settled: filled && Math.abs(slope) * window <= error }
}
