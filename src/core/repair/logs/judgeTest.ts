import { computed, isAssumed, type Known } from '../../base/known/known'
import { attempt } from '../../base/errors/orzoError'
import { toKelvin } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { type Hold, judgeHold } from '../../physics/processes/hold'
import { refrigerantLeak, throughputOf } from '../../physics/processes/leakRate'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Range } from '../cleanup/exposure'
import type { Plan } from '../plan/plan'
import type { TestPressure } from '../plan/testPressure'
import { minutesLeft } from './minutesLeft'
import { fromMark, lastMark, type Look, looksOf, markAfter, until, type WorkLog } from './series'
import { type OverLimit, overLimit, overSentence } from './testLimit'
import type { Verdict } from './told'

/** What a nitrogen test says while it holds. SI */
export type TestJudged = Verdict & {
  readonly pressure: number | undefined
  /** next step that is gone to, Pa over the air; undefined at the target */
  readonly nextStep: number | undefined
  readonly state: 'over' | 'too-warm' | 'filling' | 'settling' | 'holding' | 'held' | 'falls' | 'rises'
  /** a look above the limit of what is connected; undefined where there is none */
  readonly over: OverLimit | undefined
  /** s since the last step, and how long it settles */
  readonly settled: number | undefined
  readonly hold: Hold | undefined
  /** s that the hold should last */
  readonly wanted: number
  /**
   * kg a year, by the two sides of the inner volume: smallest leak that this hold could have seen, and the one that it saw;
   * undefined where the inner volume is a guess
   */
  readonly leastSeen: LeakRange | undefined
  readonly seen: LeakRange | undefined
  /** it was held below its test pressure */
  readonly isLow: boolean
}

/** [practice] handbook 07: the gas is warm from filling for some minutes; the clock starts after. */
export const SETTLE_SECONDS = 300
/** [practice] handbook 07: fifteen minutes for a small circuit, thirty for a larger one. */
const HOLD_SMALL = 900
const HOLD_LARGE = 1800
const LARGE_VOLUME = 0.02
/** A step is reached within this, Pa. */
const AT_STEP = 2 * UNITS.psia.si

export type TestSetup = {
  readonly atmosphere: number
  /** Pa over the air, the last one is the target */
  readonly steps: readonly number[]
  /** lowest limit of what is connected, Pa over the air, and whose it is */
  readonly limit?: Pick<TestPressure, 'limit' | 'of'> & Partial<Pick<TestPressure, 'basis'>>
  /** what a leak is told by; unknown without a plan */
  readonly circuit?: {
    /** inner volume, m3, on each side of its fill; no leak is told by a guess */
    readonly volume: Known<number>
    readonly volumeRange: Range
    /** whether it is a larger circuit, which is held longer */
    readonly isLarge: Known<boolean>
    readonly refrigerant: RefrigerantName
    /** Pa absolute at which the unit runs on its high side */
    readonly running: number
  }
}

/** [practice] a unit condenses about here on a warm day: what leaks at that pressure is told. */
const RUNNING_KELVIN = toKelvin({ value: 110, unit: 'F' })

/** What a pressure test of a plan is judged by. @throws OrzoError not-loaded */
export function testSetup(
  unit: UnitPlate,
  { size, testPressure, refrigerantPath }: Pick<Plan, 'size' | 'testPressure' | 'refrigerantPath'>,
): TestSetup {
  const refrigerant = refrigerantPath.goesIn ?? unit.refrigerant
  return {
    atmosphere: siteAtmosphere(unit),
    steps: testPressure?.steps ?? [],
    ...(testPressure
      ? { limit: { limit: testPressure.limit, of: testPressure.of, basis: testPressure.basis } }
      : {}),
    circuit: {
      volume: size.volume,
      volumeRange: size.volumeRange,
      isLarge: computed(size.volume.value > LARGE_VOLUME, size.chargeGuess),
      refrigerant,
      running: saturationPressure(refrigerant, 'bubble', RUNNING_KELVIN),
    },
  }
}

const psi = (pascals: number) => (pascals / UNITS.psia.si).toFixed(2)
const minutes = (seconds: number) => Math.round(seconds / 60)

/** A leak, kg a year, on both sides of what the inner volume may be. */
export type LeakRange = { readonly low: number; readonly high: number }

