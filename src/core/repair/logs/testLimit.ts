import { UNITS } from '../../base/units/units'
import type { TestPressure } from '../plan/testPressure'
import { fromMark, lastMark, type Look, type WorkLog } from './series'

/** A look above the limit, Pa over the air: filled that far, or warmed up behind a shut regulator. */
export type OverLimit = { readonly gauge: number; readonly by: 'filling' | 'warming' }

type LimitSetup = {
  readonly atmosphere: number
  /** Pa over the air, the last one is the target */
  readonly steps: readonly number[]
  /** lowest limit of what is connected, Pa over the air, and whose it is */
  readonly limit?: Pick<TestPressure, 'limit' | 'of'>
}

/** Figures are rounded as gauges show them: above the limit by less is at the limit, Pa. */
const ROUNDED = 0.05 * UNITS.psia.si
/** [physics] what a shut volume gains by 45 F of sun; a larger rise was let in. */
const BY_SUN = 25 / 297

/** What the regulator was doing at a moment: shut since a hold began, or open. */
function shutSince({ head }: WorkLog, seconds: number): number | undefined {
  const before = (head.marks ?? []).filter((mark) => mark.seconds <= seconds)
  const last = before.findLast(({ what }) => what === 'hold' || what === 'step' || what === 'stop')
  return last?.what === 'hold' ? last.seconds : undefined
}

/** Whether looks over the limit were warmed up to it: asked of many looks, answered from the beginnings of the holds. */
function warming(log: WorkLog, pressures: readonly Look[]): (look: Look) => boolean {
  const begun = new Map<number, Look | undefined>()
  const beginOf = (since: number) => {
    if (!begun.has(since)) begun.set(since, fromMark(pressures, since)[0])
    return begun.get(since)
  }
  return (look) => {
    const since = shutSince(log, look.seconds)
    const begin = since === undefined ? undefined : beginOf(since)
    return begin !== undefined && look.seconds > begin.seconds && look.value <= begin.value * (1 + BY_SUN)
  }
}

/** Pa over the air by which a pressure is over the limit; undefined up to it. */
function overBy(pascals: number, { atmosphere, limit }: LimitSetup): number | undefined {
  const gauge = pascals - atmosphere
  return limit && gauge > limit.limit + ROUNDED ? gauge : undefined
}

/**
 * The look that ends a test: one above the limit of what is connected (handbook 07). Filled over it once, a test has failed,
 * whatever is seen later; warmed over it, the clock starts again after it was bled.
 * @param pressures Pa absolute, in order of time
 */
export function overLimit(
  log: WorkLog,
  pressures: readonly Look[],
  setup: LimitSetup,
): OverLimit | undefined {
  const over = pressures.filter(({ value }) => overBy(value, setup) !== undefined)
  const isWarming = warming(log, pressures)
  const filled = over.find((look) => !isWarming(look))
  if (filled) return { gauge: filled.value - setup.atmosphere, by: 'filling' }
  const lastHold = lastMark(log, 'hold')?.seconds ?? -Infinity
  const warmed = over.findLast(({ seconds }) => seconds >= lastHold)
  return warmed && { gauge: warmed.value - setup.atmosphere, by: 'warming' }
}

const psig = (pascals: number) => `${Number((pascals / UNITS.psia.si).toFixed(1))} psig`

/** "258 psig is over the limit of 150 psig, low side of the plate". */
export const overText = (gauge: number, { limit }: Pick<LimitSetup, 'limit'>): string =>
  `${psig(gauge)} is over the limit${limit ? ` of ${psig(limit.limit)}, ${limit.of}` : ''}`
/** What is done at once. */
const AT_ONCE = 'shut the cylinder, stand clear, bleed off.'

/** What is told of a test that went over its limit. */
export function overSentence({ gauge, by }: OverLimit, setup: LimitSetup): string {
  const target = setup.steps.at(-1)
  if (by === 'filling') return `${overText(gauge, setup)}: ${AT_ONCE} The test has failed.`
  return `${overText(gauge, setup)}, by warming: bleed${target === undefined ? '' : ` to ${psig(target)}`} and start the clock again.`
}

/**
 * What is told of a pressure while it is typed.
 * @param pascals absolute
 * @returns undefined up to the limit
 */
export function overWarning(pascals: number, setup: LimitSetup): string | undefined {
  const gauge = overBy(pascals, setup)
  return gauge === undefined ? undefined : `⬣ ${overText(gauge, setup)}: ${AT_ONCE}`
}

/** The limit as it stands beside every step with nitrogen. */
export const limitSentence = ({ limit, of, isAssumed, gauge }: TestPressure): string =>
  `Never above ${psig(limit)}: ${of}${isAssumed ? ', not on the plate: look it up' : ''}. The test goes to ${psig(gauge)}.`
