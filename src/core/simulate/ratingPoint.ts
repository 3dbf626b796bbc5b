import { isWaterCooled } from '../record/equipment/kinds'
import { moistAir } from '../physics/air/moistAir'
import type { Metering, UnitPlate } from '../record/equipment/unit'
import { overAmbientOf } from '../record/equipment/overAmbient'
import { SEA_LEVEL_PASCALS } from '../base/units/atmosphere'
import { differenceToKelvin, toKelvin } from '../base/units/convert'
import { isPool } from './conditions'
import type { Surroundings } from './hardware'
import { type KindRow, OVER_LEAVING_WATER, POOL_FLOW_GPM_PER_TON, WATER_FLOW_GPM_PER_TON } from './kinds'
import { WATER_HEAT } from './stream'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const difference = (value: number) => differenceToKelvin(value, 'F')

/** [physics] a US gallon a minute of water, kg/s. */
const GPM_KG_PER_SECOND = 0.0630902
/** [std: ton of refrigeration, 12,000 Btu/h] W. */
export const TON_WATTS = 3516.853
/** [memory] heat rejected against cooling at the rating point; only to estimate the water's rise. */
const REJECTED_SHARE = 1.25

/** The rating point in SI: what surrounds the unit there and which saturations its coils are built for. */
export type RatingPoint = {
  readonly around: Surroundings
  readonly capacity: number
  /** dew temperature of evaporating and mean temperature of condensing, K */
  readonly boiling: number
  readonly condensing: number
  readonly superheat: number
  readonly lineGain: number
  readonly subcooling: number
  /** kg/s through a water condenser; undefined for air */
  readonly waterFlow: number | undefined
}

/** The rating point of a unit, at sea level. */
export function ratingPoint(unit: UnitPlate, row: KindRow): RatingPoint {
  const capacity = (unit.nominalTons ?? row.tons) * TON_WATTS
  const { dry, wet, humidity } = row.evaporatorAir
  const moisture = wet === undefined ? { humidity: humidity ?? 0.5 } : { wetBulb: f(wet) }
  const evaporator = { kind: 'air', ...moistAir(f(dry), moisture, SEA_LEVEL_PASCALS) } as const
  const entering = f(row.condenserEntering)
  const byWater = isWaterCooled(unit) || isPool(unit)
  const waterFlow = byWater ? waterFlowOf(unit, capacity) : undefined
  const outdoor = moistAir(entering, { humidity: 0.4 }, SEA_LEVEL_PASCALS)
  const plate = unit.targetSubcooling
  return {
    around: {
      evaporator,
      condenser: byWater ? { kind: 'water', temperature: entering } : { kind: 'air', ...outdoor },
      ambient: isPool(unit) ? f(dry) : byWater ? f(80) : entering,
    },
    capacity,
    boiling: f(dry) - difference(row.evaporatorDifference),
    condensing: entering + condensingOver(unit, capacity, waterFlow) + difference(row.condensingShift ?? 0),
    superheat: difference(isFixed(unit.metering) ? row.fixedSuperheat : row.superheat),
    lineGain: difference(row.lineGain),
    subcooling: plate
      ? differenceToKelvin(plate.value, plate.unit as 'F' | 'C' | 'K')
      : difference(row.subcooling),
    waterFlow,
  }
}

/** Whether a device has one opening for all conditions. */
export const isFixed = (metering: Metering): boolean =>
  metering === 'fixed-orifice' || metering === 'capillary'

function waterFlowOf(unit: UnitPlate, capacity: number): number {
  const gpm = isPool(unit) ? POOL_FLOW_GPM_PER_TON : WATER_FLOW_GPM_PER_TON
  return (capacity / TON_WATTS) * gpm * GPM_KG_PER_SECOND
}

function condensingOver(unit: UnitPlate, capacity: number, waterFlow: number | undefined): number {
  if (waterFlow !== undefined) {
    return (REJECTED_SHARE * capacity) / (waterFlow * WATER_HEAT) + difference(OVER_LEAVING_WATER)
  }
  return difference(overAmbientOf(unit).degrees)
}