/** kg a year of the hole that lets this much through; undefined where the table does not reach, or the volume is a guess. */
function asLeak(
  perSecond: number,
  { circuit, atmosphere }: TestSetup,
  inside: number,
): LeakRange | undefined {
  if (!circuit || isAssumed(circuit.volume)) return undefined
  const { volumeRange, refrigerant, running } = circuit
  const leakOf = (volume: number) => {
    const seen = { throughput: throughputOf(volume, perSecond), inside, outside: atmosphere }
    return refrigerantLeak(seen, refrigerant, running, atmosphere)
  }
  const leak = attempt(() => ({ low: leakOf(volumeRange.low), high: leakOf(volumeRange.high) }))
  return leak.ok ? leak.value : undefined
}

const LEAST_POUNDS = 32
const twoDigits = (value: number) => Number(value.toPrecision(2)).toLocaleString('en-US')

/** Masses a year as they are said in the trade: "4 to 10 lb a year". */
export function leakText({ low, high }: LeakRange): string {
  const [from, to] = [low / UNITS.oz.si, high / UNITS.oz.si]
  const isSmall = to < LEAST_POUNDS
  const [a, b] = isSmall ? [from, to] : [from / 16, to / 16]
  return `${twoDigits(a)} to ${twoDigits(b)} ${isSmall ? 'oz' : 'lb'} a year`
}

type Figures = Omit<TestJudged, keyof Verdict>

type Says = (judged: Figures, setup: TestSetup) => string

/** The change of a hold against its error. @param unit written behind the error: where other units are chosen it follows them */
export const changeText = ({ hold }: Pick<TestJudged, 'hold'>, unit: '' | ' psi' = ''): string =>
  hold
    ? `${psi(hold.change)} psi against ±${psi(hold.error)}${unit} in ${minutes(hold.seconds)} min, ${hold.isTemperatureMeasured ? 'corrected for temperature' : 'temperature not measured'}`
    : ''

/** What a hold could not have seen; nothing where the inner volume is a guess. */
const blindTo = ({ leastSeen }: Figures): string =>
  leastSeen === undefined ? '' : ` Smaller leaks than about ${leakText(leastSeen)} it cannot see: bubbles.`

const isOver: Says = ({ over }, setup) => (over ? overSentence(over, setup) : '')

function filling({ nextStep, settled }: Figures): string {
  if (nextStep !== undefined)
    return `Stop at ${(nextStep / UNITS.psia.si).toFixed(0)} psig, listen, bubble; then on.`
  return settled !== undefined && settled >= SETTLE_SECONDS
    ? 'Settled: shut the regulator and start the clock.'
    : 'At its pressure: let it settle, the gas is warm from filling.'
}

/** What each state says. */
const SAYS: Readonly<Record<TestJudged['state'], Says>> = {
  over: isOver,
  'too-warm': isOver,
  filling,
  settling: () => 'It settles: the gas is still warm from filling. The clock has not started.',
  falls: (judged) =>
    `It falls: ${changeText(judged)}${judged.seen === undefined ? '' : `, about ${leakText(judged.seen)}`}. Bubbles: joints made today first, then stems, cores, caps, where oil is.`,
  rises: (judged) =>
    `It rises: ${changeText(judged)}. That is warming: put a clamp to the pipe, or wait and start the clock again.`,
  held: (judged) =>
    judged.isLow
      ? 'Held, but below its test pressure: that proves little. Go on up and start the clock again.'
      : `No leak seen: ${changeText(judged)}.${blindTo(judged)}`,
  holding: (judged) =>
    judged.hold
      ? `So far ${changeText(judged)}; ${minutes(judged.wanted - judged.hold.seconds)} min more.${blindTo(judged)}`
      : 'The clock runs.',
}

type Stage = {
  readonly start: number | undefined
  readonly nextStep: number | undefined
  readonly settled: number | undefined
  readonly hold: Hold | undefined
  readonly wanted: number
  readonly over: OverLimit | undefined
}

/** Where a test stands. What is over the limit comes before everything. */
function stateOf({ start, nextStep, settled, hold, wanted, over }: Stage): TestJudged['state'] {
  if (over) return over.by === 'filling' ? 'over' : 'too-warm'
  if (start === undefined)
    return nextStep === undefined && settled !== undefined && settled < SETTLE_SECONDS
      ? 'settling'
      : 'filling'
  if (hold?.verdict === 'falls' || hold?.verdict === 'rises') return hold.verdict
  return hold !== undefined && hold.seconds >= wanted ? 'held' : 'holding'
}

