// npm run -s bench:standing [-- CASES]: how often the right path is taken for simulated units that do not run: any charge from
// full to none, air, vacuum, pumped-down walk-ins, electrical faults as often as they are found, satisfied controls; what a
// hurried visit reads, observations and tests with lapses. Seeded; prints JSON. Shares no seed with the running benchmark.
import { pick } from './draws'
import { diagnose, type Suspect } from '@/core/answer/diagnose'
import { attempt } from '@/core/base/errors/orzoError'
import { type RandomSource, seededRandom } from '@/core/base/numeric/random'
import { fromKelvin } from '@/core/base/units/convert'
import { checkRow, type CheckId } from '@/core/diagnosis/checks/checks'
import { electricalTestRow } from '@/core/diagnosis/electrical/electricalTests'
import { electricalFaultsOf } from '@/core/diagnosis/faults/applies'
import { familyOf } from '@/core/diagnosis/faults/families'
import { type ElectricalFaultId, faultRow, type SuspectId } from '@/core/diagnosis/faults/faults'
import { loadBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { isUsual } from '@/core/record/equipment/observable'
import { electricalTapsOf } from '@/core/record/equipment/taps'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { ObservationKey } from '@/core/record/readings/observations'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { ELECTRICAL_SHOWS } from '@/core/simulate/electricalFaults'
import { electricalTruth } from '@/core/simulate/electricalTruth'
import { observe } from '@/core/simulate/observe'
import { anotherSpecimen } from '@/core/simulate/scatter'
import { readSteady } from '@/core/simulate/simulateSet'
import {
  type Inside,
  lostChargeWords,
  NOTHING_FLOWS,
  pumpsDown,
  standingTruth,
} from '@/core/simulate/standingCircuit'
import { simulateSteady, type Steady } from '@/core/simulate/steady'
import type { Truth } from '@/core/simulate/trueReadings'
import { randomConditions } from '../simulate/conditions'
import { lostInside, psi } from '../simulate/lost'
import { CLASS_UNITS, fleet } from '../simulate/fleet'

const CASES = Number(process.argv[2] ?? 3000)
/** Nothing was fitted to the cases from here on. */
const FIRST_SEED = 9_000_000
const LAPSE = 0.05
const LOST_SHARE = 0.35
const SATISFIED_SHARE = 0.06
const ASKED_CHECKS = [0, 3, 5] as const

/** What is done first; the question of this benchmark. */
type Path = 'leak first' | 'electrical' | 'start gear' | 'control' | 'nothing wrong' | `other: ${string}`
const PATHS: Readonly<Record<string, Path>> = {
  leak: 'leak first',
  'path-to-ground': 'electrical',
  'motor-failed': 'electrical',
  'terminal-plug-burnt': 'electrical',
  'compressor-overload-open': 'electrical',
  'supply-fault': 'electrical',
  'contactor-failed': 'electrical',
  'start-gear-failed': 'start gear',
  'intermittent-start': 'start gear',
  'control-open': 'control',
  healthy: 'nothing wrong',
}
const pathOf = (suspect: SuspectId): Path => PATHS[familyOf(suspect)] ?? `other: ${familyOf(suspect)}`

type Case = {
  readonly unit: UnitPlate
  readonly truth: SuspectId
  readonly kind: string
  readonly steady: Steady
  readonly values: Truth
  readonly words: { readonly [K in ObservationKey]?: string }
  readonly set: ReadingSet
  readonly random: RandomSource
}

await loadRefrigerants(REFRIGERANT_NAMES)
await loadBooks(UNIT_CLASSES)
const members = UNIT_CLASSES.flatMap((unitClass) =>
  fleet(CLASS_UNITS[unitClass].units).map((member) => ({ ...member, mode: CLASS_UNITS[unitClass].mode })),
)

/** A charge with liquid left: from half to a little over the plate, sometimes pumped down, seldom with air. */
function fullInside(steady: Steady, random: RandomSource): Inside {
  const charge = 0.5 + 0.65 * random()
  if (pumpsDown(steady) && random() < 0.5) return { charge, pumpedDownTo: psi(2 + 12 * random()) }
  return random() < 0.03 ? { charge, gas: psi(15 + 30 * random()) } : { charge }
}

/** Electrical faults by how often they are found, of those that stand still. */
function drawElectrical(unit: UnitPlate, random: RandomSource): ElectricalFaultId {
  const faults = electricalFaultsOf(unit, 'cooling')
  const total = faults.reduce((sum, fault) => sum + faultRow(fault).prior, 0)
  let left = random() * total
  return faults.find((fault) => (left -= faultRow(fault).prior) < 0) ?? 'control-open'
}

/** What a hurried visit reads first: the pressures and where it is coldest, then some of the bench. */
function readingsOf(unit: UnitPlate, random: RandomSource): ReadingKey[] {
  const places: ReadingKey[] = ['outdoorAirTemp', 'boxTemp', 'returnAirTemp', 'waterInTemp']
  const atRest: ReadingKey[] =
    random() < 0.7 ? ['standingSuctionPressure', 'standingLiquidPressure', ...places] : []
  const share = random()
  const bench = electricalTapsOf(unit).filter((key) => key !== 'contactorVoltageDrop' && random() < share)
  return [...atRest, ...bench]
}

const QUICK: readonly ObservationKey[] = [
  'oilStain',
  'breaker',
  'contactorPoints',
  'compressorShell',
  'lowPressureSwitch',
  'outdoorFan',
]

function draw(seed: number): Case | undefined {
  const random = seededRandom(seed)
  const { unit, simulator, mode } = pick(random, members)
  const conditions = randomConditions(unit, mode, random)
  const found = attempt(() => simulateSteady(anotherSpecimen(simulator, random), { unit, mode, conditions }))
  if (!found.ok) return undefined
  const steady = found.value
  const drawn = random()
  const isLost = drawn < LOST_SHARE
  const isSatisfied = !isLost && drawn < LOST_SHARE + SATISFIED_SHARE
  const [kind, inside] = isLost ? lostInside(steady, random) : ['liquid', fullInside(steady, random)]
  const atRest = standingTruth(steady, inside)
  if (isLost) {
    const words = lostChargeWords(atRest, steady, random)
    return made('charge-lost', kind, { ...NOTHING_FLOWS, ...atRest }, words)
  }
  if (isSatisfied)
    return made(
      'healthy',
      'satisfied',
      { ...NOTHING_FLOWS, ...atRest },
      {
        compressorState: 'off',
        controlVolts: 'dead',
        loadVolts: 'dead',
        contactorPoints: 'not-pulled-in',
        callForOperation: 'no',
      },
    )
  const fault = drawElectrical(unit, random)
  const show = ELECTRICAL_SHOWS[fault](electricalTruth(steady), unit, random)
  if (show.runs) return undefined
  return made(fault, fault, { ...atRest, ...show.values }, show.words)

  function made(truth: SuspectId, of: string, values: Truth, words: Case['words']): Case {
    const control =
      of === 'satisfied' ? { control: { setpoint: spaceAbove(atRest), differential: degrees(3) } } : {}
    const plate: UnitPlate = { ...unit, ...control }
    const always: ObservationKey[] = ['comesAndGoes', 'compressorState']
    const readings = readSteady(steady, readingsOf(unit, random), random, values)
    if (of !== 'satisfied' && random() < 0.8) always.push('callForOperation')
    if (readings.ohmsToGround) always.push('groundMeasuredAt')
    const quick = QUICK.filter((key) => isUsual(unit, key) && random() < 0.35)
    const observations = {
      ...observe(steady, quick, random, LAPSE, words),
      ...observe(steady, always, random, 0, words),
    }
    const set: ReadingSet = { mode, readings, observations }
    return { unit: plate, truth, kind: of, steady, values, words, set, random }
  }
}

const degrees = (value: number) => ({ value, unit: 'F' as const })
/** A setpoint under which the space lies. */
const spaceAbove = (atRest: Truth) =>
  degrees(Math.round(fromKelvin(atRest.boxTemp ?? atRest.returnAirTemp ?? 295, 'F')))

/** The set after the first check that is asked for was made. */
function afterCheck({ unit, steady, values, words, random }: Case, set: ReadingSet): ReadingSet {
  const asked = diagnose(unit, set).nextChecks[0]
  if (!asked) return set
  const { observation, test } = checkRow(asked.check)
  const taps = asked.taps.length > 0 ? asked.taps : test ? electricalTestRow(test).needs(unit) : []
  const readings = {
    ...set.readings,
    ...readSteady(steady, taps, random, valuesAt(asked.check, values, words)),
  }
  const seen = observe(steady, observation ? [observation] : [], random, LAPSE, words)
  const place =
    test === 'groundAtTerminals'
      ? { groundMeasuredAt: 'terminals' as const, terminalCover: 'off' as const, pressureOff: 'yes' as const }
      : test === 'ground'
        ? { groundMeasuredAt: 'contactor' as const }
        : {}
  if (test === 'groundAtTerminals' && set.readings.ohmsToGround && readings.ohmsToGround) {
    const { value, unit: of } = set.readings.ohmsToGround
    readings.ohmsToGround = { ...readings.ohmsToGround, before: [{ value, unit: of }] }
  }
  return { ...set, readings, observations: { ...set.observations, ...seen, ...place } }
}

const SOUND_INSULATION = 5e7
/** At the compressor's own terminals only a grounded compressor shows a path; at the contactor all of them do. */
function valuesAt(check: CheckId, values: Truth, words: Case['words']): Truth {
  const isCompressor = words.groundPath === 'compressor-side' && !words.leadState?.startsWith('rubbed')
  const path = values.ohmsToGround !== undefined && values.ohmsToGround < SOUND_INSULATION
  if (check === 'groundAtTerminals' && path && !isCompressor)
    return { ...values, ohmsToGround: SOUND_INSULATION }
  if (check === 'ground' && words.groundPath !== undefined && !path) return { ...values, ohmsToGround: 500 }
  return values
}

function leadingPath(suspects: readonly Suspect[]): Path {
  const sums = new Map<Path, number>()
  for (const { fault, probability } of suspects)
    sums.set(pathOf(fault), (sums.get(pathOf(fault)) ?? 0) + probability)
  return ([...sums].sort((a, b) => b[1] - a[1])[0] as [Path, number])[0]
}

/** Of a satisfied control "no call: find why" is as right as "nothing wrong". */
const isRight = ({ truth, kind }: Case, path: Path): boolean =>
  path === pathOf(truth) || (kind === 'satisfied' && path === 'control')

type Score = { cases: number; right: number[] }
const scores = new Map<string, Score>()
const wrong = new Map<string, number>()
const score = (key: string): Score => {
  const known = scores.get(key) ?? { cases: 0, right: ASKED_CHECKS.map(() => 0) }
  scores.set(key, known)
  return known
}

let made = 0
for (let seed = FIRST_SEED; made < CASES; seed++) {
  const found = draw(seed)
  if (!found) continue
  made += 1
  const rows = [score('all'), score(`path: ${pathOf(found.truth)}`), score(found.kind)]
  for (const row of rows) row.cases += 1
  let set = found.set
  let asked = 0
  for (const [k, checks] of ASKED_CHECKS.entries()) {
    for (; asked < checks; asked++) set = afterCheck(found, set)
    const path = leadingPath(diagnose(found.unit, set).suspects)
    if (isRight(found, path)) for (const row of rows) row.right[k] = (row.right[k] as number) + 1
    else if (checks === 3) {
      const name = `${found.kind} taken for ${path}`
      if (process.argv.includes('show')) console.error(name, JSON.stringify(set))
      wrong.set(name, (wrong.get(name) ?? 0) + 1)
    }
  }
}
console.log(
  JSON.stringify(
    {
      cases: made,
      rightPath: Object.fromEntries(
        [...scores].sort().map(([key, { cases, right }]) => [
          key,
          {
            cases,
            ...Object.fromEntries(
              ASKED_CHECKS.map((checks, k) => [
                checks === 0 ? 'as found' : `after ${checks} checks`,
                Number(((right[k] as number) / cases).toFixed(3)),
              ]),
            ),
          },
        ]),
      ),
      wrongAfterThree: Object.fromEntries([...wrong].sort((a, b) => b[1] - a[1]).slice(0, 25)),
    },
    null,
    2,
  ),
)
