import { valueAt } from '../../base/numeric/between'
import { nitrogenPressureAt } from './nitrogen'

/** One look at the gauge. Pa absolute */
export type HoldPoint = { readonly seconds: number; readonly pascals: number }
/** One look at the clamp on the pipe, K */
export type WarmthPoint = { readonly seconds: number; readonly kelvin: number }

/** How well the instruments see. SI. */
export type HoldErrors = {
  /** how far a gauge at rest wanders, Pa */
  readonly repeatability: number
  /** how well a change of the gas's temperature is known where it is measured, and where it is not, K */
  readonly measuredKelvin: number
  readonly guessedKelvin: number
}

/** [practice] handbook 07: a gauge repeats within about 0.1 psi, a clamp follows a change within 1 F. */
const USUAL_ERRORS: HoldErrors = {
  repeatability: 689,
  measuredKelvin: 1 / 1.8,
  // [practice] the gas under a roof or in a cellar drifts this far in half an hour while nobody looks
  guessedKelvin: 5 / 1.8,
}

export type Hold = {
  readonly seconds: number
  /** change that no temperature explains, Pa; negative is a loss */
  readonly change: number
  /** within which nothing is said, Pa */
  readonly error: number
  /** change that the temperature explains, Pa; 0 where it is not measured */
  readonly byTemperature: number
  readonly isTemperatureMeasured: boolean
  readonly verdict: 'held' | 'falls' | 'rises'
  /** smallest fall that this hold could have seen, Pa a second */
  readonly leastSeen: number
  /** fall that was seen, Pa a second; 0 where nothing was */
  readonly seen: number
}

const LEAST_POINTS = 2
/** K of a gas that nobody measured. */
const USUAL_KELVIN = 297

const known = (points: readonly HoldPoint[]) =>
  points.filter(({ pascals, seconds }) => Number.isFinite(pascals) && Number.isFinite(seconds))

/** [practice] the first and the last look at the clamp may lie this far inside the hold: this share of it, two minutes at least. */
const INSIDE_SHARE = 0.1
const INSIDE_SECONDS = 120

/** Whether looks at the clamp tell what the gas did over a hold: two at least, near its beginning and its end. */
function covers(warmth: readonly WarmthPoint[], from: number, to: number): boolean {
  const [first, last] = [warmth[0], warmth.at(-1)]
  if (!first || !last || last.seconds <= first.seconds) return false
  const inside = Math.max(INSIDE_SHARE * (to - from), INSIDE_SECONDS)
  return first.seconds - from <= inside && to - last.seconds <= inside && last.seconds > from
}

/** What is read at an end is the mean of this share of the looks; of few it is one. */
const END_SHARE = 0.1
/** A gauge in steps is known no better than this share of its repeatability, however often it is read. */
const LEAST_GAUGE = 0.5

/**
 * What changed from end to end. What the gas did between counts only where a clamp saw it, so the looks between are not asked.
 * @param steady Pa of a look, had the gas stayed as warm as at the beginning
 * @returns Pa, and the looks at each end
 */
function betweenEnds(
  points: readonly HoldPoint[],
  steady: (point: HoldPoint) => number,
): { readonly change: number; readonly count: number } {
  const count = Math.max(1, Math.floor(points.length * END_SHARE))
  const mean = (of: readonly HoldPoint[], value: (point: HoldPoint) => number) =>
    of.reduce((sum, point) => sum + value(point), 0) / of.length
  const [head, tail] = [points.slice(0, count), points.slice(-count)]
  const whole = (points.at(-1) as HoldPoint).seconds - (points[0] as HoldPoint).seconds
  const apart = mean(tail, ({ seconds }) => seconds) - mean(head, ({ seconds }) => seconds)
  return { change: ((mean(tail, steady) - mean(head, steady)) * whole) / apart, count }
}

/**
 * Judges nitrogen that is held in a closed volume: P2 (abs) = P1 (abs) x T2 / T1, the change that is left against what gauge
 * and clamp can tell (handbook 07) [physics].
 * @param points from the start of the hold, in order of time
 * @param warmth looks at the clamp, in order of time; interpolated. One look, or looks that leave out an end, measure nothing
 * @returns undefined for fewer than two points, or where no time passed
 */
export function judgeHold(
  points: readonly HoldPoint[],
  warmth: readonly WarmthPoint[] = [],
  errors: HoldErrors = USUAL_ERRORS,
): Hold | undefined {
  const seen = known(points)
  const [first, last] = [seen[0], seen.at(-1)]
  if (seen.length < LEAST_POINTS || !first || !last || last.seconds <= first.seconds) return undefined
  const seconds = last.seconds - first.seconds
  const isMeasured = covers(warmth, first.seconds, last.seconds)
  const clamp = warmth.map(({ seconds: at, kelvin }) => ({ seconds: at, value: kelvin }))
  const kelvinAt = (at: number) => (isMeasured && valueAt(clamp, at)) || USUAL_KELVIN
  const begin = kelvinAt(first.seconds)
  const { change, count } = betweenEnds(seen, (point) =>
    nitrogenPressureAt(point.pascals, kelvinAt(point.seconds), begin),
  )
  const byKelvin = first.pascals * ((isMeasured ? errors.measuredKelvin : errors.guessedKelvin) / begin)
  // means of many looks are known better than one look, as far as its steps let them
  const byGauge = errors.repeatability * Math.max(1 / Math.sqrt(count), LEAST_GAUGE)
  const error = byGauge + byKelvin
  const verdict = Math.abs(change) <= error ? 'held' : change < 0 ? 'falls' : 'rises'
  return {
    seconds,
    change,
    error,
    byTemperature: isMeasured ? last.pascals - first.pascals - change : 0,
    isTemperatureMeasured: isMeasured,
    verdict,
    leastSeen: error / seconds,
    seen: verdict === 'falls' ? -change / seconds : 0,
  }
}