/** The next step that is gone to; undefined at the target. @param gauge Pa over the air */
function nextOf({ steps }: TestSetup, gauge: number): number | undefined {
  const target = steps.at(-1)
  if (target === undefined || gauge >= target - AT_STEP) return undefined
  return steps.find((step) => step > gauge + AT_STEP)
}

/** The hold of the last time the regulator was shut, by looks at gauge and clamp. */
function heldOf(log: WorkLog, pressures: readonly Look[], start: number | undefined, atmosphere: number) {
  if (start === undefined) return { inside: undefined, hold: undefined }
  // what falls because it is bled off is no leak
  const bled = markAfter(log, 'stop', start)?.seconds
  const [held, warmth] = [pressures, looksOf(log, 'gasTemp', atmosphere)].map((looks) =>
    until(fromMark(looks, start), bled),
  ) as [Look[], Look[]]
  const hold = judgeHold(
    held.map(({ seconds, value }) => ({ seconds, pascals: value })),
    warmth.map(({ seconds, value }) => ({ seconds, kelvin: value })),
  )
  return { inside: held[0]?.value, hold }
}

/** How long it is held: the longer time where nobody knows how large it is. Without a plan as a small one. */
const holdSeconds = (circuit: TestSetup['circuit']): number =>
  circuit && (circuit.isLarge.value || isAssumed(circuit.isLarge)) ? HOLD_LARGE : HOLD_SMALL

/** Judges a pressure test: steps, settling, then the hold, corrected for temperature (handbook 07). @param now s of the log */
export function judgeTest(log: WorkLog, setup: TestSetup, now: number): TestJudged {
  const { atmosphere, steps, circuit } = setup
  const pressures = looksOf(log, 'testPressure', atmosphere)
  const pressure = pressures.at(-1)?.value
  const target = steps.at(-1)
  const start = lastMark(log, 'hold')?.seconds
  const lastStep = lastMark(log, 'step')?.seconds
  const { inside = pressure ?? atmosphere, hold } = heldOf(log, pressures, start, atmosphere)
  const stage: Stage = {
    start,
    nextStep: nextOf(setup, pressure === undefined ? -Infinity : pressure - atmosphere),
    settled: lastStep === undefined ? undefined : now - lastStep,
    hold,
    wanted: holdSeconds(circuit),
    over: overLimit(log, pressures, setup),
  }
  const judged = {
    ...stage,
    pressure,
    state: stateOf(stage),
    isLow: start !== undefined && target !== undefined && inside - atmosphere < target - AT_STEP,
    leastSeen: hold && asLeak(hold.leastSeen, setup, inside),
    seen: hold && hold.seen > 0 ? asLeak(hold.seen, setup, inside) : undefined,
  }
  return { ...judged, ...SHOWN[judged.state](judged, target), sentence: SAYS[judged.state](judged, setup) }
}

type Shown = Pick<Verdict, 'limit' | 'missing'>
const waits = (what: string): Shown => ({ limit: 'waiting', missing: [what] })
const TO_START = () => waits('shut the regulator and start the clock')

/** What each state has shown, and what it lacks. @param target Pa over the air; undefined where no plan tells it */
const SHOWN: Readonly<Record<TestJudged['state'], (judged: Figures, target: number | undefined) => Shown>> = {
  over: () => ({
    limit: 'failed',
    missing: ['relief and weakest part looked at, then the test again in a new log'],
  }),
  'too-warm': () => waits('bleed to its pressure and start the clock again'),
  filling: TO_START,
  settling: TO_START,
  falls: () => ({ limit: 'failed', missing: ['the leak found, and the test again'] }),
  rises: () => waits('a clamp on the pipe, or the clock started again'),
  holding: ({ wanted, hold }) => waits(`hold it ${minutesLeft(wanted - (hold?.seconds ?? 0))} more`),
  held: ({ isLow }, target) =>
    isLow
      ? waits('go on up to its pressure and start the clock again')
      : { limit: 'passed', missing: target === undefined ? ['the pressure of the test: its job'] : [] },
}
