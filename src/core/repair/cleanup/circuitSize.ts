import { assumed, computed, type Known, known } from '../../base/known/known'
import { toKelvin, toSI } from '../../base/units/convert'
import type { OilFamily } from '../../physics/refrigerants/catalogue'
import { saturatedDensity } from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Range } from './exposure'
import { extraLine } from './extraLine'
import { oilMassOf, oilOf } from './oils'
import { SIZE_ROWS } from './sizeRows'
import { type TonsEstimate, tonsEstimates } from './tons'
import { USUAL } from './usual'

/** [memory] share of the inner volume that the charge fills as liquid at room temperature: 15-37 %. */
const LIQUID_FILL = { low: 0.15, likely: 0.25, high: 0.37 } as const
export const ROOM_KELVIN = toKelvin({ value: 75, unit: 'F' })
/** [practice] a plate below this, kg, is an appliance's: its charge is weighed to the tenth of an ounce. */
const APPLIANCE_CHARGE = 0.9

/** How large a circuit is. Each figure says how it is known; one that is assumed judges nothing. */
export type CircuitSize = {
  readonly tons: Known<number>
  /** how the tons are estimated; empty where the plate says them */
  readonly estimates: readonly TonsEstimate[]
  /** plate charge, kg; undefined where nobody knows it: no figure stands in its place (handbook 09) */
  readonly charge: Known<number> | undefined
  /** the plate charge or a guess at it, kg: chooses cylinder, hoses and blocks, judges nothing */
  readonly chargeGuess: Known<number>
  /** inner volume, m3, and its two sides by how much of it the charge fills */
  readonly volume: Known<number>
  readonly volumeRange: Range
  /** oil, kg and m3 */
  readonly oilMass: Known<number>
  readonly oilVolume: Known<number>
  readonly oil: Known<OilFamily>
  /** a few ounces: an appliance, not a small air conditioner */
  readonly isAppliance: Known<boolean>
  /** what was not on the plate and had to be assumed */
  readonly assumed: readonly string[]
}

const BY_WORDS = { displacement: 'displacement', amps: 'rated load amps', charge: 'plate charge' } as const

/** Geometric mean: each estimate errs by a factor. */
const meanOf = (all: readonly TonsEstimate[]) =>
  Math.exp(all.reduce((sum, { tons }) => sum + Math.log(tons), 0) / all.length)

const estimateText = (all: readonly TonsEstimate[], tons: number, kind: UnitPlate['kind']) =>
  all.length > 0
    ? `${tons.toPrecision(2)} tons by ${all.map(({ by, tons: one }) => `${BY_WORDS[by]} (${one.toPrecision(2)} tons)`).join(' and ')}`
    : `${tons} tons, usual for ${kind}`

function tonsOf(unit: UnitPlate, estimates: readonly TonsEstimate[]): Known<number> {
  if (unit.nominalTons !== undefined) return known(unit.nominalTons, 'plate', 'tons of the plate')
  const tons = estimates.length > 0 ? meanOf(estimates) : SIZE_ROWS[unit.kind].tons
  return assumed(tons, estimateText(estimates, tons, unit.kind), 'nominalTons')
}

const GUESSED_CHARGE = 'charge by tons, as the plate charge is not entered'
const GUESSED_OIL = 'oil by tons, as the oil charge is not entered'

function oilVolumeOf(unit: UnitPlate, tons: number): Known<number> {
  if (unit.oilCharge) return known(toSI(unit.oilCharge), 'plate', 'oil charge of the plate')
  return assumed(Math.max(tons * USUAL.oilPerTon, USUAL.leastOil), GUESSED_OIL, 'oilCharge')
}

function oilKind(unit: UnitPlate): Known<OilFamily> {
  const oil = oilOf(unit)
  return unit.compressor?.oil
    ? known(oil, 'plate', 'oil of the plate')
    : assumed(oil, `${oil} oil, usual with ${unit.refrigerant}`, 'oilKind')
}

/** Inner volume on each side of its fill, with the lines beyond the plate. m3 */
function volumesOf(unit: UnitPlate, charge: number, more: number): Range {
  const made = unit.convertedFrom ?? unit.refrigerant
  const liquid = charge / saturatedDensity(made, 'bubble', ROOM_KELVIN)
  return {
    low: liquid / LIQUID_FILL.high + more,
    likely: liquid / LIQUID_FILL.likely + more,
    high: liquid / LIQUID_FILL.low + more,
  }
}

/** Size of a circuit from its plate; every assumption is named. @throws OrzoError out-of-range, not-loaded */
export function circuitSize(unit: UnitPlate): CircuitSize {
  const estimates = unit.nominalTons === undefined ? tonsEstimates(unit) : []
  const tons = tonsOf(unit, estimates)
  const charge = unit.factoryCharge ? known(toSI(unit.factoryCharge), 'plate', 'plate charge') : undefined
  const chargeGuess =
    charge ?? assumed(tons.value * SIZE_ROWS[unit.kind].chargePerTon, GUESSED_CHARGE, 'factoryCharge')
  const oilVolume = oilVolumeOf(unit, tons.value)
  const oil = oilKind(unit)
  const lines = extraLine(unit)
  const volumeRange = volumesOf(unit, chargeGuess.value, lines.volume)
  const given = [tons, chargeGuess, oilVolume, oil]
  return {
    tons,
    estimates,
    charge,
    chargeGuess,
    volume: computed(volumeRange.likely, chargeGuess, lines.basis),
    volumeRange,
    oilMass: computed(oilMassOf(oilVolume.value, oil.value), oilVolume, oil),
    oilVolume,
    oil,
    isAppliance: computed(chargeGuess.value < APPLIANCE_CHARGE, chargeGuess),
    assumed: given.filter(({ source }) => source === 'assumed').flatMap(({ from }) => from),
  }
}
