import { isWaterCooled } from '../record/equipment/kinds'
import { moistAir } from '../physics/air/moistAir'
import type { Mode } from '../record/readings/schema'
import type { UnitPlate } from '../record/equipment/unit'
import { toKelvin } from '../base/units/convert'
import type { Entering, Surroundings } from './hardware'

/** Air and water round the unit, K; humidity as a share. What is left out is filled in by usual values. */
export type Conditions = {
  readonly outdoorAirTemp?: number
  readonly outdoorHumidity?: number
  readonly returnAirTemp?: number
  readonly returnAirWetBulb?: number
  readonly boxTemp?: number
  readonly boxHumidity?: number
  readonly waterInTemp?: number
}

export type RunningMode = Exclude<Mode, 'off'>

const f = (value: number) => toKelvin({ value, unit: 'F' })

/** [practice] an ordinary day: 85 F, room 75 F at half humidity; boxes at their setpoint. */
const OUTDOOR = f(85)
const OUTDOOR_HEATING = f(47)
const OUTDOOR_HUMIDITY = 0.5
const OUTDOOR_HUMIDITY_HEATING = 0.73
const ROOM = f(75)
const ROOM_HEATING = f(70)
const ROOM_HUMIDITY = 0.5
const BOX: Partial<Record<UnitPlate['kind'], number>> = {
  'walk-in-cooler': f(36),
  'walk-in-freezer': f(-5),
  'reach-in': f(38),
}
const BOX_HUMIDITY = 0.85
const WATER_COOLING = f(85)
const WATER_HEATING = f(65)
const POOL = f(80)

export const isBox = (unit: UnitPlate): boolean => BOX[unit.kind] !== undefined
export const isPool = (unit: UnitPlate): boolean => unit.kind === 'pool-heat-pump'

/** Conditions with every value filled in. */
export type FullConditions = Required<Omit<Conditions, 'returnAirWetBulb'>> & {
  readonly returnAirWetBulb: number | undefined
}

export function fillConditions(unit: UnitPlate, mode: RunningMode, given: Conditions): FullConditions {
  const heating = mode === 'heating'
  const water = isPool(unit) ? POOL : heating ? WATER_HEATING : WATER_COOLING
  const warmOutdoors = !heating || isPool(unit)
  return {
    outdoorAirTemp: given.outdoorAirTemp ?? (warmOutdoors ? OUTDOOR : OUTDOOR_HEATING),
    outdoorHumidity: given.outdoorHumidity ?? (warmOutdoors ? OUTDOOR_HUMIDITY : OUTDOOR_HUMIDITY_HEATING),
    returnAirTemp: given.returnAirTemp ?? (heating ? ROOM_HEATING : ROOM),
    returnAirWetBulb: given.returnAirWetBulb,
    boxTemp: given.boxTemp ?? BOX[unit.kind] ?? f(38),
    boxHumidity: given.boxHumidity ?? BOX_HUMIDITY,
    waterInTemp: given.waterInTemp ?? water,
  }
}

const air = (temperature: number, humidity: number, atmosphere: number): Entering => ({
  kind: 'air',
  ...moistAir(temperature, { humidity }, atmosphere),
})

/** The air or water that a unit's coils meet. @throws OrzoError out-of-range when a wet bulb is above its dry bulb */
export function surroundingsOf(
  unit: UnitPlate,
  mode: RunningMode,
  at: FullConditions,
  atmosphere: number,
): Surroundings {
  const outdoor = air(at.outdoorAirTemp, at.outdoorHumidity, atmosphere)
  const water: Entering = { kind: 'water', temperature: at.waterInTemp }
  const ambient = at.outdoorAirTemp
  if (isPool(unit)) return { condenser: water, evaporator: outdoor, ambient }
  const source = isWaterCooled(unit) ? water : outdoor
  const space = spaceAir(unit, at, atmosphere)
  return mode === 'cooling'
    ? { condenser: source, evaporator: space, ambient }
    : { condenser: space, evaporator: source, ambient }
}

function spaceAir(unit: UnitPlate, at: FullConditions, atmosphere: number): Entering {
  if (isBox(unit)) return air(at.boxTemp, at.boxHumidity, atmosphere)
  if (at.returnAirWetBulb === undefined) return air(at.returnAirTemp, ROOM_HUMIDITY, atmosphere)
  return { kind: 'air', ...moistAir(at.returnAirTemp, { wetBulb: at.returnAirWetBulb }, atmosphere) }
}
