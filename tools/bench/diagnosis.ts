// npm run -s bench:diagnosis [-- CASES]: how often the ranking is right on simulated units of all kinds and modes: conditions,
// faults of the circuit and electrical ones, severities 0.3-1, instruments, random subsets of readings, observations with
// lapses. Seeded; prints JSON. Other units, seeds and scatter than the case books were learned from.
import { performance } from 'node:perf_hooks'
import { faultsOf } from '@/core/diagnosis/faults/applies'
import { loadBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES, type UnitClass } from '@/core/diagnosis/ranking/cases/unitClass'
import { CHECKS, checkRow, type CheckRow } from '@/core/diagnosis/checks/checks'
import { diagnose, type Suspect } from '@/core/answer/diagnose'
import { type FamilyId, familyOf } from '@/core/diagnosis/faults/families'
import {
  type ElectricalFaultId,
  faultRow,
  isElectrical,
  type SuspectId,
} from '@/core/diagnosis/faults/faults'
import { EVIDENT_OBSERVATIONS } from '@/core/diagnosis/evidence/commonWords'
import { attempt } from '@/core/base/errors/orzoError'
import { isUsual } from '@/core/record/equipment/observable'
import { electricalTapsOf, tapsOf } from '@/core/record/equipment/taps'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { type RandomSource, seededRandom } from '@/core/base/numeric/random'
import type { ObservationKey } from '@/core/record/readings/observations'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { isSimulated } from '@/core/simulate/circuitFaults'
import type { RunningMode } from '@/core/simulate/conditions'
import { ELECTRICAL_SHOWS, type ElectricalShow } from '@/core/simulate/electricalFaults'
import { electricalTruth } from '@/core/simulate/electricalTruth'
import { observe } from '@/core/simulate/observe'
import { anotherSpecimen } from '@/core/simulate/scatter'
import { readSteady } from '@/core/simulate/simulateSet'
import { simulateSteady, type Steady } from '@/core/simulate/steady'
import { randomConditions } from '../simulate/conditions'
import { CLASS_UNITS, fleet, type Member } from '../simulate/fleet'

const CASES = Number(process.argv[2] ?? 2000)
/** Readings drawn without regard to the order in which they are taken; every fault as often as any other. */
const EVEN_DRAWS = process.argv.includes('even-readings')
const EQUAL_FAULTS = process.argv.includes('equal-faults')
const HEALTHY_SHARE = 0.13
const LAPSE = 0.05
const OBSERVED_SHARE = 0.25
const LEAST_READINGS = 3
const ASKED_CHECKS = 3
/** A suspect must reach this to count as an answer. */
const ANSWER = 0.25

