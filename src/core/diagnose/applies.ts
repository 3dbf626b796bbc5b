import type { UnitPlate } from '../job/unit'
import { hasReversingValve } from '../job/reversing'
import { isWaterCooled } from '../targets/profiles'
import type { Applies } from './fault'
import { FAULT_IDS, type FaultId, faultRow } from './faults'

function fits(unit: UnitPlate, applies: Applies): boolean {
  if (applies.metering && !applies.metering.includes(unit.metering)) return false
  if (applies.reversingValve && !hasReversingValve(unit)) return false
  if (applies.heatRejection && (applies.heatRejection === 'water') !== isWaterCooled(unit)) return false
  return !applies.headPressureControl || unit.headPressureControl === true
}

/** Faults that this unit can have. */
export const faultsOf = (unit: UnitPlate): FaultId[] =>
  FAULT_IDS.filter((id) => fits(unit, faultRow(id).applies ?? {}))
