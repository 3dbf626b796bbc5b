import { UNITS } from '../base/units/units'
import { OrzoError } from '../base/errors/orzoError'
import { bracketedRoot } from '../base/numeric/root'
import { toSI } from '../base/units/convert'
import { subcooledLiquid } from '../physics/refrigerants/liquid'
import { superheatedVapour } from '../physics/refrigerants/vapour'
import { condenserConductances, condensingTemperature, singlePhaseShare } from './condenser'
import { evaporate } from './evaporator'
import type { Circuit, Coil, Line } from './hardware'
import type { KindRow } from './kinds'
import {
  type Design,
  hasReceiver,
  LIQUID_LINE_LOSS_KELVIN,
  liquidHeat,
  LITRE,
  subcoolingOf,
} from './ratedDesign'
import { streamOf } from './stream'

const CFM = UNITS.cfm.si
const FOOT = UNITS.ft.si

/** [memory] share of the air that a coil does not touch: comfort coils are deep, box coils open. */
const COMFORT_BYPASS = 0.15
const BOX_BYPASS = 0.3
/** [practice] pressure lost in the liquid line and in a sound dryer. */
/** [memory] a liquid line that is little warmer than the air is not bare copper in a wind for that. */
const LEAST_DRIVE_KELVIN = 8
const LIQUID_LINE_PASCALS = 15_000
const DRYER_PASCALS = 5_000
/** [memory] litres a ton of a dryer core. */
const DRYER_LITRES = 0.1
/** [memory] share of a condenser below a receiver that subcools, and how much of it is flooded at the rating point. */
export const SUBCOOLER_SHARE = 0.06
const RECEIVER_RATED_FLOODED = 0.02
/** [memory] inner areas of usual line sets a ton, m2. */
const LIQUID_BORE_AREA = 5e-5
const VAPOUR_BORE_AREA = 2.6e-4

const isBoxRow = (row: KindRow) => row.evaporatorAir.wet === undefined

/** Coil on the evaporating side: outer film by the bypass factor, inner film by what the rating needs. */
export function sizeEvaporator(design: Design): Coil {
  const { unit, row, physics, tons, rating, low, massFlow, enthalpyOut, liquidEnthalpy } = design
  const flow = row.evaporatorCfmPerTon * tons * CFM
  const volume = row.evaporatorVolume * physics.evaporatorVolume * tons * LITRE
  const bypass = isBoxRow(row) ? BOX_BYPASS : COMFORT_BYPASS
  const bare: Coil = { volume, flow, ratedFlow: flow, outside: 1, inside: 1 }
  const { capacityRate } = streamOf(bare, rating.around.evaporator)
  const coil: Coil = { ...bare, outside: -Math.log(bypass) * physics.evaporatorDepth * capacityRate }
  const stream = streamOf(coil, rating.around.evaporator)
  const surplus = (log: number) =>
    evaporate(
      unit.refrigerant,
      { ...coil, inside: Math.exp(log) },
      stream,
      low,
      massFlow,
      liquidEnthalpy,
      physics,
    ).enthalpyOut - enthalpyOut
  const guess = rating.capacity / (stream.temperature - low.dew)
  return { ...coil, inside: Math.exp(feasible(surplus, Math.log(guess * 0.3), Math.log(guess * 100))) }
}

