import type { UnitPlate } from '../../record/equipment/unit'
import { saturatedState } from '../../physics/refrigerants/saturation'
import { type OilFamily, usualOilOf } from '../../physics/refrigerants/catalogue'
import { toSI } from '../../base/units/convert'

/** [memory] common small units, where the plate is silent. */
const DEFAULT_TONS = 3
const CHARGE_KG_PER_TON = 0.9
const OIL_CUBIC_METRES_PER_TON = 0.0004
/** [memory] share of the inner volume that the charge fills as liquid at room temperature. */
const LIQUID_FILL = 0.35
const ROOM_KELVIN = 298.15
/** [physics] oil densities, kg/m3, handbook 06. */
const OIL_DENSITY: Readonly<Record<OilFamily, number>> = {
  mineral: 910,
  alkylbenzene: 870,
  POE: 980,
  PVE: 930,
}

export type CircuitSize = {
  readonly tons: number
  /** inner volume, m3 */
  readonly volume: number
  /** oil, kg and m3 */
  readonly oilMass: number
  readonly oilVolume: number
  readonly oil: OilFamily
  /** what was not on the plate and had to be assumed */
  readonly assumed: readonly string[]
}

/** Usual oil where the plate is silent. */
const usualOil = (unit: UnitPlate): CircuitSize['oil'] => unit.compressor?.oil ?? usualOilOf(unit.refrigerant)

/** Size of a circuit from its plate; every assumption is named. */
export function circuitSize(unit: UnitPlate): CircuitSize {
  const tons = unit.nominalTons ?? DEFAULT_TONS
  const charge = unit.factoryCharge ? toSI(unit.factoryCharge) : tons * CHARGE_KG_PER_TON
  const oilVolume = unit.oilCharge ? toSI(unit.oilCharge) : tons * OIL_CUBIC_METRES_PER_TON
  const oil = usualOil(unit)
  const assumptions: readonly (readonly [boolean, string])[] = [
    [unit.nominalTons === undefined, `${DEFAULT_TONS} tons, as the plate's tons are not entered`],
    [unit.factoryCharge === undefined, 'charge by tons, as the plate charge is not entered'],
    [unit.oilCharge === undefined, 'oil by tons, as the oil charge is not entered'],
    [unit.compressor?.oil === undefined, `${oil} oil, usual with ${unit.refrigerant}`],
  ]
  return {
    tons,
    volume: charge / saturatedState(unit.refrigerant, 'bubble', ROOM_KELVIN).density / LIQUID_FILL,
    oilMass: oilVolume * OIL_DENSITY[oil],
    oilVolume,
    oil,
    assumed: assumptions.filter(([missing]) => missing).map(([, text]) => text),
  }
}
