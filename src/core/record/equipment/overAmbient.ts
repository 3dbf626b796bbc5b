import { isBoxKind } from './kinds'
import type { UnitPlate } from './unit'

/** [practice] condensing over outdoor air by seasonal rating, F: from the coil of its time. */
const OVER_AMBIENT_BY_SEER: readonly (readonly [upTo: number, degrees: number])[] = [
  [10, 30],
  [13, 25],
  [16, 20],
  [Infinity, 15],
]

/** Condensing over outdoor air of a sound air-cooled unit: F, half width of the band, and where it comes from. [practice] */
export type OverAmbient = { readonly degrees: number; readonly halfWidth: number; readonly source: string }

/** How far a sound air-cooled unit condenses above outdoor air, from the age of its coil. Differences in F. */
export function overAmbientOf(unit: UnitPlate): OverAmbient {
  if (isBoxKind(unit)) return { degrees: 25, halfWidth: 6, source: '20-30 F over outdoor air' }
  const { seer } = unit
  if (seer !== undefined) {
    const degrees = OVER_AMBIENT_BY_SEER.find(([upTo]) => seer < upTo)?.[1] ?? 15
    return { degrees, halfWidth: 5, source: `${degrees} F over outdoor air at a rating of ${seer}` }
  }
  // After a conversion the coil is still the old one: its age decides, not the new refrigerant.
  return (unit.convertedFrom ?? unit.refrigerant) === 'R-22'
    ? { degrees: 27, halfWidth: 7, source: '25-30 F over outdoor air on an older coil' }
    : { degrees: 18, halfWidth: 7, source: '15-20 F over outdoor air on a newer coil' }
}
