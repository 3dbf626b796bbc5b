// npm run -s bench:diagnosis [-- CASES]: how often the ranking is right on simulated units: all kinds that are judged,
// conditions, faults, severities 0.3-1, instruments, random subsets of readings and observations with lapses. JSON.
import { performance } from 'node:perf_hooks'
import { faultsOf } from '@/core/diagnose/applies'
import { diagnose } from '@/core/diagnose/diagnose'
import { familyOf } from '@/core/diagnose/families'
import type { FaultId, SuspectId } from '@/core/diagnose/faults'
import { EVIDENT_OBSERVATIONS } from '@/core/diagnose/likelihood'
import { attempt } from '@/core/errors/orzoError'
import { tapsOf } from '@/core/job/taps'
import type { UnitPlate } from '@/core/job/unit'
import { type RandomSource, seededRandom } from '@/core/numeric/random'
import type { ReadingSet } from '@/core/readings/schema'
import { REFRIGERANT_NAMES } from '@/core/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/refrigerants/tables'
import { checkRow } from '@/core/diagnose/checks'
import { ratedLoadAmps } from '@/core/simulate/electricalTruth'
import { observe } from '@/core/simulate/observe'
import { anotherSpecimen } from '@/core/simulate/scatter'
import { readSteady } from '@/core/simulate/simulateSet'
import { type Simulator, simulateSteady, simulatorOf, type Steady } from '@/core/simulate/steady'
import { toKelvin } from '@/core/units/convert'

const CASES = Number(process.argv[2] ?? 2000)
const HEALTHY_SHARE = 0.15
const LAPSE = 0.05
const OBSERVED_SHARE = 0.25
const LEAST_READINGS = 3
const ASKED_CHECKS = 3
/** A suspect must reach this to count as an answer. */
const ANSWER = 0.25

