// Cases of the benchmark: a unit as it is found, a fault, instruments, random subsets of readings, observations with lapses.
import { pick } from '../draws'
import { faultsOf } from '@/core/diagnosis/faults/applies'
import { UNIT_CLASSES, type UnitClass } from '@/core/diagnosis/ranking/cases/unitClass'
import { CHECKS, type CheckRow } from '@/core/diagnosis/checks/checks'
import {
  type ElectricalFaultId,
  faultRow,
  hasDegree,
  isElectrical,
  type SuspectId,
} from '@/core/diagnosis/faults/faults'
import { EVIDENT_OBSERVATIONS } from '@/core/diagnosis/evidence/commonWords'
import { isUsual } from '@/core/record/equipment/observable'
import { electricalTapsOf, tapsOf } from '@/core/record/equipment/taps'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { type RandomSource, seededRandom } from '@/core/base/numeric/random'
import type { ObservationKey } from '@/core/record/readings/observations'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { isSimulated } from '@/core/simulate/circuitFaults'
import type { RunningMode } from '@/core/simulate/conditions'
import { ELECTRICAL_SHOWS, type ElectricalShow } from '@/core/simulate/electricalFaults'
import { electricalTruth } from '@/core/simulate/electricalTruth'
import { observe } from '@/core/simulate/observe'
import { readSteady } from '@/core/simulate/simulateSet'
import type { Steady } from '@/core/simulate/steady'
import { findUnit } from '../../simulate/found'
import { lostShow } from '../../simulate/lost'
import { CLASS_UNITS, withPlate } from '../../simulate/fleet'
import type { PhysicsName } from '../../simulate/physics'

const HEALTHY_SHARE = 0.13
export const LAPSE = 0.05
const OBSERVED_SHARE = 0.25
const LEAST_READINGS = 3
const MORE_READINGS = 15
/** Electrical readings beside the others on a unit that runs, whatever is wrong with it. */
const EXTRA_SHARE = 0.1

/** How a case is drawn. */
export type DrawOptions = {
  readonly physics: PhysicsName
  /** readings drawn without regard to the order in which they are taken */
  readonly evenReadings: boolean
  /** every fault as often as any other, instead of as often as it is found */
  readonly equalFaults: boolean
}

export type Case = {
  readonly unitClass: UnitClass
  readonly unit: UnitPlate
  readonly truth: SuspectId
  readonly severity: number
  readonly steady: Steady
  readonly show: ElectricalShow | undefined
  readonly readings: number
  readonly set: ReadingSet
  readonly random: RandomSource
}

/** Readings that only mean something together and are taken together. */
const TOGETHER: readonly (readonly ReadingKey[])[] = [
  ['voltageL1L2', 'voltageL2L3', 'voltageL3L1'],
  ['ampsL1', 'ampsL2', 'ampsL3'],
  ['ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'],
  ['ohmsCR', 'ohmsCS', 'ohmsRS'],
  ['inrushAmps', 'voltageRunning'],
  ['returnAirTemp', 'supplyAirTemp'],
  ['waterInTemp', 'waterOutTemp'],
  ['dryerInTemp', 'dryerOutTemp'],
  ['rvSuctionInTemp', 'rvSuctionOutTemp', 'rvDischargeTemp', 'rvHotOutTemp'],
  ['suctionDryerInPressure', 'suctionDryerOutPressure'],
  ['standingSuctionPressure', 'standingLiquidPressure'],
]

/** The taps in the groups in which they are taken; even draws take every tap for itself. */
function groupsOf(keys: readonly ReadingKey[], even: boolean): ReadingKey[][] {
  if (even) return keys.map((key) => [key])
  const done = new Set<ReadingKey>()
  return keys.flatMap((key) => {
    if (done.has(key)) return []
    const group = (TOGETHER.find((each) => each.includes(key)) ?? [key]).filter((each) => keys.includes(each))
    for (const each of group) done.add(each)
    return [group]
  })
}

/** At least so many readings at random; those that a technician takes first more often, unless the draw is even. */
function drawn(
  random: RandomSource,
  keys: readonly ReadingKey[],
  least: number,
  even: boolean,
): ReadingKey[] {
  const groups = groupsOf(keys, even)
  const order = groups
    .map((group, i) => [random() + (even ? 0 : i / groups.length), group] as const)
    .sort((a, b) => a[0] - b[0])
  const out: ReadingKey[] = []
  for (const [, group] of order) if (out.length < least) out.push(...group)
  return out
}

/** Quick looks that are made in passing; tests that take long or open the circuit are only made when asked for. */
const IN_PASSING = new Set<ObservationKey>(
  Object.values(CHECKS as Record<string, CheckRow>).flatMap(({ observation, minutes, state }) =>
    observation && minutes <= 10 && state !== 'recovered' && state !== 'power-off' ? [observation] : [],
  ),
)
const NOT_WHEN_DEAD: readonly ObservationKey[] = [
  'pumpDownTest',
  'handValveTest',
  'frostPattern',
  'sightGlass',
  'bulbWarmResponse',
  'bulbIceResponse',
  'stemResponse',
  'warmValveResponse',
  'compressorNoise',
  'reliefNoise',
  'reliefAfterRestart',
  'reversingValveNoise',
]

