import { toKelvin, toSI } from '../../base/units/convert'
import type { OilFamily } from '../../physics/refrigerants/catalogue'
import { saturatedDensity } from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import { extraLine } from './extraLine'
import { oilMassOf, oilOf } from './oils'
import { SIZE_ROWS } from './sizeRows'
import { type TonsEstimate, tonsEstimates } from './tons'

/** [memory] oil a ton, and what the smallest hermetic holds, m3. */
const OIL_PER_TON = 0.0004
const LEAST_OIL = 0.0002
/** [memory] share of the inner volume that the charge fills as liquid at room temperature: 15-37 %. */
const LIQUID_FILL = 0.25
export const ROOM_KELVIN = toKelvin({ value: 75, unit: 'F' })
/** [practice] a plate below this, kg, is an appliance's: its charge is weighed to the tenth of an ounce. */
const APPLIANCE_CHARGE = 0.9

export type CircuitSize = {
  readonly tons: number
  /** how the tons are known; empty where the plate says them */
  readonly estimates: readonly TonsEstimate[]
  /** plate charge or what is usual, kg */
  readonly charge: number
  /** inner volume, m3 */
  readonly volume: number
  /** oil, kg and m3 */
  readonly oilMass: number
  readonly oilVolume: number
  readonly oil: OilFamily
  /** a few ounces: an appliance, not a small air conditioner */
  readonly isAppliance: boolean
  /** what was not on the plate and had to be assumed */
  readonly assumed: readonly string[]
}

const BY_WORDS = { displacement: 'displacement', amps: 'rated load amps', charge: 'plate charge' } as const

/** Geometric mean: each estimate errs by a factor. */
const meanOf = (all: readonly TonsEstimate[]) =>
  Math.exp(all.reduce((sum, { tons }) => sum + Math.log(tons), 0) / all.length)

const estimateText = (all: readonly TonsEstimate[], tons: number, kind: UnitPlate['kind']) =>
  all.length > 0
    ? `${tons.toPrecision(2)} tons by ${all.map(({ by, tons: one }) => `${BY_WORDS[by]} (${one.toPrecision(2)})`).join(' and ')}`
    : `${tons} tons, usual for ${kind}`

/** Size of a circuit from its plate; every assumption is named. @throws OrzoError out-of-range, not-loaded */
export function circuitSize(unit: UnitPlate): CircuitSize {
  const row = SIZE_ROWS[unit.kind]
  const estimates = unit.nominalTons === undefined ? tonsEstimates(unit) : []
  const tons = unit.nominalTons ?? (estimates.length > 0 ? meanOf(estimates) : row.tons)
  const charge = unit.factoryCharge ? toSI(unit.factoryCharge) : tons * row.chargePerTon
  const oilVolume = unit.oilCharge ? toSI(unit.oilCharge) : Math.max(tons * OIL_PER_TON, LEAST_OIL)
  const oil = oilOf(unit)
  const assumptions: readonly (readonly [boolean, string])[] = [
    [unit.nominalTons === undefined, estimateText(estimates, tons, unit.kind)],
    [unit.factoryCharge === undefined, 'charge by tons, as the plate charge is not entered'],
    [unit.oilCharge === undefined, 'oil by tons, as the oil charge is not entered'],
    [unit.compressor?.oil === undefined, `${oil} oil, usual with ${unit.refrigerant}`],
  ]
  const made = unit.convertedFrom ?? unit.refrigerant
  return {
    tons,
    estimates,
    charge,
    volume: charge / saturatedDensity(made, 'bubble', ROOM_KELVIN) / LIQUID_FILL + extraLine(unit).volume,
    oilMass: oilMassOf(oilVolume, oil),
    oilVolume,
    oil,
    isAppliance: charge < APPLIANCE_CHARGE,
    assumed: assumptions.filter(([missing]) => missing).map(([, text]) => text),
  }
}
