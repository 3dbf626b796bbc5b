import type { Derived } from '../readings/derive'
import type { Measured, Snapshot } from '../readings/snapshot'
import type { UnitPlate } from '../job/unit'
import { SEA_LEVEL_PASCALS } from '../units/atmosphere'
import { isWaterCooled, type ProfileId } from './profiles'
import { band, bandAt, type Target } from './target'

/** Moves a difference target onto a measured temperature; the reading's error widens the band. */
const shifted = (from: Measured, difference: Target, sign: 1 | -1): Target => ({
  ...difference,
  value: from.value + sign * difference.value,
  tolerance: Math.hypot(difference.tolerance, from.error),
})

const COMFORT_DTD = band(35, 6, 'practice', '35 F below return air at about 400 cfm a ton')
const BOX_TD = band(12, 4, 'practice', '10-15 F below the box')
const COMFORT_UNKNOWN = bandAt(40, 8, 'practice', 'wide: return air would narrow it')
const BOX_UNKNOWN: Record<Exclude<ProfileId, 'comfort-cooling'>, Target> = {
  cooler: bandAt(25, 12, 'practice', 'wide: the box temperature would narrow it'),
  freezer: bandAt(-12, 12, 'practice', 'wide: the box temperature would narrow it'),
}

/** Mean evaporating temperature. */
export function evaporatingTarget(profile: ProfileId, at: Snapshot): Target {
  if (profile === 'comfort-cooling') {
    const { returnAirTemp } = at.values
    return returnAirTemp ? shifted(returnAirTemp, COMFORT_DTD, -1) : COMFORT_UNKNOWN
  }
  const { boxTemp } = at.values
  return boxTemp ? shifted(boxTemp, BOX_TD, -1) : BOX_UNKNOWN[profile]
}

/** [practice] condensing over ambient by seasonal rating, F: from the coil of its time. */
const OVER_AMBIENT_BY_SEER: readonly (readonly [upTo: number, degrees: number])[] = [
  [10, 30],
  [13, 25],
  [16, 20],
  [Infinity, 15],
]

/** Condensing over outdoor air of a sound air-cooled unit, as a difference. */
export function overAmbient(unit: UnitPlate, profile: ProfileId): Target {
  if (profile !== 'comfort-cooling') return band(25, 6, 'practice', '20-30 F over outdoor air')
  const { seer } = unit
  if (seer !== undefined) {
    const degrees = OVER_AMBIENT_BY_SEER.find(([upTo]) => seer < upTo)?.[1] ?? 15
    return band(degrees, 5, 'practice', `${degrees} F over outdoor air at a rating of ${seer}`)
  }
  return unit.refrigerant === 'R-22'
    ? band(27, 7, 'practice', '25-30 F over outdoor air on an older coil')
    : band(18, 7, 'practice', '15-20 F over outdoor air on a newer coil')
}

const OVER_WATER = band(10, 5, 'memory', '5-15 F over leaving water')
const CONDENSING_UNKNOWN = bandAt(112, 22, 'practice', 'wide: outdoor air would narrow it')
const WATER_UNKNOWN = bandAt(100, 15, 'practice', 'wide: leaving water would narrow it')

/** Mean condensing temperature. */
export function condensingTarget(unit: UnitPlate, profile: ProfileId, at: Snapshot): Target | undefined {
  if (isWaterCooled(unit)) {
    const { waterOutTemp } = at.values
    return waterOutTemp ? shifted(waterOutTemp, OVER_WATER, 1) : WATER_UNKNOWN
  }
  if (unit.headPressureControl) return undefined
  const { outdoorAirTemp } = at.values
  return outdoorAirTemp ? shifted(outdoorAirTemp, overAmbient(unit, profile), 1) : CONDENSING_UNKNOWN
}

/** [practice] split in F by return humidity, at sea level and about 400 cfm a ton. */
const SPLIT_BY_HUMIDITY: readonly (readonly [humidity: number, degrees: number])[] = [
  [0, 25],
  [0.35, 22],
  [0.5, 20],
  [0.67, 15],
  [1, 10],
]

function splitAt(humidity: number): number {
  const above = SPLIT_BY_HUMIDITY.findIndex(([share]) => share >= humidity)
  const [h1, d1] = SPLIT_BY_HUMIDITY[Math.max(above, 1)] ?? [1, 10]
  const [h0, d0] = SPLIT_BY_HUMIDITY[Math.max(above, 1) - 1] ?? [0, 25]
  return d0 + ((humidity - h0) / (h1 - h0)) * (d1 - d0)
}

/** Return minus supply air; thin air carries less heat a cubic foot, so the split grows with elevation [physics]. */
export function splitTarget(profile: ProfileId, at: Snapshot, derived: Derived): Target | undefined {
  if (profile !== 'comfort-cooling') return undefined
  const thinner = SEA_LEVEL_PASCALS / at.atmosphere
  const { returnHumidity } = derived
  if (!returnHumidity)
    return band(18 * thinner, 5 * thinner, 'practice', 'wide: return humidity would narrow it')
  const degrees = splitAt(returnHumidity.value) * thinner
  const percent = Math.round(returnHumidity.value * 100)
  return band(
    degrees,
    3 * thinner,
    'practice',
    `${percent} % return humidity, corrected for local air density`,
  )
}
