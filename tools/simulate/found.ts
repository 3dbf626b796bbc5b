// A unit as it is found: a physics, a specimen that would be sound, its fault, and the charge that somebody left in it.
import { attempt } from '@/core/base/errors/orzoError'
import { gaussian, type RandomSource } from '@/core/base/numeric/random'
import { differenceToKelvin } from '@/core/base/units/convert'
import { assess } from '@/core/diagnosis/evidence/assess'
import type { FeatureKey } from '@/core/diagnosis/evidence/features'
import { deviationOf } from '@/core/diagnosis/evidence/assessment'
import { familyOf } from '@/core/diagnosis/faults/families'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { READING_KEYS } from '@/core/record/readings/vocabulary'
import type { RunningMode } from '@/core/simulate/conditions'
import { anotherSpecimen, type Spreads } from '@/core/simulate/scatter'
import { exactReadings } from '@/core/simulate/simulateSet'
import {
  type FaultNow,
  type Simulator,
  simulateSteady,
  simulatorOf,
  type Steady,
} from '@/core/simulate/steady'
import { randomConditions } from './conditions'
import { drawPhysics, type PhysicsName } from './physics'

/** How a charge is left by those who came before: share that is topped up beside a restriction, by how much, and scatter. */
type Left = {
  readonly toppedUp: number
  readonly least: number
  readonly most: number
  readonly scatter: number
}
const LEFT: Readonly<Record<PhysicsName, Left>> = {
  usual: { toppedUp: 0, least: 0, most: 0, scatter: 0 },
  family: { toppedUp: 0.5, least: 0, most: 0.25, scatter: 0.04 },
  second: { toppedUp: 0.7, least: 0.05, most: 0.3, scatter: 0.05 },
  foreign: { toppedUp: 0.85, least: 0.12, most: 0.35, scatter: 0.06 },
}
/** Where little refrigerant seems to come, more was filled in. */
const STARVES: ReadonlySet<string> = new Set([
  'valve-starves',
  'liquid-line',
  'fixed-orifice-plugged',
  'capillary-plugged',
])

/** The charge as found against the sound one. */
function chargeLeft(
  faults: readonly FaultNow[],
  { toppedUp, least, most, scatter }: Left,
  random: RandomSource,
) {
  const starved = faults.length > 0 && faults.every(({ fault }) => STARVES.has(familyOf(fault)))
  if (starved && random() < toppedUp) return 1 + least + (most - least) * random()
  return faults.length === 0 ? 1 : Math.exp(scatter * gaussian(random))
}

function withCharge({ sized, anchors }: Simulator, share: number): Simulator {
  const entries = Object.entries(anchors).map(([mode, anchor]) => [
    mode,
    { ...anchor, circuit: { ...anchor.circuit, charge: anchor.circuit.charge * share } },
  ])
  return { sized, anchors: Object.fromEntries(entries) as Simulator['anchors'] }
}

/** [practice] a fixed orifice is charged by the chart: a sound unit stays within this of it. */
const NEAR_CHART = differenceToKelvin(7, 'F')
/** Whoever left a unit further off its bands than this, in half widths, would have been called back. */
const MOST_OFF = 2
const JUDGED: readonly FeatureKey[] = [
  'evaporatingMean',
  'condensingMean',
  'superheat',
  'evaporatorSuperheat',
  'subcooling',
  'temperatureSplit',
]
const MOST_TRIES = 12

/** Whether a sound specimen is one that a technician would have left so. */
function isLeftSo(steady: Steady): boolean {
  const { unit, mode } = steady.question
  const { judged } = assess(unit, { mode, readings: exactReadings(steady, READING_KEYS) })
  const isFixed = unit.metering === 'fixed-orifice' || unit.metering === 'capillary'
  const { superheat } = judged
  const nearChart =
    !isFixed ||
    mode === 'heating' ||
    superheat === undefined ||
    Math.abs(superheat.measured.value - superheat.target.value) <= NEAR_CHART
  return nearChart && JUDGED.every((key) => Math.abs(deviationOf(judged, key) ?? 0) <= MOST_OFF)
}

export type Found = {
  readonly unit: UnitPlate
  readonly mode: RunningMode
  /** the mode in which it really runs, where a valve did not shift */
  readonly runs?: RunningMode
  readonly faults: readonly FaultNow[]
  readonly physics: PhysicsName
  readonly spreads?: Spreads
}

/** One unit as it is found; undefined where it would not run. */
export function findUnit(
  { unit, mode, runs = mode, faults, physics, spreads }: Found,
  random: RandomSource,
): Steady | undefined {
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const conditions = randomConditions(unit, mode, random)
    const sized = attempt(() => simulatorOf(unit, drawPhysics(physics, random)))
    if (!sized.ok) continue
    const specimen = anotherSpecimen(sized.value, random, spreads)
    const sound = attempt(() => simulateSteady(specimen, { unit, mode: runs, conditions }))
    if (!sound.ok || (runs === mode && !isLeftSo(sound.value))) continue
    if (faults.length === 0) return sound.value
    const left = withCharge(specimen, chargeLeft(faults, LEFT[physics], random))
    const found = attempt(() => simulateSteady(left, { unit, mode: runs, conditions, faults }))
    if (found.ok) return found.value
  }
  return undefined
}
