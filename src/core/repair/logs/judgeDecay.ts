import { UNITS } from '../../base/units/units'
import type { DecayFit } from '../../physics/processes/decay'
import type { LogCause } from '../../record/records/log'
import { valueAt } from '../../base/numeric/between'
import { minutesLeft } from './minutesLeft'
import { fromMark, lastMark, type Look, looksOf, markAfter, until, type WorkLog } from './series'
import type { Verdict } from './told'
import type { VacuumLimits } from './vacuumLimits'

const MICRON = UNITS.micron.si

/** What is known of the shape of a decay: pending while it is fitted, too-few where looks or time do not show one. */
export type KnownFit = DecayFit | 'pending' | 'too-few'

/** What a decay test says. */
export type DecayJudged = Verdict & {
  readonly cause: LogCause
  readonly looks: readonly Look[]
  readonly minutes: number
  readonly from: number | undefined
  readonly now: number | undefined
  /** what is done next */
  readonly next: string | undefined
}

/** [practice] a gauge errs by about this share near the limit: what stays below it by less is borderline. */
const GAUGE_SHARE = 0.05
const SHAPES: Readonly<Record<LogCause, string>> = {
  'dry-enough': 'flat or levelling off',
  leak: 'a rise that goes on straight: a leak',
  moisture: 'fast, then level: moisture',
  both: 'a rise that bends and goes on: moisture and a leak',
  open: 'its cause is open',
  pending: 'its shape is being computed',
}
const NEXT: { readonly [C in LogCause]?: string } = {
  leak: 'Shut hoses, gauge and core tools off one after another and repeat: they leak oftener than the circuit. Still rising: back to nitrogen and bubbles.',
  moisture:
    'Sweep with nitrogen, warm the coldest place, pull again. A small leak could hide behind the water: watch the next decay for it.',
  both: 'Shut hoses and core tools off first; then sweep, warm, pull again.',
}
const OVER_NEXT = 'Shut hoses and gauge off and repeat; then sweep and pull again.'
const AGAIN = 'Watch it once more: a second test that stays below the limit decides.'
/** What a shown cause asks for before its gate opens. */
const SHOWN: { readonly [C in LogCause]?: string } = {
  leak: 'the leak away: the curve shows one',
  moisture: 'the moisture away: the curve shows it',
  both: 'leak and moisture away: the curve shows both',
  pending: 'the shape of the curve, which is being computed',
}
/** Whether a cause keeps the gate shut however low the vacuum stands. */
export const isShutBy = (cause: LogCause | undefined): boolean =>
  cause !== undefined && SHOWN[cause] !== undefined
const PROVES = 'It shows how dry it is, not that nothing leaks.'
const shown = (pascals: number) => `${Math.round(pascals / MICRON)} microns`

/** The looks from the shutting of the valve to its next opening. */
export function decayLooks(log: WorkLog, atmosphere: number): Look[] {
  const shut = lastMark(log, 'valve-shut')
  if (!shut) return []
  const opened = markAfter(log, 'valve-open', shut.seconds)
  return until(fromMark(looksOf(log, 'systemVacuum', atmosphere), shut.seconds), opened?.seconds)
}

/** What a curve shows, where it is known. What stands over the limit is not dry enough, whatever its shape. */
function causeOf(fit: KnownFit, isOver: boolean): LogCause {
  if (fit === 'pending') return 'pending'
  if (fit === 'too-few' || fit.cause === undefined) return 'open'
  if (fit.cause !== 'tight') return fit.cause
  return isOver ? 'open' : 'dry-enough'
}

/** How the pressure at the policy's minute stands against the limit; what is over it before can come under it no more. */
function limitOf(looks: readonly Look[], { limit, minutes }: VacuumLimits): Verdict['limit'] {
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last || looks.length < 2) return 'waiting'
  const at = first.seconds + minutes * 60
  if (last.seconds < at) return last.value > limit ? 'failed' : 'waiting'
  const then = valueAt(looks, at) as number
  if (then > limit) return 'failed'
  return then > (1 - GAUGE_SHARE) * limit ? 'borderline' : 'passed'
}

const LIMIT_WORDS: Readonly<Record<Verdict['limit'], (limit: string) => string>> = {
  passed: (limit) => `passes the ${limit}`,
  borderline: (limit) => `just under the ${limit}: a borderline`,
  failed: (limit) => `over the ${limit}`,
  waiting: (limit) => limit,
}

/**
 * Judges a decay by two verdicts that are kept apart (handbook 08): the limit, by the policy's figure at the policy's minute,
 * for which two looks suffice; the cause, by the shape of the curve, where enough is known of it.
 */
export function judgeDecay(looks: readonly Look[], limits: VacuumLimits, fit: KnownFit): DecayJudged {
  const [first, last] = [looks[0], looks.at(-1)]
  const minutes = first && last ? (last.seconds - first.seconds) / 60 : 0
  const limit = limitOf(looks, limits)
  const cause = causeOf(fit, limit === 'failed')
  const base = { looks, minutes, from: first?.value, now: last?.value, limit, cause }
  if (!first || !last || looks.length < 2)
    return {
      ...base,
      cause: 'open',
      missing: [first ? 'a second look' : 'shut the valve to the pump, then watch'],
      sentence: 'Shut the valve to the pump, then watch.',
      next: undefined,
    }
  const isOpen = limit === 'passed' && !isShutBy(cause)
  return {
    ...base,
    missing: missingOf(limit, cause, limits.minutes * 60 - (last.seconds - first.seconds)),
    sentence: `${foundText(looks, limits, cause) ?? ''}${isOpen ? ` ${PROVES}` : ''}`,
    next: nextOf(limit, cause),
  }
}

/** "337 microns to 503 microns in 10 min, level: passes the field limit 1000 microns in 10 min."; undefined below two looks. */
export function foundText(looks: readonly Look[], limits: VacuumLimits, cause: LogCause): string | undefined {
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last || looks.length < 2) return undefined
  const minutes = (last.seconds - first.seconds) / 60
  const told = `${shown(first.value)} to ${shown(last.value)} in ${minutes.toFixed(minutes < 10 ? 1 : 0)} min, ${SHAPES[cause]}`
  const limit = limitOf(looks, limits)
  const against = LIMIT_WORDS[limit](`${limits.school} limit ${shown(limits.limit)} in ${limits.minutes} min`)
  return `${told}: ${against}.`
}

/** What keeps its gate shut. @param left s to watch */
function missingOf(limit: Verdict['limit'], cause: LogCause, left: number): string[] {
  const ofLimit: Readonly<Record<Verdict['limit'], readonly string[]>> = {
    passed: [],
    borderline: ['a second test that stays under the limit: this one is a borderline'],
    failed: ['a decay that stays under its limit'],
    waiting: [`watch ${minutesLeft(left)} more`],
  }
  const ofCause = limit === 'failed' ? undefined : SHOWN[cause]
  return [...ofLimit[limit], ...(ofCause ? [ofCause] : [])]
}

const nextOf = (limit: Verdict['limit'], cause: LogCause): string | undefined =>
  NEXT[cause] ?? { passed: undefined, waiting: undefined, borderline: AGAIN, failed: OVER_NEXT }[limit]