type Case = {
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

const pick = <T>(random: RandomSource, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T

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
]

/** The taps in the groups in which they are taken; even draws take every tap for itself. */
function groupsOf(keys: readonly ReadingKey[]): ReadingKey[][] {
  if (EVEN_DRAWS) return keys.map((key) => [key])
  const done = new Set<ReadingKey>()
  return keys.flatMap((key) => {
    if (done.has(key)) return []
    const group = (TOGETHER.find((each) => each.includes(key)) ?? [key]).filter((each) => keys.includes(each))
    for (const each of group) done.add(each)
    return [group]
  })
}

/** At least so many readings at random; those that a technician takes first more often, unless the draw is even. */
function drawn(random: RandomSource, keys: readonly ReadingKey[], least: number): ReadingKey[] {
  const groups = groupsOf(keys)
  const order = groups
    .map((group, i) => [random() + (EVEN_DRAWS ? 0 : i / groups.length), group] as const)
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
  'frostPattern',
  'sightGlass',
  'bulbWarmResponse',
  'warmValveResponse',
  'compressorNoise',
  'reliefNoise',
  'reversingValveNoise',
]

await loadRefrigerants(REFRIGERANT_NAMES)
await loadBooks(UNIT_CLASSES)
const members = new Map<UnitClass, Member[]>(
  UNIT_CLASSES.map((unitClass) => [unitClass, fleet(CLASS_UNITS[unitClass].units)]),
)

/** A sound unit, or a fault: as often as each is found, or every fault equally. */
function drawTruth(unit: UnitPlate, mode: RunningMode, random: RandomSource): SuspectId {
  if (random() < HEALTHY_SHARE) return 'healthy'
  // A lost charge does not run: bench:standing draws it.
  const faults = faultsOf(unit, mode).filter((fault) => fault !== 'charge-lost')
  if (EQUAL_FAULTS) return pick(random, faults)
  const total = faults.reduce((sum, fault) => sum + faultRow(fault).prior, 0)
  let left = random() * total
  return faults.find((fault) => (left -= faultRow(fault).prior) < 0) ?? 'healthy'
}

const otherMode = (mode: RunningMode): RunningMode => (mode === 'cooling' ? 'heating' : 'cooling')
/** Pressures that bear on a gate alone and would take the place of a reading that bears on the ranking. */
const NOT_RANKED: readonly ReadingKey[] = ['dryerOutPressure']
/** Stands still whatever the circuit: these readings are the same. */
const STANDING_TAPS: readonly ReadingKey[] = [
  'standingPressure',
  'outdoorAirTemp',
  'returnAirTemp',
  'boxTemp',
  'waterInTemp',
]

/** One case; undefined where the drawn unit would not run. */
function draw(seed: number): Case | undefined {
  const random = seededRandom(seed)
  const unitClass = pick(random, UNIT_CLASSES)
  const { unit, simulator } = pick(random, members.get(unitClass) as Member[])
  const { mode } = CLASS_UNITS[unitClass]
  const conditions = randomConditions(unit, mode, random)
  const truth = drawTruth(unit, mode, random)
  if (unit.kind === 'pool-heat-pump' && truth.startsWith('rv-co')) return undefined
  const severity = isElectrical(truth) || truth === 'healthy' ? 1 : 0.3 + 0.7 * random()
  const faults = isSimulated(truth) ? [{ fault: truth, severity }] : []
  const shown = isElectrical(truth) ? ELECTRICAL_SHOWS[truth as ElectricalFaultId] : undefined
  const first = attempt(() =>
    simulateSteady(anotherSpecimen(simulator, random), { unit, mode, conditions, faults }),
  )
  if (!first.ok) return undefined
  const show = shown?.(electricalTruth(first.value), unit, random)
  const steady = show?.otherMode
    ? attempt(() =>
        simulateSteady(anotherSpecimen(simulator, random), { unit, mode: otherMode(mode), conditions }),
      )
    : first
  if (!steady.ok) return undefined
  const runs = show?.runs ?? true
  const taps = (runs ? tapsOf(unit) : [...electricalTapsOf(unit), ...STANDING_TAPS]).filter(
    (key) => !NOT_RANKED.includes(key),
  )
  const count = Math.min(LEAST_READINGS + Math.floor(random() * 15), taps.length)
  const extra = runs ? electricalTapsOf(unit).filter(() => random() < (show ? 0.5 : 0.1)) : []
  const keys = [...new Set([...drawn(random, taps, count), ...extra])].filter(
    // Across open contacts there is no drop to measure.
    (key) => runs || key !== 'contactorVoltageDrop',
  )
  const readings = readSteady(steady.value, keys, random, show?.values)
  const seen = EVIDENT_OBSERVATIONS.filter(
    (key) =>
      isUsual(unit, key) &&
      IN_PASSING.has(key) &&
      (runs || !NOT_WHEN_DEAD.includes(key)) &&
      random() < OBSERVED_SHARE,
  )
  // The complaint, and what nobody mistakes: whether the compressor runs.
  const always: ObservationKey[] = ['comesAndGoes', 'compressorState', 'callForOperation']
  if (readings.ohmsToGround) always.push('groundMeasuredAt')
  const observations = {
    ...observe(steady.value, [...seen, 'groundInstrument'], random, LAPSE, show?.words),
    ...observe(steady.value, always, random, 0, show?.words),
  }
  const set: ReadingSet = { mode, readings, observations }
  const found = { unitClass, unit, truth, severity, steady: steady.value, show, set, random }
  return { ...found, readings: Object.keys(readings).length }
}

/** The set after the first check that is asked for was made. */
function afterCheck({ unit, steady, show, random }: Case, set: ReadingSet): ReadingSet {
  const asked = diagnose(unit, set).nextChecks[0]
  if (!asked) return set
  const { observation, test } = checkRow(asked.check)
  const taken = asked.taps.filter((key) => show?.runs !== false || key !== 'contactorVoltageDrop')
  const readings = { ...set.readings, ...readSteady(steady, taken, random, show?.values) }
  const words: ObservationKey[] = observation
    ? [observation]
    : test === 'ground' || test === 'groundAtTerminals'
      ? ['groundMeasuredAt']
      : []
  const seen = observe(steady, words, random, LAPSE, show?.words)
  return { ...set, readings, observations: { ...set.observations, ...seen } }
}

type Score = {
  cases: number
  exact: number
  family: number
  top3: number
  afterChecks: number
  familyAfter: number
}
const blank = (): Score => ({ cases: 0, exact: 0, family: 0, top3: 0, afterChecks: 0, familyAfter: 0 })
const share = (part: number, whole: number) => (whole === 0 ? null : Number((part / whole).toFixed(3)))
const shownScore = (score: Score) => ({
  cases: score.cases,
  exact: share(score.exact, score.cases),
  family: share(score.family, score.cases),
  top3: share(score.top3, score.cases),
  afterThreeChecks: share(score.afterChecks, score.cases),
  familyAfterThreeChecks: share(score.familyAfter, score.cases),
})

const outcomes = { correct: 0, misdiagnosed: 0, missed: 0, falseAlarm: 0, noResponse: 0 }
const byFault = new Map<string, Score>()
const byReadings = new Map<string, Score>()
const byClass = new Map<string, Score>()
const wellRead = blank()
/** Of those, circuits that run. */
const runningWellRead = blank()
const soundWellRead = { cases: 0, alarms: 0 }
const newBins = () => Array.from({ length: 10 }, () => ({ cases: 0, believed: 0, right: 0 }))
const bins = newBins()
const familyBins = newBins()
const confusion = new Map<string, number>()
const families = new Map<string, number>()
const times: number[] = []
/** Times of the sets with about as many readings as a thorough visit takes. */
const thoroughTimes: number[] = []
const THOROUGH = 18

function outcomeOf(truth: SuspectId, { fault, probability }: Suspect): keyof typeof outcomes {
  if (truth === fault) return 'correct'
  if (probability < ANSWER || fault === 'unlisted') return 'noResponse'
  if (truth === 'healthy') return 'falseAlarm'
  return fault === 'healthy' ? 'missed' : 'misdiagnosed'
}

function into(list: typeof bins, probability: number, right: boolean): void {
  const bin = list[Math.min(Math.floor(probability * 10), 9)] as (typeof bins)[number]
  bin.cases += 1
  bin.believed += probability
  bin.right += right ? 1 : 0
}

const isRight = (truth: SuspectId, { fault, also }: Suspect) => fault === truth && also === undefined

/** The leading family: beliefs of the suspects that would be treated alike, put together. */
function leadingFamily(suspects: readonly Suspect[]): { action: FamilyId; probability: number } {
  const sums = new Map<FamilyId, number>()
  for (const { family: action, probability } of suspects)
    sums.set(action, (sums.get(action) ?? 0) + probability)
  const [action, probability] = [...sums].sort((a, b) => b[1] - a[1])[0] as [FamilyId, number]
  return { action, probability }
}

function score(found: Case): void {
  const start = performance.now()
  const { suspects } = diagnose(found.unit, found.set)
  const taken = performance.now() - start
  times.push(taken)
  if (found.readings >= THOROUGH) thoroughTimes.push(taken)
  const leader = suspects[0] as Suspect
  const { truth } = found
  const family = leadingFamily(suspects)
  outcomes[outcomeOf(truth, leader)] += 1
  into(bins, leader.probability, isRight(truth, leader))
  into(familyBins, family.probability, family.action === familyOf(truth))
  let set = found.set
  for (let i = 0; i < ASKED_CHECKS; i++) set = afterCheck(found, set)
  const after = diagnose(found.unit, set).suspects
  const isWell = found.readings >= 8 && found.severity >= 0.5
  const scores = [
    scoreIn(byFault, truth),
    scoreIn(byReadings, readingsBin(found.readings)),
    ...(isWell && truth !== 'healthy' ? [wellRead, scoreIn(byClass, found.unitClass)] : []),
    ...(isWell && truth !== 'healthy' && found.show?.runs !== false ? [runningWellRead] : []),
  ]
  for (const each of scores) {
    each.cases += 1
    each.exact += isRight(truth, leader) ? 1 : 0
    each.family += family.action === familyOf(truth) ? 1 : 0
    each.top3 += suspects.slice(0, 3).some((suspect) => isRight(truth, suspect)) ? 1 : 0
    each.afterChecks += isRight(truth, after[0] as Suspect) ? 1 : 0
    each.familyAfter += leadingFamily(after).action === familyOf(truth) ? 1 : 0
  }
  if (isWell && truth === 'healthy') {
    soundWellRead.cases += 1
    const alarm = leader.fault !== 'healthy' && leader.fault !== 'unlisted' && leader.probability >= ANSWER
    soundWellRead.alarms += alarm ? 1 : 0
  }
  if (isWell && !isRight(truth, leader))
    count(confusion, `${truth} taken for ${leader.fault}${leader.also ? `+${leader.also}` : ''}`)
  if (isWell && family.action !== familyOf(truth))
    count(families, `${familyOf(truth)} taken for ${family.action}`)
}

const count = (map: Map<string, number>, key: string) => map.set(key, (map.get(key) ?? 0) + 1)

function scoreIn(map: Map<string, Score>, key: string): Score {
  const known = map.get(key) ?? blank()
  map.set(key, known)
  return known
}
const readingsBin = (readings: number) =>
  readings <= 3 ? '3' : readings <= 7 ? '4-7' : readings <= 12 ? '8-12' : '13+'

let [made, failed] = [0, 0]
for (let seed = 1; made < CASES; seed++) {
  const found = draw(seed)
  if (!found) failed += 1
  else {
    score(found)
    made += 1
  }
}
const errorOf = (list: typeof bins) =>
  Number((list.reduce((sum, { believed, right }) => sum + Math.abs(believed - right), 0) / made).toFixed(3))
const median = (values: number[]) =>
  Number((values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN).toFixed(2))
const table = (map: Map<string, Score>) =>
  Object.fromEntries(
    [...map].sort(([a], [b]) => a.localeCompare(b)).map(([key, value]) => [key, shownScore(value)]),
  )
const most = (map: Map<string, number>) =>
  Object.fromEntries([...map].sort((a, b) => b[1] - a[1]).slice(0, 25))
console.log(
  JSON.stringify(
    {
      cases: made,
      readings: EVEN_DRAWS ? 'drawn evenly' : 'those taken first more often',
      faults: EQUAL_FAULTS ? 'equally often' : 'as often as they are found',
      wouldNotRun: failed,
      outcomes,
      eightReadingsSeverityHalfUp: {
        ...shownScore(wellRead),
        falseAlarmOnSound: share(soundWellRead.alarms, soundWellRead.cases),
      },
      ofThemRunning: shownScore(runningWellRead),
      expectedCalibrationError: errorOf(bins),
      familyCalibrationError: errorOf(familyBins),
      reliability: bins.map(({ cases, believed, right }) => [
        cases,
        share(believed, cases),
        share(right, cases),
      ]),
      medianMilliseconds: median(times),
      medianMillisecondsThorough: {
        readingsAtLeast: THOROUGH,
        cases: thoroughTimes.length,
        milliseconds: median(thoroughTimes),
      },
      byReadings: table(byReadings),
      byClass: table(byClass),
      byFault: table(byFault),
      familiesConfused: most(families),
      confused: most(confusion),
    },
    null,
    2,
  ),
)
