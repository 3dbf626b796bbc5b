import type { UnitKind, UnitPlate } from './unit'

const HEAT_PUMPS: readonly UnitKind[] = [
  'split-heat-pump',
  'package-heat-pump',
  'water-source-heat-pump',
  'pool-heat-pump',
]

/** Whether the unit has a reversing valve. */
export const hasReversingValve = (unit: UnitPlate): boolean => HEAT_PUMPS.includes(unit.kind)
