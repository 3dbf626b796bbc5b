import { attempt } from '../errors/orzoError'
import { hasReversingValve } from '../job/reversing'
import type { UnitPlate } from '../job/unit'
import type { Derived } from '../readings/derive'
import type { Snapshot } from '../readings/snapshot'
import { dischargeTemperature } from '../refrigerants/compression'
import { differenceToKelvin } from '../units/convert'
import { coverage, isWaterCooled, type ProfileId } from './profiles'
import { evaporatorSuperheatTarget, subcoolingTarget, superheatTarget } from './superheatTarget'
import { band, type Target, type TargetKey, type Targets } from './target'
import { condensingTarget, evaporatingTarget, splitTarget } from './temperatureTargets'

/** [practice] small compressors draw near their rating only at design load. */
const AMPS_SHARE: Target = {
  value: 0.8,
  tolerance: 0.2,
  tag: 'practice',
  source: 'at or below rated load amps',
}
const LINE_DROP = band(1, 2.5, 'practice', 'a liquid line loses a degree or two')
const DRYER_DROP = band(1, 2, 'practice', 'under 2 F is good, over 3 F replace')
const VALVE_RISE = band(1, 2, 'practice', 'more than about 3 F across the reversing valve is a leak')
const STANDING = band(0, 3, 'physics', 'a pure charge stands at saturation of the surrounding air')
/** [memory] handbook 06: a fresh suction dryer reads about 0.1 psi; 2 psi is the comfort limit. */
const SUCTION_DRYER: Target = {
  value: 700,
  tolerance: 10_000,
  tag: 'memory',
  source: 'about 0.1 psi when new',
}
const WATER_RISE = band(10, 2, 'practice', '8-12 F at 3 gpm a ton')
const DISCHARGE_TOLERANCE = differenceToKelvin(22, 'F')

/** Discharge temperature of a sound compressor at this unit's own expected saturations [physics]. */
function dischargeTarget(
  unit: UnitPlate,
  evaporating: Target,
  condensing: Target,
  superheat: Target,
): Target | undefined {
  const result = attempt(() =>
    dischargeTemperature(unit.refrigerant, evaporating.value, condensing.value, superheat.value),
  )
  if (!result.ok) return undefined
  // Discharge moves about one for one with condensing and superheat.
  const tolerance = Math.hypot(DISCHARGE_TOLERANCE, condensing.tolerance, superheat.tolerance)
  return {
    value: result.value,
    tolerance,
    tag: 'physics',
    source: 'compression between the expected saturations',
  }
}

function running(
  unit: UnitPlate,
  profile: ProfileId,
  at: Snapshot,
  derived: Derived,
): Partial<Record<TargetKey, Target | undefined>> {
  const evaporating = evaporatingTarget(profile, at, derived)
  const condensing = condensingTarget(unit, profile, at)
  const superheat = superheatTarget(unit, profile, at, derived)
  return {
    evaporatingMean: evaporating,
    condensingMean: condensing,
    superheat,
    evaporatorSuperheat: evaporatorSuperheatTarget(unit, profile),
    subcooling: subcoolingTarget(unit),
    temperatureSplit: splitTarget(profile, at, derived),
    ampsShare: unit.power?.rla ? AMPS_SHARE : undefined,
    dischargeLineTemp: condensing && dischargeTarget(unit, evaporating, condensing, superheat),
    liquidLineDrop: LINE_DROP,
    dryerDrop: DRYER_DROP,
    reversingValveRise: hasReversingValve(unit) ? VALVE_RISE : undefined,
    suctionDryerDrop: SUCTION_DRYER,
    waterRise: isWaterCooled(unit) ? WATER_RISE : undefined,
  }
}

/**
 * What this unit should read now, from its plate and the conditions in the set.
 * @returns bands in SI with their source; only what can be said (none for modes and kinds without expectations)
 */
export function findTargets(unit: UnitPlate, at: Snapshot, derived: Derived): Targets {
  const covered = coverage(unit, at.mode)
  const rows = covered.covered ? running(unit, covered.profile, at, derived) : {}
  const all = { ...rows, standingOverAmbient: STANDING }
  return Object.fromEntries(Object.entries(all).filter(([, target]) => target !== undefined)) as Targets
}
