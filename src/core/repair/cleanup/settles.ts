import { isUsual } from '../../record/equipment/observable'
import type { Observations } from '../../record/readings/schema'
import type { Repair } from '../../record/records/repair'
import { ACID_SIGNS, isOilTested } from './acidEvidence'
import { acidFound } from '../../record/job/acidTests'
import { acidChances, waterChance } from './chances'
import type { CircuitSize } from './circuitSize'
import type { ContaminationClass } from './classes'
import { classify, classesOf, type Contamination } from './contamination'
import { acidLedger } from './acid'
import type { CleanupRecord } from './record'
import { suggestionsOf } from './suggests'
import { WATER_SIGNS } from './waterEvidence'

type Patch = { readonly observations?: Observations; readonly repair?: Repair }

/** What a test can say, and what would be planned then. */
type Outcome = {
  readonly says: string
  /** 0 to 1, by what is known now */
  readonly chance: number
  readonly classes: readonly ContaminationClass[]
  readonly oilChanges: number
  /** it would change what is planned */
  readonly changes: boolean
}

/** A test that may change the class. */
export type Settling = {
  readonly id: string
  readonly label: string
  readonly minutes: number
  /** chance that the plan changes by it */
  readonly gain: number
  readonly outcomes: readonly Outcome[]
}

type TestRow = {
  readonly id: string
  readonly label: string
  readonly minutes: number
  readonly isOpen: (record: CleanupRecord) => boolean
  readonly outcomes: readonly (readonly [says: string, patch: Patch])[]
}

const day = 24
/** Tests of the inside, and what each can say. Minutes [practice]. */
const TESTS: readonly TestRow[] = [
  {
    id: 'oil-kit',
    label: 'Acid test of the oil, with a kit',
    minutes: 10,
    isOpen: (record) => !isOilTested(record),
    outcomes: (['negative', 'weak', 'strong'] as const).map((word) => [
      word,
      { observations: { acidTest: word, acidTestKind: 'oil-kit' } },
    ]),
  },
  {
    id: 'look-at-oil',
    label: 'Look at the oil and smell it',
    minutes: 5,
    isOpen: ({ observations }) => observations.oilAppearance === undefined,
    outcomes: (['clear', 'dark', 'burnt-smell', 'metal-flakes'] as const).map((word) => [
      word.replace('-', ' '),
      { observations: { oilAppearance: word } },
    ]),
  },
  {
    id: 'lab',
    label: 'Acid number of the oil from a laboratory',
    minutes: 2 * day * 60,
    isOpen: (record) => acidFound(record).number === undefined,
    outcomes: [
      ['below 0.05', { repair: { acidNumber: 0.02 } }],
      ['0.05 to 0.15', { repair: { acidNumber: 0.1 } }],
      ['0.15 and more', { repair: { acidNumber: 0.3 } }],
    ],
  },
  {
    id: 'indicator',
    label: 'Read the moisture indicator',
    minutes: 2,
    isOpen: ({ observations, unit }) =>
      observations.moistureIndicator === undefined && isUsual(unit, 'moistureIndicator'),
    outcomes: (['dry', 'wet'] as const).map((word) => [word, { observations: { moistureIndicator: word } }]),
  },
  {
    id: 'how-long',
    label: 'Ask since when it has not run',
    minutes: 5,
    isOpen: ({ observations, drewAir, isEmpty }) =>
      (drewAir || isEmpty) && observations.hoursOpenToAir === undefined,
    outcomes: [
      ['a day', { observations: { hoursOpenToAir: day } }],
      ['a month', { observations: { hoursOpenToAir: 30 * day } }],
      ['a year', { observations: { hoursOpenToAir: 365 * day } }],
    ],
  },
]

/** [practice] metal in the oil where a compressor broke, and elsewhere. */
const METAL_AFTER_BREAKAGE = 0.35
const METAL = 0.03
const THIRD = 1 / 3

const patched = (record: CleanupRecord, { observations, repair }: Patch): CleanupRecord => ({
  ...record,
  observations: { ...record.observations, ...observations },
  repair: { ...record.repair, ...repair },
})

/** Chance of one outcome, up to a factor that all outcomes of its test share. */
function weightOf(record: CleanupRecord, test: TestRow, patch: Patch): number {
  if (test.id === 'how-long') return THIRD
  const after = patched(record, patch)
  if (test.id === 'indicator') {
    const wet = waterChance(record)
    const row = WATER_SIGNS.find((sign) => sign.seen(after) && !sign.seen(record))
    return row ? (1 - wet) * row.chances[0] + wet * row.chances[1] : 0
  }
  if (patch.observations?.oilAppearance === 'metal-flakes')
    return suggestionsOf(record.faults).some(({ contents }) => contents.debris) ? METAL_AFTER_BREAKAGE : METAL
  const sign = ACID_SIGNS.find((each) => each.seen(after) && !each.seen(record))
  const chances = acidChances(record)
  return sign ? chances.reduce((sum, chance, i) => sum + chance * (sign.chances[i] ?? 0), 0) : 0
}

/** Oil changes for acid, and at least one for water. */
const changesOf = (record: CleanupRecord, contamination: Contamination, size: CircuitSize): number =>
  Math.max(acidLedger(record, contamination, size).changes, contamination.contents.wet ? 1 : 0)

const planText = (contamination: Contamination, changes: number) =>
  `${classesOf(contamination).join()} ${changes} ${contamination.known}`

/**
 * Which test of the inside would change the plan, and what it would be then, the likeliest to change it first: the branches
 * that are open until the oil is out.
 */
export function settlingTests(record: CleanupRecord, size: CircuitSize): Settling[] {
  const now = classify(record, size)
  const text = planText(now, changesOf(record, now, size))
  const tests = TESTS.filter(({ isOpen }) => isOpen(record)).map((test): Settling => {
    const weights = test.outcomes.map(([, patch]) => weightOf(record, test, patch))
    const sum = weights.reduce((all, each) => all + each, 0) || 1
    const outcomes = test.outcomes.map(([says, patch], i): Outcome => {
      const after = patched(record, patch)
      const then = classify(after, size)
      const oilChanges = changesOf(after, then, size)
      return {
        says,
        chance: (weights[i] ?? 0) / sum,
        classes: classesOf(then),
        oilChanges,
        changes: planText(then, oilChanges) !== text,
      }
    })
    const gain = outcomes.reduce((all, { chance, changes }) => all + (changes ? chance : 0), 0)
    return { id: test.id, label: test.label, minutes: test.minutes, gain, outcomes }
  })
  return tests
    .filter(({ gain }) => gain > LEAST_GAIN)
    .sort((a, b) => b.gain / Math.log(b.minutes + LOG_FROM) - a.gain / Math.log(a.minutes + LOG_FROM))
}

/** A test that changes the plan more seldom is not told. */
const LEAST_GAIN = 0.02
/** Minutes count by their logarithm: five or ten are the same to a technician, two days are not. */
const LOG_FROM = 10
