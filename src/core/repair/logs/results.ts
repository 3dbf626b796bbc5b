import { isAssumed } from '../../base/known/known'
import { fromKelvin, fromPascals } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { pounds } from '../../base/units/weightText'
import { durationText } from '../../base/units/wall'
import { aimOf, judgeCharge } from './judgeCharge'
import { decayLooks, foundText } from './judgeDecay'
import { judgePull } from './judgePull'
import type { PullDownSetup } from './judgePullDown'
import { judgeRecovery, type RecoverySetup } from './judgeRecovery'
import { changeText, judgeTest, leakText, type TestJudged, type TestSetup } from './judgeTest'
import { countPulls, pullsOfLog } from './pulls'
import { looksOf, type WorkLog } from './series'
import type { ChargeSetup } from './tellCharge'
import type { DecaySetup } from './tellDecay'
import { microns, type PullSetup } from './tellPull'
import { overText } from './testLimit'
import type { Told } from './told'

/**
 * What a log came to, as a record tells it: figures against their limits, nothing of what is still to be done. Every figure is
 * one that its judge shows beside the log.
 */
export type Result<C> = (log: WorkLog, setup: C, told: Pick<Told, 'cause'>) => string

const NOTHING = 'Nothing was read.'
const joined = (parts: readonly (string | undefined | false)[]): string =>
  parts.filter(Boolean).join('; ').concat('.')

/** Depth, rise after the stop, weight against what was expected. */
export const recoveryResult: Result<RecoverySetup> = (log, setup) => {
  const { pressure, rise, weight } = judgeRecovery(log, setup)
  const { atmosphere, depth, expected, isPart } = setup
  if (pressure === undefined && !weight) return NOTHING
  const of = expected && !isPart && !isAssumed(expected) ? ` of ${pounds(expected.value)}` : ''
  return joined([
    pressure !== undefined &&
      `${fromPascals(pressure, 'psig', atmosphere).toFixed(1)} psig in the circuit at the end${depth ? `, its depth is ${depth.shown}` : ''}`,
    rise
      ? `rise after the stop ${(rise.pascals / UNITS.psia.si).toFixed(1)} psi in ${Math.round(rise.seconds / 60)} min`
      : 'no rise was watched',
    weight && `${pounds(weight.moved)}${of} came out`,
  ])
}

const psig = (pascals: number, atmosphere: number) =>
  `${fromPascals(pascals, 'psig', atmosphere).toFixed(1)} psig`

/** What each end of a test is called. */
const TEST_ENDS: Readonly<Record<TestJudged['state'], (judged: TestJudged, setup: TestSetup) => string>> = {
  over: ({ over }, setup) => (over ? `${overText(over.gauge, setup)}: the test failed` : ''),
  'too-warm': ({ over }, setup) => (over ? `${overText(over.gauge, setup)}, by warming` : ''),
  filling: () => 'The clock of the hold was not started',
  settling: () => 'The clock of the hold was not started',
  falls: (judged) =>
    `It fell: ${changeText(judged, ' psi')}${judged.seen === undefined ? '' : `, about ${leakText(judged.seen)}`}`,
  rises: (judged) => `It rose: ${changeText(judged, ' psi')}`,
  held: (judged) =>
    judged.isLow ? 'Held, below its test pressure' : `No leak seen: ${changeText(judged, ' psi')}`,
  holding: (judged) => `Not held to its end: ${judged.hold ? changeText(judged, ' psi') : 'no second look'}`,
}

/** The hold against its error, the pressure against its limit. */
export const testResult: Result<TestSetup> = (log, setup) => {
  const judged = judgeTest(log, setup, log.samples.time.at(-1) ?? 0)
  if (judged.pressure === undefined) return NOTHING
  const { limit, atmosphere } = setup
  const at = `${psig(judged.pressure, atmosphere)} at the end`
  return joined([
    TEST_ENDS[judged.state](judged, setup),
    !judged.over && (limit ? `${at}, limit ${psig(limit.limit + atmosphere, atmosphere)}, ${limit.of}` : at),
    judged.leastSeen !== undefined &&
      `smaller leaks than about ${leakText(judged.leastSeen)} it could not see`,
  ])
}

const STALLED = {
  'refrigerant-or-ice': 'it stood where refrigerant or ice holds it',
  water: 'it stood where water boils',
  'leak-or-oil': 'it stood above its target',
} as const

/** How deep, how often it was broken, what held it. */
export const pullResult: Result<PullSetup> = (log, { limits, coldest, atmosphere }) => {
  const { system, pump, stall } = judgePull(log, limits, coldest, atmosphere)
  if (system === undefined) return NOTHING
  const { pulls, breaks } = countPulls([pullsOfLog(log, atmosphere)])
  return joined([
    `${microns(system)} at the system${pump === undefined ? '' : `, ${microns(pump)} at the pump`}, target ${microns(limits.target)}`,
    breaks > 0 &&
      `${pulls} ${pulls === 1 ? 'pull' : 'pulls'}, broken with nitrogen ${breaks === 1 ? 'once' : `${breaks} times`}`,
    stall && STALLED[stall],
  ])
}

/** From where to where in how long, its shape, against the limit. */
export const decayResult: Result<DecaySetup> = (log, { limits, atmosphere }, { cause }) =>
  foundText(decayLooks(log, atmosphere), limits, cause ?? 'open') ?? 'It was not watched.'

/** What went in against what was calculated; a guess is no aim. */
export const chargeResult: Result<ChargeSetup> = (log, setup) => {
  const { weight, left, close } = judgeCharge(log, setup, setup.atmosphere)
  const aim = aimOf(setup)
  if (!weight) return 'Nothing was weighed.'
  if (aim === undefined || left === undefined) return `${pounds(weight.moved)} went in.`
  const off =
    Math.abs(left) <= close ? 'as calculated' : `${pounds(Math.abs(left))} ${left > 0 ? 'less' : 'over'}`
  return `${pounds(weight.moved)} of ${pounds(aim)}, ${off}.`
}

const degrees = (kelvin: number) => `${fromKelvin(kelvin, 'F').toFixed(0)} F`

/** From where to where, against the setting. */
export const pullDownResult: Result<PullDownSetup> = (log, { setting, atmosphere }) => {
  const looks = looksOf(log, 'spaceNow', atmosphere)
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last) return NOTHING
  const took = durationText(Math.max(1, Math.round((last.seconds - first.seconds) / 60)))
  const way = `${degrees(first.value)} to ${degrees(last.value)} in ${took}`
  if (setting === undefined) return `${way}.`
  const towards = first.value >= setting ? -1 : 1
  const isThere = towards * (setting - last.value) <= 0
  return `${way}, the setting of ${degrees(setting)} ${isThere ? 'reached' : 'not reached'}.`
}
