import type { Mode } from '../readings/schema'
import type { UnitKind, UnitPlate } from '../job/unit'

/** Which set of expectations judges a unit. */
export type ProfileId = 'comfort-cooling' | 'cooler' | 'freezer'

const PROFILE_OF: Partial<Record<UnitKind, ProfileId>> = {
  'split-ac': 'comfort-cooling',
  'package-ac': 'comfort-cooling',
  'split-heat-pump': 'comfort-cooling',
  'package-heat-pump': 'comfort-cooling',
  'water-source-heat-pump': 'comfort-cooling',
  'walk-in-cooler': 'cooler',
  'reach-in': 'cooler',
  'walk-in-freezer': 'freezer',
}

/** The expectations that fit a kind in cooling; undefined where there are none. */
export const profileOf = (kind: UnitKind): ProfileId | undefined => PROFILE_OF[kind]

/** Whether heat leaves through water. */
export const isWaterCooled = (unit: UnitPlate): boolean =>
  (unit.heatRejection ?? (unit.kind === 'water-source-heat-pump' ? 'water' : 'air')) === 'water'

export type Coverage =
  | { readonly covered: true; readonly profile: ProfileId }
  | { readonly covered: false; readonly reason: string }

/** Whether Orzo has expectations for this unit in this mode; if not, why, in a sentence. */
export function coverage(unit: UnitPlate, mode: Mode): Coverage {
  if (mode === 'off') {
    return {
      covered: false,
      reason: 'This set was taken with the unit off: running readings are needed to judge the circuit.',
    }
  }
  if (mode === 'heating') {
    return {
      covered: false,
      reason: 'Orzo has no expectations for heating yet: run the unit in cooling, or judge by the nameplate.',
    }
  }
  const profile = PROFILE_OF[unit.kind]
  if (profile) return { covered: true, profile }
  return {
    covered: false,
    reason: `Orzo has no expectations for a unit of kind "${unit.kind}" yet: judge by the nameplate.`,
  }
}
