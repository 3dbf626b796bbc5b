import { isWaterCooled } from '../../record/equipment/kinds'
import type { Derived } from '../../record/readings/derive'
import type { Snapshot } from '../../record/readings/snapshot'
import type { UnitPlate } from '../../record/equipment/unit'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { overAmbientOf } from '../../record/equipment/overAmbient'
import type { ProfileId } from './profiles'
import { band, bandAt, shifted, type Target } from './target'

const COMFORT_DTD = band(35, 6, 'practice', '35 F below return air at about 400 cfm a ton')
const BOX_TD = band(12, 4, 'practice', '10-15 F below the box')
const COMFORT_UNKNOWN = bandAt(40, 8, 'practice', 'wide: return air would narrow it')
const BOX_UNKNOWN: Record<'cooler' | 'freezer', Target> = {
  cooler: bandAt(25, 12, 'practice', 'wide: the box temperature would narrow it'),
  freezer: bandAt(-12, 12, 'practice', 'wide: the box temperature would narrow it'),
}

/**
 * [physics] evaporator difference in F by return humidity, as the simulated circuit shows it, set to the handbook's 35 F at
 * half humidity: moist air gives more heat a degree, so the coil runs warmer (docs/simulator.md).
 */
const DIFFERENCE_BY_HUMIDITY: readonly (readonly [humidity: number, degrees: number])[] = [
  [0, 39],
  [0.35, 38.5],
  [0.5, 35],
  [0.65, 31.7],
  [0.8, 28.8],
  [1, 25],
]

/** Straight lines between the rows of a table. */
function interpolated(rows: readonly (readonly [number, number])[], at: number): number {
  const above = rows.findIndex(([x]) => x >= at)
  const [x1, y1] = rows[Math.max(above, 1)] ?? (rows.at(-1) as readonly [number, number])
  const [x0, y0] = rows[Math.max(above, 1) - 1] ?? (rows[0] as readonly [number, number])
  return y0 + ((at - x0) / (x1 - x0)) * (y1 - y0)
}

function comfortDifference({ returnHumidity }: Derived): Target {
  if (!returnHumidity) return COMFORT_DTD
  const degrees = interpolated(DIFFERENCE_BY_HUMIDITY, Math.min(returnHumidity.value, 1))
  const percent = Math.round(returnHumidity.value * 100)
  return band(
    degrees,
    5,
    'physics',
    `35 F below return air, moved to ${percent} % humidity by the simulated circuit`,
  )
}

/** Mean evaporating temperature. */
export function evaporatingTarget(profile: ProfileId, at: Snapshot, derived: Derived): Target {
  if (profile === 'comfort-cooling') {
    const { returnAirTemp } = at.values
    return returnAirTemp ? shifted(returnAirTemp, comfortDifference(derived), -1) : COMFORT_UNKNOWN
  }
  const { boxTemp } = at.values
  const unknown = BOX_UNKNOWN[profile === 'freezer' ? 'freezer' : 'cooler']
  return boxTemp ? shifted(boxTemp, BOX_TD, -1) : unknown
}

/** Condensing over outdoor air of a sound air-cooled unit, as a difference. */
function overAmbient(unit: UnitPlate): Target {
  const { degrees, halfWidth, source } = overAmbientOf(unit)
  return band(degrees, halfWidth, 'practice', source)
}

const OVER_WATER = band(10, 5, 'memory', '5-15 F over leaving water')
const CONDENSING_UNKNOWN = bandAt(112, 22, 'practice', 'wide: outdoor air would narrow it')
const WATER_UNKNOWN = bandAt(100, 15, 'practice', 'wide: leaving water would narrow it')

const FLOOR = bandAt(94, 6, 'practice', 'head-pressure control holds 90-95 F saturation in cold weather')

/** Mean condensing temperature in cooling. */
export function condensingTarget(unit: UnitPlate, at: Snapshot): Target {
  if (isWaterCooled(unit)) {
    const { waterOutTemp } = at.values
    return waterOutTemp ? shifted(waterOutTemp, OVER_WATER, 1) : WATER_UNKNOWN
  }
  const { outdoorAirTemp } = at.values
  const free = outdoorAirTemp ? shifted(outdoorAirTemp, overAmbient(unit), 1) : CONDENSING_UNKNOWN
  return unit.headPressureControl && free.value < FLOOR.value ? FLOOR : free
}

/** [practice] split in F by return humidity, at sea level and about 400 cfm a ton. */
const SPLIT_BY_HUMIDITY: readonly (readonly [humidity: number, degrees: number])[] = [
  [0, 25],
  [0.35, 22],
  [0.5, 20],
  [0.67, 15],
  [1, 10],
]

/** Return minus supply air; thin air carries less heat a cubic foot, so the split grows with elevation [physics]. */
export function splitTarget(profile: ProfileId, at: Snapshot, derived: Derived): Target | undefined {
  if (profile !== 'comfort-cooling') return undefined
  const thinner = SEA_LEVEL_PASCALS / at.atmosphere
  const { returnHumidity } = derived
  if (!returnHumidity)
    return band(18 * thinner, 5 * thinner, 'practice', 'wide: return humidity would narrow it')
  const degrees = interpolated(SPLIT_BY_HUMIDITY, Math.min(returnHumidity.value, 1)) * thinner
  const percent = Math.round(returnHumidity.value * 100)
  return band(
    degrees,
    3 * thinner,
    'practice',
    `${percent} % return humidity, corrected for local air density`,
  )
}