const BARE: readonly UnitPlate[] = [
  { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' },
  { kind: 'split-ac', refrigerant: 'R-22', metering: 'fixed-orifice' },
  { kind: 'package-ac', refrigerant: 'R-454B', metering: 'eev' },
  { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' },
  { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv' },
  { kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv', receiver: true },
  {
    kind: 'walk-in-freezer',
    refrigerant: 'R-404A',
    metering: 'txv',
    receiver: true,
    headPressureControl: true,
  },
  { kind: 'reach-in', refrigerant: 'R-134a', metering: 'capillary' },
]
/** The same units with the rated load amps that their own motors would carry on the plate. */
function withPlate(unit: UnitPlate): UnitPlate {
  const steady = simulateSteady(simulatorOf(unit), { unit, mode: 'cooling' })
  return { ...unit, power: { rla: Number(ratedLoadAmps(steady).toFixed(1)) } }
}
const f = (value: number) => toKelvin({ value, unit: 'F' })

type Case = {
  readonly unit: UnitPlate
  readonly truth: FaultId | 'healthy'
  readonly severity: number
  readonly steady: Steady
  readonly readings: number
  readonly set: ReadingSet
  readonly random: RandomSource
}

const pick = <T>(random: RandomSource, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T

function shuffled<T>(random: RandomSource, from: readonly T[]): T[] {
  return from
    .map((value) => [random(), value] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, value]) => value)
}

await loadRefrigerants(REFRIGERANT_NAMES)
const UNITS = BARE.map(withPlate)
const simulators = new Map(UNITS.map((unit) => [unit, simulatorOf(unit)] as const))

/** One case; undefined where the drawn unit would not run. */
function draw(seed: number): Case | undefined {
  const random = seededRandom(seed)
  const unit = pick(random, UNITS)
  const simulator = simulators.get(unit) as Simulator
  const between = (low: number, high: number) => f(low + (high - low) * random())
  const isFreezer = unit.kind === 'walk-in-freezer'
  const conditions = {
    outdoorAirTemp: between(60, 102),
    returnAirTemp: between(70, 80),
    boxTemp: isFreezer ? between(-10, 4) : between(34, 40),
    waterInTemp: between(65, 88),
  }
  const truth = random() < HEALTHY_SHARE ? 'healthy' : pick(random, faultsOf(unit))
  const severity = 0.3 + 0.7 * random()
  const faults = truth === 'healthy' ? [] : [{ fault: truth, severity }]
  const steady = attempt(() =>
    simulateSteady(anotherSpecimen(simulator, random), { unit, mode: 'cooling', conditions, faults }),
  )
  if (!steady.ok) return undefined
  const taps = shuffled(random, tapsOf(unit))
  const count = Math.min(LEAST_READINGS + Math.floor(random() * 15), taps.length)
  const readings = readSteady(steady.value, taps.slice(0, count), random)
  const seen = EVIDENT_OBSERVATIONS.filter(() => random() < OBSERVED_SHARE)
  const observations = observe(steady.value, seen, random, LAPSE)
  const set: ReadingSet = { mode: 'cooling', readings, observations }
  return { unit, truth, severity, steady: steady.value, readings: Object.keys(readings).length, set, random }
}

/** The set after the first check that is asked for was made. */
function afterCheck(drawn: Case, set: ReadingSet): ReadingSet {
  const asked = diagnose(drawn.unit, set).nextChecks[0]
  if (!asked) return set
  const { observation } = checkRow(asked.check)
  if (observation) {
    const seen = observe(drawn.steady, [observation], drawn.random, LAPSE)
    return { ...set, observations: { ...set.observations, ...seen } }
  }
  return { ...set, readings: { ...set.readings, ...readSteady(drawn.steady, asked.taps, drawn.random) } }
}

type Score = { cases: number; exact: number; family: number; top3: number; afterChecks: number }
const blank = (): Score => ({ cases: 0, exact: 0, family: 0, top3: 0, afterChecks: 0 })
const share = (part: number, whole: number) => (whole === 0 ? null : Number((part / whole).toFixed(3)))
const shown = (score: Score) => ({
  cases: score.cases,
  exact: share(score.exact, score.cases),
  family: share(score.family, score.cases),
  top3: share(score.top3, score.cases),
  afterThreeChecks: share(score.afterChecks, score.cases),
})

const outcomes = { correct: 0, misdiagnosed: 0, missed: 0, falseAlarm: 0, noResponse: 0 }
const byFault = new Map<string, Score>()
const byReadings = new Map<string, Score>()
const wellRead = blank()
const soundWellRead = { cases: 0, alarms: 0 }
const bins = Array.from({ length: 10 }, () => ({ cases: 0, believed: 0, right: 0 }))
const confusion = new Map<string, number>()
const times: number[] = []

function outcomeOf(truth: SuspectId, leader: SuspectId, probability: number): keyof typeof outcomes {
  if (truth === leader) return 'correct'
  if (probability < ANSWER || leader === 'unlisted') return 'noResponse'
  if (truth === 'healthy') return 'falseAlarm'
  return leader === 'healthy' ? 'missed' : 'misdiagnosed'
}

function score(drawn: Case): void {
  const start = performance.now()
  const { suspects } = diagnose(drawn.unit, drawn.set)
  times.push(performance.now() - start)
  const leader = suspects[0] as (typeof suspects)[number]
  const { truth } = drawn
  outcomes[outcomeOf(truth, leader.fault, leader.probability)] += 1
  const bin = bins[Math.min(Math.floor(leader.probability * 10), 9)] as (typeof bins)[number]
  bin.cases += 1
  bin.believed += leader.probability
  bin.right += leader.fault === truth ? 1 : 0
  let set = drawn.set
  for (let i = 0; i < ASKED_CHECKS; i++) set = afterCheck(drawn, set)
  const finally_ = diagnose(drawn.unit, set).suspects[0]?.fault
  const isWell = drawn.readings >= 8 && (truth === 'healthy' || drawn.severity >= 0.5)
  const scores = [
    scoreIn(byFault, truth),
    scoreIn(byReadings, readingsBin(drawn.readings)),
    ...(isWell && truth !== 'healthy' ? [wellRead] : []),
  ]
  for (const each of scores) {
    each.cases += 1
    each.exact += leader.fault === truth ? 1 : 0
    each.family += familyOf(leader.fault) === familyOf(truth) ? 1 : 0
    each.top3 += suspects.slice(0, 3).some(({ fault }) => fault === truth) ? 1 : 0
    each.afterChecks += finally_ === truth ? 1 : 0
  }
  if (isWell && truth === 'healthy') {
    soundWellRead.cases += 1
    soundWellRead.alarms +=
      leader.fault !== 'healthy' && leader.fault !== 'unlisted' && leader.probability >= ANSWER ? 1 : 0
  }
  if (isWell && leader.fault !== truth) {
    const pair = `${truth} taken for ${leader.fault}`
    confusion.set(pair, (confusion.get(pair) ?? 0) + 1)
  }
}

function scoreIn(map: Map<string, Score>, key: string): Score {
  const known = map.get(key) ?? blank()
  map.set(key, known)
  return known
}
const readingsBin = (count: number) => (count <= 3 ? '3' : count <= 7 ? '4-7' : count <= 12 ? '8-12' : '13+')

let [made, failed] = [0, 0]
for (let seed = 1; made < CASES; seed++) {
  const drawn = draw(seed)
  if (!drawn) failed += 1
  else {
    score(drawn)
    made += 1
  }
}
const calibration = bins.reduce((sum, { believed, right }) => sum + Math.abs(believed - right), 0) / made
times.sort((a, b) => a - b)
const table = (map: Map<string, Score>) =>
  Object.fromEntries(
    [...map].sort(([a], [b]) => a.localeCompare(b)).map(([key, value]) => [key, shown(value)]),
  )
console.log(
  JSON.stringify(
    {
      cases: made,
      wouldNotRun: failed,
      outcomes,
      eightReadingsSeverityHalfUp: {
        ...shown(wellRead),
        falseAlarmOnSound: share(soundWellRead.alarms, soundWellRead.cases),
      },
      expectedCalibrationError: Number(calibration.toFixed(3)),
      medianMilliseconds: Number((times[Math.floor(times.length / 2)] as number).toFixed(2)),
      byReadings: table(byReadings),
      byFault: table(byFault),
      confused: Object.fromEntries([...confusion].sort((a, b) => b[1] - a[1]).slice(0, 20)),
    },
    null,
    2,
  ),
)
