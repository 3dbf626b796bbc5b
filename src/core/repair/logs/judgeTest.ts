import { attempt } from '../../base/errors/orzoError'
import { toKelvin } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { type Hold, type HoldPoint, judgeHold } from '../../physics/processes/hold'
import { refrigerantLeak, throughputOf } from '../../physics/processes/leakRate'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Plan } from '../plan/plan'
import type { TestPressure } from '../plan/testPressure'
import { minutesLeft } from './minutesLeft'
import { lastMark, lookAt, looksOf, markAfter, since, until, type WorkLog } from './series'
import type { Verdict } from './told'

/** What a nitrogen test says while it holds. SI */
export type TestJudged = Verdict & {
  readonly pressure: number | undefined
  /** next step that is gone to, Pa over the air; undefined at the target */
  readonly nextStep: number | undefined
  readonly state: 'filling' | 'settling' | 'holding' | 'held' | 'falls' | 'rises'
  /** s since the last step, and how long it settles */
  readonly settled: number | undefined
  readonly hold: Hold | undefined
  /** s that the hold should last */
  readonly wanted: number
  /** kg a year: smallest leak that this hold could have seen, and the one that it saw */
  readonly leastSeen: number | undefined
  readonly seen: number | undefined
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
  readonly limit?: Pick<TestPressure, 'limit' | 'of'>
  /** what a leak is told by; unknown without a plan */
  readonly circuit?: {
    /** inner volume, m3 */
    readonly volume: number
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
    ...(testPressure ? { limit: { limit: testPressure.limit, of: testPressure.of } } : {}),
    circuit: {
      volume: size.volume,
      refrigerant,
      running: saturationPressure(refrigerant, 'bubble', RUNNING_KELVIN),
    },
  }
}

const psi = (pascals: number) => (pascals / UNITS.psia.si).toFixed(2)
const minutes = (seconds: number) => Math.round(seconds / 60)

/** kg a year of the hole that lets this much through; undefined where the table does not reach. */
function asLeak(perSecond: number, { circuit, atmosphere }: TestSetup, inside: number) {
  if (!circuit) return undefined
  const { volume, refrigerant, running } = circuit
  const seen = { throughput: throughputOf(volume, perSecond), inside, outside: atmosphere }
  const leak = attempt(() => refrigerantLeak(seen, refrigerant, running, atmosphere))
  return leak.ok ? leak.value : undefined
}

/** A mass a year as it is said in the trade. */
export const leakText = (kg: number): string => {
  const ounces = kg / UNITS.oz.si
  return ounces < 32
    ? `${Number(ounces.toPrecision(2))} oz a year`
    : `${Number((ounces / 16).toPrecision(2))} lb a year`
}

type Figures = Omit<TestJudged, keyof Verdict>

function sentenceOf(judged: Figures): string {
  const { state, hold, wanted, leastSeen, seen, nextStep, isLow, settled } = judged
  const could =
    leastSeen === undefined ? '' : ` Smaller leaks than about ${leakText(leastSeen)} it cannot see: bubbles.`
  if (state === 'filling' && nextStep === undefined)
    return settled !== undefined && settled >= SETTLE_SECONDS
      ? 'Settled: shut the regulator and start the clock.'
      : 'At its pressure: let it settle, the gas is warm from filling.'
  if (state === 'filling' && nextStep !== undefined)
    return `Stop at ${(nextStep / UNITS.psia.si).toFixed(0)} psig, listen, bubble; then on.`
  if (state === 'settling')
    return 'It settles: the gas is still warm from filling. The clock has not started.'
  if (!hold) return 'The clock runs.'
  const change = `${psi(hold.change)} psi against ±${psi(hold.error)} in ${minutes(hold.seconds)} min, corrected for temperature`
  if (state === 'falls')
    return `It falls: ${change}${seen === undefined ? '' : `, about ${leakText(seen)}`}. Bubbles: joints made today first, then stems, cores, caps, where oil is.`
  if (state === 'rises')
    return `It rises: ${change}. That is warming: put a clamp to the pipe, or wait and start the clock again.`
  if (state === 'held' && isLow)
    return `Held, but below its test pressure: that proves little. Go on up and start the clock again.`
  if (state === 'held') return `No leak seen: ${change}.${could}`
  return `So far ${change}; ${minutes(wanted - hold.seconds)} min more.${could}`
}

/** Judges a pressure test: steps, settling, then the hold, corrected for temperature (handbook 07). @param now s of the log */
export function judgeTest(log: WorkLog, setup: TestSetup, now: number): TestJudged {
  const pressures = looksOf(log, 'testPressure', setup.atmosphere)
  const warmth = looksOf(log, 'gasTemp', setup.atmosphere)
  const pressure = pressures.at(-1)?.value
  const gauge = pressure === undefined ? -Infinity : pressure - setup.atmosphere
  const target = setup.steps.at(-1)
  const nextStep =
    target === undefined || gauge >= target - AT_STEP
      ? undefined
      : setup.steps.find((step) => step > gauge + AT_STEP)
  const start = lastMark(log, 'hold')?.seconds
  const lastStep = lastMark(log, 'step')?.seconds
  // what falls because it is bled off is no leak
  const bled = start === undefined ? undefined : markAfter(log, 'stop', start)?.seconds
  const points = start === undefined ? [] : until(since(pressures, start), bled)
  const held = points.map(({ seconds, value }): HoldPoint => ({
    seconds,
    pascals: value,
    kelvin: warmth.length > 0 ? lookAt(warmth, seconds)?.value : undefined,
  }))
  const hold = judgeHold(held)
  const wanted = (setup.circuit?.volume ?? 0) > LARGE_VOLUME ? HOLD_LARGE : HOLD_SMALL
  const settled = lastStep === undefined ? undefined : now - lastStep
  const isWhole = hold !== undefined && hold.seconds >= wanted
  const state: TestJudged['state'] =
    start === undefined
      ? nextStep === undefined && settled !== undefined && settled < SETTLE_SECONDS
        ? 'settling'
        : 'filling'
      : hold?.verdict === 'falls'
        ? 'falls'
        : hold?.verdict === 'rises'
          ? 'rises'
          : isWhole
            ? 'held'
            : 'holding'
  const inside = points[0]?.value ?? pressure ?? setup.atmosphere
  const judged = {
    pressure,
    nextStep,
    state,
    settled,
    hold,
    wanted,
    isLow: start !== undefined && target !== undefined && inside - setup.atmosphere < target - AT_STEP,
    leastSeen: hold && asLeak(hold.leastSeen, setup, inside),
    seen: hold && hold.seen > 0 ? asLeak(hold.seen, setup, inside) : undefined,
  }
  return { ...judged, ...limitOf(judged, target), sentence: sentenceOf(judged) }
}

/** What a hold has shown, and what it lacks. @param target Pa over the air; undefined where no plan tells it */
function limitOf(
  { state, isLow, hold, wanted }: Figures,
  target: number | undefined,
): Pick<Verdict, 'limit' | 'missing'> {
  const waits = (what: string) => ({ limit: 'waiting' as const, missing: [what] })
  if (state === 'falls') return { limit: 'failed', missing: ['the leak found, and the test again'] }
  if (state === 'rises') return waits('a clamp on the pipe, or the clock started again')
  if (state === 'holding') return waits(`hold it ${minutesLeft(wanted - (hold?.seconds ?? 0))} more`)
  if (state !== 'held') return waits('shut the regulator and start the clock')
  if (isLow) return waits('go on up to its pressure and start the clock again')
  return { limit: 'passed', missing: target === undefined ? ['the pressure of the test: its job'] : [] }
}
