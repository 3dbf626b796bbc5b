import { UNITS } from '../../base/units/units'
import type { TestPressure } from '../plan/testPressure'
import type { Look, WorkLog } from './series'

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

/**
 * The look that ends a test: one above the limit of what is connected (handbook 07). Filled over it once, a test has failed,
 * whatever is seen later; warmed over it, the clock starts again after it was bled.
 * @param pressures Pa absolute, in order of time
 */
export function overLimit(
  log: WorkLog,
  pressures: readonly Look[],
  { atmosphere, limit }: LimitSetup,
): OverLimit | undefined {
  if (!limit) return undefined
  const over = pressures.filter(({ value }) => value - atmosphere > limit.limit + ROUNDED)
  const filled = over.find((look) => !isWarming(log, pressures, look))
  if (filled) return { gauge: filled.value - atmosphere, by: 'filling' }
  const lastHold = (log.head.marks ?? []).findLast(({ what }) => what === 'hold')?.seconds ?? -Infinity
  const warmed = over.findLast(({ seconds }) => seconds >= lastHold)
  return warmed && { gauge: warmed.value - atmosphere, by: 'warming' }
}

function isWarming(log: WorkLog, pressures: readonly Look[], look: Look): boolean {
  const since = shutSince(log, look.seconds)
  if (since === undefined) return false
  const begun =
    pressures.findLast(({ seconds }) => seconds <= since) ?? pressures.find((each) => each.seconds > since)
  return begun !== undefined && begun !== look && look.value <= begun.value * (1 + BY_SUN)
}

const psig = (pascals: number) => `${Number((pascals / UNITS.psia.si).toFixed(1))} psig`

/** What is done at once. */
export function overSentence({ gauge, by }: OverLimit, { limit, steps }: LimitSetup): string {
  const what = `${psig(gauge)} is over the limit of ${psig(limit?.limit ?? 0)}${limit ? `, ${limit.of}` : ''}`
  const target = steps.at(-1)
  if (by === 'warming')
    return `${what}, by warming: bleed${target === undefined ? '' : ` to ${psig(target)}`} and start the clock again.`
  return `${what}: shut the cylinder, stand clear, bleed off. The test has failed.`
}

/**
 * What is told of a pressure while it is typed.
 * @param pascals absolute
 * @returns undefined up to the limit
 */
export function overWarning(pascals: number, setup: LimitSetup): string | undefined {
  const gauge = pascals - setup.atmosphere
  if (!setup.limit || gauge <= setup.limit.limit + ROUNDED) return undefined
  return `⬣ ${psig(gauge)} is over the limit of ${psig(setup.limit.limit)}, ${setup.limit.of}: shut the cylinder, stand clear, bleed off.`
}

/** The limit as it stands beside every step with nitrogen. */
export const limitSentence = ({ limit, of, isAssumed, gauge }: TestPressure): string =>
  `Never above ${psig(limit)}: ${of}${isAssumed ? ', not on the plate: look it up' : ''}. The test goes to ${psig(gauge)}.`
