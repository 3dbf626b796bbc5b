import { hasReversingValve, isWaterCooled } from '../../record/equipment/kinds'
import { attempt } from '../../base/errors/orzoError'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Derived } from '../../record/readings/derive'
import type { Snapshot } from '../../record/readings/snapshot'
import { dischargeTemperature } from '../../physics/refrigerants/compression'
import { differenceToKelvin } from '../../base/units/convert'
import { spaceOf, spaceTargetOf } from './control'
import { heatingTargets } from './heatingTargets'
import { coverage, isHeating, type ProfileId } from './profiles'
import { evaporatorSuperheatTarget, subcoolingTarget, superheatTarget } from './superheatTarget'
import { band, bandAt, type Target, type TargetKey, type Targets } from './target'
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

/** [practice] where a space or box usually stands; above it the load is still high. Reach-ins are judged as coolers. */
const SPACE: { readonly [P in ProfileId]?: Target } = {
  'comfort-cooling': bandAt(75, 5, 'practice', 'a room is kept at 70-80 F'),
  cooler: bandAt(37, 4, 'practice', 'a cooler is kept at 34-40 F'),
  freezer: bandAt(-3, 7, 'practice', 'a freezer is kept at -10 to 4 F'),
}

/** Liquid line over outdoor air, for want of a liquid pressure: condensing over air less subcooling. */
function approachTarget(
  condensing: Target,
  subcooling: Target | undefined,
  at: Snapshot,
): Target | undefined {
  const outdoor = at.values.outdoorAirTemp
  if (!outdoor || !subcooling) return undefined
  return {
    value: condensing.value - outdoor.value - subcooling.value,
    tolerance: Math.hypot(condensing.tolerance, subcooling.tolerance),
    tag: 'physics',
    source: 'expected condensing less expected subcooling',
  }
}

const sumTarget = (first: Target, second: Target, source: string): Target => ({
  value: first.value + second.value,
  tolerance: Math.hypot(first.tolerance, second.tolerance),
  tag: 'physics',
  source,
})

function running(unit: UnitPlate, profile: ProfileId, at: Snapshot, derived: Derived): Rows {
  const heating = heatingTargets(profile, at)
  const evaporating = heating?.evaporating ?? evaporatingTarget(profile, at, derived)
  const condensing = heating?.condensing ?? condensingTarget(unit, at)
  const superheat = superheatTarget(unit, profile, at, derived)
  const subcooling = subcoolingTarget(unit, profile)
  const outerAir = !isHeating(profile) && !isWaterCooled(unit)
  return {
    evaporatingMean: evaporating,
    condensingMean: condensing,
    superheat,
    evaporatorSuperheat: evaporatorSuperheatTarget(unit, profile),
    subcooling,
    temperatureSplit: splitTarget(profile, at, derived),
    ampsShare: unit.power?.rla ? AMPS_SHARE : undefined,
    dischargeLineTemp: dischargeTarget(unit, evaporating, condensing, superheat),
    liquidLineDrop: LINE_DROP,
    dryerDrop: DRYER_DROP,
    reversingValveRise: hasReversingValve(unit) ? VALVE_RISE : undefined,
    suctionDryerDrop: SUCTION_DRYER,
    waterRise: heating ? heating.water : isWaterCooled(unit) ? WATER_RISE : undefined,
    temperatureRise: heating?.rise,
    liquidApproach: outerAir ? approachTarget(condensing, subcooling, at) : undefined,
    spaceTemp: spaceTargetOf(unit) ?? SPACE[profile],
    suctionLineTemp: sumTarget(evaporating, superheat, 'expected evaporating plus expected superheat'),
  }
}

/** Above its usual band by more than the band again, a space or box is still being pulled down. */
const PULL_DOWN = 2
const WIDER = 2

type Rows = Partial<Record<TargetKey, Target | undefined>>

/** Whether space or box is so warm that valves stand wide open (handbook 03). */
export function loadStillHigh({ spaceTemp }: Rows, at: Snapshot): boolean {
  const space = spaceOf(at)
  return (
    spaceTemp !== undefined &&
    space !== undefined &&
    space.value > spaceTemp.value + PULL_DOWN * spaceTemp.tolerance
  )
}

const wide = (target: Target | undefined): Target | undefined =>
  target && {
    ...target,
    tolerance: WIDER * target.tolerance,
    source: `${target.source}; wide: the load is still high`,
  }

/** Superheat says little while the load is still high. */
const widened = (rows: Rows): Rows => ({
  ...rows,
  superheat: wide(rows.superheat),
  evaporatorSuperheat: wide(rows.evaporatorSuperheat),
  suctionLineTemp: wide(rows.suctionLineTemp),
})

/**
 * What this unit should read now, from its plate and the conditions in the set.
 * @returns bands in SI with their source; only what can be said (none for modes and kinds without expectations)
 */
export function findTargets(unit: UnitPlate, at: Snapshot, derived: Derived): Targets {
  const covered = coverage(unit, at.mode)
  const found = covered.covered ? running(unit, covered.profile, at, derived) : {}
  const rows = loadStillHigh(found, at) ? widened(found) : found
  const all = { ...rows, standingOverAmbient: STANDING }
  return Object.fromEntries(Object.entries(all).filter(([, target]) => target !== undefined)) as Targets
}
