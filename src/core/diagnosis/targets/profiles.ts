import { hasReversingValve, isWaterCooled } from '../../record/equipment/kinds'
import type { UnitKind, UnitPlate } from '../../record/equipment/unit'
import type { Mode } from '../../record/readings/schema'

/** Which set of expectations judges a unit. */
export type ProfileId =
  'comfort-cooling' | 'cooler' | 'freezer' | 'air-heating' | 'water-heating' | 'pool-heating'

const COOLING_PROFILE: Partial<Record<UnitKind, ProfileId>> = {
  'split-ac': 'comfort-cooling',
  'package-ac': 'comfort-cooling',
  'split-heat-pump': 'comfort-cooling',
  'package-heat-pump': 'comfort-cooling',
  'water-source-heat-pump': 'comfort-cooling',
  'walk-in-cooler': 'cooler',
  'reach-in': 'cooler',
  'walk-in-freezer': 'freezer',
}
const HEATING_PROFILE: Partial<Record<UnitKind, ProfileId>> = {
  'split-heat-pump': 'air-heating',
  'package-heat-pump': 'air-heating',
  'water-source-heat-pump': 'water-heating',
  'pool-heat-pump': 'pool-heating',
}

/** The expectations that fit a unit in a mode; undefined where there are none. */
export function profileOf(unit: UnitPlate, mode: Mode): ProfileId | undefined {
  if (mode === 'cooling') return COOLING_PROFILE[unit.kind]
  if (mode !== 'heating') return undefined
  const profile = HEATING_PROFILE[unit.kind]
  return profile === 'air-heating' && isWaterCooled(unit) ? 'water-heating' : profile
}

const HEATING: readonly ProfileId[] = ['air-heating', 'water-heating', 'pool-heating']
export const isHeating = (profile: ProfileId): boolean => HEATING.includes(profile)
export const isBoxProfile = (profile: ProfileId): boolean => profile === 'cooler' || profile === 'freezer'

export type Coverage =
  | { readonly covered: true; readonly profile: ProfileId }
  | { readonly covered: false; readonly reason: string }

function reasonAgainst(unit: UnitPlate, mode: Mode): string {
  if (mode === 'off') {
    return 'This set was taken with the unit off: running readings are needed to judge the circuit.'
  }
  if (mode === 'heating' && !hasReversingValve(unit)) {
    return 'This unit does not heat with its circuit: set the mode to cooling, or choose a heat pump on Arrive.'
  }
  if (unit.kind === 'pool-heat-pump') return 'A pool heater heats: set the mode to heating.'
  return `Orzo has no expectations for a unit of kind "${unit.kind}": choose the nearest kind on Arrive, or judge by the nameplate.`
}

/** Whether Orzo has expectations for this unit in this mode; if not, why, in a sentence. */
export function coverage(unit: UnitPlate, mode: Mode): Coverage {
  const profile = profileOf(unit, mode)
  return profile ? { covered: true, profile } : { covered: false, reason: reasonAgainst(unit, mode) }
}
