import { attempt } from '../../base/errors/orzoError'
import { differenceToKelvin, toKelvin, toSI } from '../../base/units/convert'
import { idealCycle } from '../../physics/refrigerants/cycle'
import type { UnitPlate } from '../../record/equipment/unit'
import { SIZE_ROWS } from './sizeRows'

/** One way to know how large a unit is. */
export type TonsEstimate = { readonly by: 'displacement' | 'amps' | 'charge'; readonly tons: number }

const WATTS_PER_TON = 3516.85
/** [memory] power factor of a small motor, and plate amps over those of its rating point. */
const POWER_FACTOR = 0.9
const PLATE_OVER_RATING = 1.3
/** [memory] share of the swept volume that arrives. */
const VOLUMETRIC_EFFICIENCY = 0.9
/** [practice] rating point: condensing 110 F, 12 F superheat, 10 F subcooling, efficiency 0.7. */
const CONDENSING = toKelvin({ value: 110, unit: 'F' })
const SUPERHEAT = differenceToKelvin(12, 'F')
const SUBCOOLING = differenceToKelvin(10, 'F')
const EFFICIENCY = 0.7

function byDisplacement(unit: UnitPlate): number | undefined {
  const swept = unit.compressor?.displacement
  if (!swept) return undefined
  const evaporating = toKelvin({ value: SIZE_ROWS[unit.kind].evaporating, unit: 'F' })
  const cycle = attempt(() =>
    idealCycle(unit.refrigerant, {
      evaporating,
      condensing: CONDENSING,
      superheat: SUPERHEAT,
      subcooling: SUBCOOLING,
      efficiency: EFFICIENCY,
    }),
  )
  return cycle.ok
    ? (toSI(swept) * VOLUMETRIC_EFFICIENCY * cycle.value.volumetricCapacity) / WATTS_PER_TON
    : undefined
}

function byAmps({ kind, power }: UnitPlate): number | undefined {
  if (!power?.rla || !power.volts) return undefined
  const phases = power.phase === 3 ? Math.sqrt(3) : 1
  const watts = (power.volts * power.rla * phases * POWER_FACTOR) / PLATE_OVER_RATING
  return (watts * SIZE_ROWS[kind].performance) / WATTS_PER_TON
}

const byCharge = ({ kind, factoryCharge }: UnitPlate): number | undefined =>
  factoryCharge && toSI(factoryCharge) / SIZE_ROWS[kind].chargePerTon

const WAYS = [
  ['displacement', byDisplacement],
  ['amps', byAmps],
  ['charge', byCharge],
] as const

/**
 * What displacement, plate amps and plate charge each say of the tons, where the plate is silent. [memory], a factor of
 * about 1.5 either way each
 */
export const tonsEstimates = (unit: UnitPlate): TonsEstimate[] =>
  WAYS.flatMap(([by, estimate]) => {
    const tons = estimate(unit)
    return tons === undefined || !(tons > 0) ? [] : [{ by, tons }]
  })