const plates = new Map<UnitClass, readonly UnitPlate[]>()
function platesOf(unitClass: UnitClass): readonly UnitPlate[] {
  const known = plates.get(unitClass) ?? CLASS_UNITS[unitClass].units.map((unit) => withPlate(unit))
  plates.set(unitClass, known)
  return known
}

/** A sound unit, or a fault: as often as each is found, or every fault equally. */
function drawTruth(unit: UnitPlate, mode: RunningMode, random: RandomSource, equal: boolean): SuspectId {
  if (random() < HEALTHY_SHARE) return 'healthy'
  const faults = faultsOf(unit, mode)
  if (equal) return pick(random, faults)
  const total = faults.reduce((sum, fault) => sum + faultRow(fault).prior, 0)
  let left = random() * total
  return faults.find((fault) => (left -= faultRow(fault).prior) < 0) ?? 'healthy'
}

const otherMode = (mode: RunningMode): RunningMode => (mode === 'cooling' ? 'heating' : 'cooling')
/** Pressures that bear on a gate alone and would take the place of a reading that bears on the ranking. */
const NOT_RANKED: readonly ReadingKey[] = ['dryerOutPressure']
/** Stands still whatever the circuit: these readings are the same. */
const STANDING_TAPS: readonly ReadingKey[] = [
  'standingSuctionPressure',
  'standingLiquidPressure',
  'outdoorAirTemp',
  'returnAirTemp',
  'boxTemp',
  'waterInTemp',
]
/** Across open contacts there is no drop to measure. */
const ofClosedContacts = (key: ReadingKey) => key === 'contactorVoltageDrop'

/** Every reading that a unit offers as it stands or runs. */
export const allTaps = (unit: UnitPlate, runs: boolean): ReadingKey[] =>
  (runs
    ? [...tapsOf(unit), ...electricalTapsOf(unit)]
    : [...electricalTapsOf(unit), ...STANDING_TAPS]
  ).filter(
    (key, i, all) => all.indexOf(key) === i && !NOT_RANKED.includes(key) && (runs || !ofClosedContacts(key)),
  )

/** Every look and test that can be made as it stands or runs. */
export const allLooks = (unit: UnitPlate, runs: boolean): ObservationKey[] =>
  EVIDENT_OBSERVATIONS.filter((key) => isUsual(unit, key) && (runs || !NOT_WHEN_DEAD.includes(key)))

function drawTaps(unit: UnitPlate, runs: boolean, options: DrawOptions, random: RandomSource): ReadingKey[] {
  const taps = runs ? tapsOf(unit).filter((key) => !NOT_RANKED.includes(key)) : allTaps(unit, runs)
  const count = Math.min(LEAST_READINGS + Math.floor(random() * MORE_READINGS), taps.length)
  const extra = runs ? electricalTapsOf(unit).filter(() => random() < EXTRA_SHARE) : []
  return [...new Set([...drawn(random, taps, count, options.evenReadings), ...extra])]
}

/** The circuit of a case and what an electrical fault shows of it; undefined where it would not run. */
function drawUnit(
  unit: UnitPlate,
  mode: RunningMode,
  truth: SuspectId,
  severity: number,
  physics: PhysicsName,
  random: RandomSource,
) {
  const faults = isSimulated(truth) ? [{ fault: truth, severity }] : []
  const first = findUnit({ unit, mode, faults, physics }, random)
  if (!first) return undefined
  const shown = isElectrical(truth) ? ELECTRICAL_SHOWS[truth as ElectricalFaultId] : undefined
  const show =
    truth === 'charge-lost' ? lostShow(first, random) : shown?.(electricalTruth(first), unit, random)
  const steady = show?.otherMode
    ? findUnit({ unit, mode, runs: otherMode(mode), faults: [], physics }, random)
    : first
  return steady && { steady, show }
}

/** One case; undefined where the drawn unit would not run. */
export function drawCase(seed: number, options: DrawOptions): Case | undefined {
  const random = seededRandom(seed)
  const unitClass = pick(random, UNIT_CLASSES)
  const unit = pick(random, platesOf(unitClass))
  const { mode } = CLASS_UNITS[unitClass]
  const truth = drawTruth(unit, mode, random, options.equalFaults)
  if (unit.kind === 'pool-heat-pump' && truth.startsWith('rv-co')) return undefined
  const severity = truth === 'healthy' || !hasDegree(truth) ? 1 : 0.3 + 0.7 * random()
  const found = drawUnit(unit, mode, truth, severity, options.physics, random)
  if (!found) return undefined
  const { steady, show } = found
  const runs = show?.runs ?? true
  const readings = readSteady(steady, drawTaps(unit, runs, options, random), random, show?.values)
  const seen = allLooks(unit, runs).filter((key) => IN_PASSING.has(key) && random() < OBSERVED_SHARE)
  // The complaint, and what nobody mistakes: whether the compressor runs.
  const always: ObservationKey[] = ['comesAndGoes', 'compressorState', 'callForOperation']
  if (readings.ohmsToGround) always.push('groundMeasuredAt')
  const observations = {
    ...observe(steady, [...seen, 'groundInstrument'], random, LAPSE, show?.words),
    ...observe(steady, always, random, 0, show?.words),
  }
  const set: ReadingSet = { mode, readings, observations }
  return {
    unitClass,
    unit,
    truth,
    severity,
    steady,
    show,
    set,
    random,
    readings: Object.keys(readings).length,
  }
}