/** Coil on the condensing side: both films grow together until the rating's shares fill it. */
export function sizeCondenser(design: Design, dischargeEnthalpy: number, dischargeTemperature: number): Coil {
  const { unit, row, physics, tons, rating, high, massFlow } = design
  const volume = row.condenserVolume * physics.condenserVolume * tons * LITRE
  const { temperature } = rating.around.condenser
  const rejected = massFlow * (dischargeEnthalpy - design.liquidEnthalpy)
  const rate = rejected / (condensingTemperature(high) - temperature) / physics.condenserEffectiveness
  const perUnit = streamOf({ volume, flow: 1, ratedFlow: 1, outside: 1, inside: 1 }, rating.around.condenser)
  const flow = rating.waterFlow ?? rate / perUnit.capacityRate
  const coilOf = (log: number): Coil => {
    const outside = Math.exp(log)
    return { volume, flow, ratedFlow: flow, outside, inside: outside * physics.innerToOuter }
  }
  const held = hasReceiver(unit) ? SUBCOOLER_SHARE : 0
  const flooded = hasReceiver(unit) ? RECEIVER_RATED_FLOODED : 0
  const subcooled = high.bubble - subcoolingOf(unit, rating)
  const surplus = (log: number) => {
    const coil = coilOf(log)
    const stream = streamOf(coil, rating.around.condenser)
    const g = condenserConductances(stream, coil.inside, physics)
    const gas = singlePhaseShare(
      massFlow,
      dischargeEnthalpy - high.vapourEnthalpy,
      dischargeTemperature,
      high.dew,
      temperature,
      g.gas,
    )
    const condensing =
      (massFlow * (high.vapourEnthalpy - high.liquidEnthalpy)) /
      (g.condensing * (condensingTemperature(high) - temperature))
    const drop = liquidHeat(unit.refrigerant, high) * (high.bubble - subcooled)
    const liquid =
      held > 0 ? 0 : singlePhaseShare(massFlow, drop, high.bubble, subcooled, temperature, g.liquid)
    return 1 - held - flooded - gas - condensing - liquid
  }
  return coilOf(feasible(surplus, Math.log(rate * 0.05), Math.log(rate * 50)))
}

function feasible(surplus: (log: number) => number, from: number, to: number): number {
  if (surplus(to) < 0) {
    throw new OrzoError(
      'not-simulated',
      'No coil of this kind reaches the plate values at its rating point: check tons, refrigerant and target subcooling.',
    )
  }
  return bracketedRoot(surplus, from, to, 1e-9)
}

const line = (
  pascals: number,
  massFlow: number,
  density: number,
  volume: number,
  conductance: number,
): Line => ({
  volume,
  resistance: (pascals * density) / massFlow ** 2,
  conductance,
})

/** Suction line, liquid line, dryer and screen with the losses of the rating point. */
export function sizeLines(design: Design): Pick<Circuit, 'suctionLine' | 'liquidLine' | 'dryer' | 'screen'> {
  const { unit, row, physics, tons, rating, low, high } = design
  const { massFlow, enthalpyOut, suctionEnthalpy, suctionPressure } = design
  const length = unit.lineSet?.length ? toSI(unit.lineSet.length) : row.lineLengthFeet * FOOT
  const out = superheatedVapour(unit.refrigerant, low.dew, rating.superheat)
  const over = rating.around.ambient - out.temperature
  const capacity = (enthalpyOut - low.vapourEnthalpy) / rating.superheat
  const warmed = (suctionEnthalpy - enthalpyOut) / capacity
  const conductance = -Math.log(1 - Math.min(Math.max(warmed / over, 0), 0.9)) * massFlow * capacity
  const liquidTemperature = high.bubble - subcoolingOf(unit, rating)
  const liquid = subcooledLiquid(unit.refrigerant, liquidTemperature, high.pressure)
  const lost = massFlow * liquidHeat(unit.refrigerant, high) * LIQUID_LINE_LOSS_KELVIN
  const drive = liquidTemperature - rating.around.ambient
  return {
    suctionLine: line(
      low.pressure - suctionPressure,
      massFlow,
      out.density,
      length * VAPOUR_BORE_AREA * Math.sqrt(tons),
      conductance,
    ),
    liquidLine: line(
      LIQUID_LINE_PASCALS,
      massFlow,
      liquid.density,
      length * LIQUID_BORE_AREA * physics.liquidLineVolume * Math.sqrt(tons / 3),
      lost / Math.max(drive, LEAST_DRIVE_KELVIN),
    ),
    dryer: line(DRYER_PASCALS, massFlow, liquid.density, tons * DRYER_LITRES * LITRE, 0),
    screen: { volume: 0, resistance: 0, conductance: 0 },
  }
}
