import { localAtmosphere, SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { toSI } from '../../base/units/convert'
import type { UnitPlate } from './unit'

/** Local atmospheric pressure at the unit's site, Pa; sea level where the elevation is not known. */
export function siteAtmosphere(unit: UnitPlate): number {
  const elevation = unit.site?.elevation
  return elevation ? localAtmosphere(toSI(elevation)) : SEA_LEVEL_PASCALS
}
