import { bracketedRoot } from '../base/numeric/root'
import { differenceToKelvin } from '../base/units/convert'
import { subcooledLiquid } from '../physics/refrigerants/liquid'
import { bubbleAtMeanCondensing } from '../physics/refrigerants/meanTemperature'
import { saturationTemperature } from '../physics/refrigerants/saturation'
import { isobarAt, superheatedVapour, vapourOfEnthalpy } from '../physics/refrigerants/vapour'
import type { UnitPlate } from '../record/equipment/unit'
import { type CompressorDuty, runCompressor } from './compressor'
import { SHAPES } from './compressorShapes'
import type { Compressor } from './hardware'
import type { KindRow } from './kinds'
import type { Physics } from './physics'
import { type RatingPoint, ratingPoint } from './ratingPoint'
import { type Corners, cornersAtBubble, cornersAtDew } from './saturations'

export const LITRE = 1e-3
const difference = (value: number) => differenceToKelvin(value, 'F')

/** [practice] a liquid line loses about a degree. */
export const LIQUID_LINE_LOSS_KELVIN = difference(1)
const SHELL_LOSS_SHARE = 0.07
/** [memory] litres a ton of hermetic shell above the oil. */
const SHELL_LITRES = 1.0

const tonsOf = (unit: UnitPlate, row: KindRow) => unit.nominalTons ?? row.tons
export const hasReceiver = (unit: UnitPlate) => unit.receiver === true || unit.headPressureControl === true

/** What a unit's circuit looks like at its rating point. SI. */
export type Design = {
  readonly unit: UnitPlate
  readonly row: KindRow
  readonly physics: Physics
  readonly tons: number
  readonly rating: RatingPoint
  readonly low: Corners
  readonly high: Corners
  readonly massFlow: number
  readonly enthalpyOut: number
  readonly liquidEnthalpy: number
  readonly suctionPressure: number
  readonly suctionEnthalpy: number
}

/** Saturations and enthalpies that the rating point asks for. */
export function designOf(unit: UnitPlate, row: KindRow, physics: Physics): Design {
  const name = unit.refrigerant
  const rating = ratingPoint(unit, row)
  const low = cornersAtDew(name, rating.boiling)
  const high = cornersAtBubble(name, bubbleAtMeanCondensing(name, rating.condensing))
  const superheat = attainable(rating, low)
  const out = superheatedVapour(name, low.dew, superheat)
  const colder = cornersAtDew(name, low.dew - physics.suctionLoss)
  const gained = superheatedVapour(name, colder.dew, out.temperature + rating.lineGain - colder.dew)
  const liquid = subcooledLiquid(name, high.bubble - subcoolingOf(unit, rating), high.pressure)
  const lost = LIQUID_LINE_LOSS_KELVIN * liquidHeat(name, high)
  const liquidEnthalpy = liquid.enthalpy - lost
  return {
    unit,
    row,
    physics,
    tons: tonsOf(unit, row),
    rating: { ...rating, superheat },
    low,
    high,
    massFlow: rating.capacity / (out.enthalpy - liquidEnthalpy),
    enthalpyOut: out.enthalpy,
    liquidEnthalpy,
    suctionPressure: colder.pressure,
    suctionEnthalpy: gained.enthalpy,
  }
}

/** [physics] vapour cannot leave warmer than the air that enters; it comes within a fifth of the difference. */
const NEAREST_TO_AIR = 0.8
const attainable = (rating: RatingPoint, low: Corners) =>
  Math.min(rating.superheat, NEAREST_TO_AIR * (rating.around.evaporator.temperature - low.dew))

export const subcoolingOf = (unit: UnitPlate, rating: RatingPoint) =>
  hasReceiver(unit) ? difference(4) : rating.subcooling

export const liquidHeat = (name: UnitPlate['refrigerant'], at: Corners) =>
  (subcooledLiquid(name, at.bubble, at.pressure).enthalpy -
    subcooledLiquid(name, at.bubble - 5, at.pressure).enthalpy) /
  5

/** The compressor at the rating's saturations. */
export function pump(design: Design, compressor: Compressor, enthalpy: number): CompressorDuty {
  const { unit, high, suctionPressure: pressure, rating } = design
  const name = unit.refrigerant
  const suction = { pressure, enthalpy, isobar: isobarAt(name, saturationTemperature(name, 'dew', pressure)) }
  const discharge = { pressure: high.pressure, isobar: isobarAt(name, high.dew) }
  return runCompressor(name, compressor, suction, discharge, rating.around.ambient)
}

/** A compressor that pumps the rated flow. */
export function sizeCompressor(design: Design, enthalpy: number): Compressor {
  const { unit, row, physics, tons, high, massFlow, suctionPressure, rating } = design
  const { leakShare, ...usual } = SHAPES[unit.compressor?.type ?? row.compressor]
  const shape = {
    ...usual,
    clearance: usual.clearance * physics.clearance,
    efficiencyFall: usual.efficiencyFall * physics.efficiencyFall,
    suctionWarming: physics.suctionWarming,
  }
  const base = { ...shape, leakArea: 0, shellLoss: 0, freeVolume: tons * SHELL_LITRES * LITRE }
  const run = (compressor: Compressor) => pump(design, compressor, enthalpy)
  const trial = run({ ...base, displacement: massFlow / high.vapourDensity })
  const drop = high.pressure * (1 - Math.max(suctionPressure / high.pressure, 0.55))
  const leakArea = (leakShare * physics.innerLeak * massFlow) / Math.sqrt(2 * trial.dischargeDensity * drop)
  const power = (trial.power / trial.massFlow) * massFlow
  const warm = Math.max(trial.dischargeTemperature - rating.around.ambient, 10)
  const built = { ...base, leakArea, shellLoss: (SHELL_LOSS_SHARE * power) / warm }
  const displacement = bracketedRoot(
    (size) => run({ ...built, displacement: size }).massFlow / massFlow - 1,
    (0.2 * massFlow) / superheatedVapour(unit.refrigerant, design.low.dew, rating.superheat).density,
    (5 * massFlow) / superheatedVapour(unit.refrigerant, design.low.dew, rating.superheat).density,
    1e-12,
  )
  return { ...built, displacement }
}

export const superheatHeat = ({ enthalpyOut, low, rating }: Design) =>
  (enthalpyOut - low.vapourEnthalpy) / rating.superheat

export const suctionTemperatureOf = (design: Design) =>
  temperatureAtPressure(design.unit.refrigerant, design.suctionPressure, design.suctionEnthalpy)

export const temperatureAt = (design: Design, enthalpy: number) =>
  temperatureAtPressure(design.unit.refrigerant, design.high.pressure, enthalpy)

function temperatureAtPressure(name: UnitPlate['refrigerant'], pressure: number, enthalpy: number): number {
  return vapourOfEnthalpy(name, saturationTemperature(name, 'dew', pressure), enthalpy).temperature
}
