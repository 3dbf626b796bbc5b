/** A value of one instrument at a moment. */
export type TimedValue = { readonly at: number; readonly value: number }

export type Trend = {
  /** change a minute, in the unit of the values */
  readonly perMinute: number
  /** whether it stood still, within the error, for the whole of the chosen time */
  readonly settled: boolean
}

const MINUTE = 60_000
/** Fewer values tell no slope. */
const LEAST_VALUES = 4
/** A window counts as filled when its values reach over this share of it. */
const FILLED = 0.9

/** Slope of the least-squares line, units a ms. */
function slopeOf(values: readonly TimedValue[]): number {
  const n = values.length
  const meanAt = values.reduce((sum, { at }) => sum + at, 0) / n
  const meanValue = values.reduce((sum, { value }) => sum + value, 0) / n
  const across = values.reduce((sum, { at, value }) => sum + (at - meanAt) * (value - meanValue), 0)
  const along = values.reduce((sum, { at }) => sum + (at - meanAt) ** 2, 0)
  return along === 0 ? 0 : across / along
}

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
  const slope = slopeOf(recent)
  const filled = last.at - first.at >= FILLED * window
  return { perMinute: slope * MINUTE, settled: filled && Math.abs(slope) * window <= error }
}
