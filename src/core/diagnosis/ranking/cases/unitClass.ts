import { isWaterCooled } from '../../../record/equipment/kinds'
import type { UnitPlate } from '../../../record/equipment/unit'
import type { Mode } from '../../../record/readings/schema'
import { isBoxProfile, isHeating, profileOf } from '../../targets/profiles'

/** Units that show the same fault alike in the same mode; one case book each. */
export const UNIT_CLASSES = [
  'comfort-valve',
  'comfort-fixed',
  'comfort-water',
  'box-valve',
  'box-receiver',
  'box-fixed',
  'heating-valve',
  'heating-fixed',
  'heating-water',
  'heating-pool',
] as const
export type UnitClass = (typeof UNIT_CLASSES)[number]

const isFixed = (unit: UnitPlate) => unit.metering === 'fixed-orifice' || unit.metering === 'capillary'

/** The class of a unit in a mode; undefined where nothing is judged. */
export function classOf(unit: UnitPlate, mode: Mode): UnitClass | undefined {
  const profile = profileOf(unit, mode)
  if (!profile) return undefined
  if (profile === 'pool-heating') return 'heating-pool'
  if (profile === 'water-heating') return 'heating-water'
  if (isHeating(profile)) return isFixed(unit) ? 'heating-fixed' : 'heating-valve'
  if (isBoxProfile(profile)) {
    if (isFixed(unit)) return 'box-fixed'
    return unit.receiver || unit.headPressureControl ? 'box-receiver' : 'box-valve'
  }
  if (isWaterCooled(unit)) return 'comfort-water'
  return isFixed(unit) ? 'comfort-fixed' : 'comfort-valve'
}
