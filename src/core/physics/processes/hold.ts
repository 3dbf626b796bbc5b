import { lineThrough } from '../../base/numeric/line'
import { nitrogenPressureAt } from './nitrogen'

/** One look at the gauge. Pa absolute; K of the gas where it was measured. */
export type HoldPoint = {
  readonly seconds: number
  readonly pascals: number
  readonly kelvin?: number | undefined
}

/** How well the instruments see. SI. */
export type HoldErrors = {
  /** how far a gauge at rest wanders, Pa */
  readonly repeatability: number
  /** how well a change of the gas's temperature is known where it is measured, and where it is not, K */
  readonly measuredKelvin: number
  readonly guessedKelvin: number
}

/** [practice] handbook 07: a gauge repeats within about 0.1 psi, a clamp follows a change within 1 F. */
export const USUAL_ERRORS: HoldErrors = {
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
  /** change that the temperature explains, Pa */
  readonly byTemperature: number
  readonly isTemperatureMeasured: boolean
  readonly verdict: 'held' | 'falls' | 'rises'
  /** smallest fall that this hold could have seen, Pa a second */
  readonly leastSeen: number
  /** fall that was seen, Pa a second; 0 where nothing was */
  readonly seen: number
}

/** A fall is seen when it is this many errors large: the error is a limit already, not a standard deviation. */
const SURE = 1
const LEAST_POINTS = 2

const known = (points: readonly HoldPoint[]) =>
  points.filter(({ pascals, seconds }) => Number.isFinite(pascals) && Number.isFinite(seconds))

/** Pressures as if the gas had stayed as warm as at the first point. */
function corrected(points: readonly HoldPoint[]): { pressures: number[]; isMeasured: boolean } {
  const [first, last] = [points[0] as HoldPoint, points.at(-1) as HoldPoint]
  const isMeasured = first.kelvin !== undefined && last.kelvin !== undefined
  if (!isMeasured) return { pressures: points.map(({ pascals }) => pascals), isMeasured }
  let kelvin = first.kelvin as number
  const pressures = points.map((point) => {
    // between two looks at the clamp the last one holds
    kelvin = point.kelvin ?? kelvin
    return nitrogenPressureAt(point.pascals, kelvin, first.kelvin as number)
  })
  return { pressures, isMeasured }
}

/**
 * Judges nitrogen that is held in a closed volume: P2 (abs) = P1 (abs) x T2 / T1, the change that is left against what gauge
 * and clamp can tell (handbook 07) [physics].
 * @param points from the start of the hold, in order of time
 * @returns undefined for fewer than two points, or where no time passed
 */
export function judgeHold(points: readonly HoldPoint[], errors: HoldErrors = USUAL_ERRORS): Hold | undefined {
  const seen = known(points)
  const [first, last] = [seen[0], seen.at(-1)]
  if (seen.length < LEAST_POINTS || !first || !last || last.seconds <= first.seconds) return undefined
  const seconds = last.seconds - first.seconds
  const { pressures, isMeasured } = corrected(seen)
  const line = lineThrough(
    seen.map((point) => point.seconds),
    pressures,
  )
  const change = (line?.slope ?? 0) * seconds
  const kelvin = isMeasured ? errors.measuredKelvin : errors.guessedKelvin
  const byKelvin = first.pascals * (kelvin / (first.kelvin ?? 297))
  // two ends of a line through many looks are known better than one look
  const byGauge = errors.repeatability * Math.min(1, 2 / Math.sqrt(seen.length))
  const error = byGauge + byKelvin
  const verdict = Math.abs(change) <= SURE * error ? 'held' : change < 0 ? 'falls' : 'rises'
  return {
    seconds,
    change,
    error,
    byTemperature: last.pascals - first.pascals - change,
    isTemperatureMeasured: isMeasured,
    verdict,
    leastSeen: error / seconds,
    seen: verdict === 'falls' ? -change / seconds : 0,
  }
}
