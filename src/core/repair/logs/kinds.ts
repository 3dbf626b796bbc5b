import type { Quantity, TemperatureUnit, Unit } from '../../base/units/units'
import { toKelvin } from '../../base/units/convert'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { waterVapourPressure } from '../../physics/air/psychrometrics'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import { DEFAULT_POLICY } from '../../record/policy/policy'
import type { WorkChannel } from '../../record/readings/channels'
import type { MarkKind } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import type { PumpSetup, Run } from '../../record/records/run'
import type { Effects } from '../../record/state/effects'
import type { WorkGateId } from '../../safety/workGates'
import { isJudgedAsWet } from '../cleanup/contamination'
import type { Plan } from '../plan/plan'
import { decayQuestion, knownFit } from './decayFit'
import type { KnownFit } from './judgeDecay'
import { pullLooks } from './judgePull'
import type { RecoverySetup } from './judgeRecovery'
import { type TestSetup, testSetup } from './judgeTest'
import { answerForecast, type ForecastAnswer, type ForecastQuestion } from './pullForecast'
import { coldestOf, pullBasis, pullGuess, quickerWays, usualPull } from './pumpSetup'
import {
  chargeResult,
  decayResult,
  pullDownResult,
  pullResult,
  recoveryResult,
  type Result,
  testResult,
} from './results'
import { pointsOf, type WorkLog } from './series'
import { soundly, soundnessOf } from './soundness'
import { type ChargeSetup, tellCharge } from './tellCharge'
import { type PullDownSetup, tellPullDown } from './judgePullDown'
import { type DecaySetup, tellDecay } from './tellDecay'
import { type PullSetup, tellPull } from './tellPull'
import { tellRecovery } from './tellRecovery'
import { tellTest } from './tellTest'
import type { Told } from './told'
import { type VacuumLimits, vacuumLimits } from './vacuumLimits'

/** What of a plan a log is judged by. */
type PlanOfLog = Pick<
  Plan,
  'recovery' | 'size' | 'testPressure' | 'refrigerantPath' | 'policy' | 'contamination' | 'charge' | 'isPart'
>

/** What a log is judged by; what is missing is not known, and no verdict rests on it. */
export type LogFacts = {
  readonly unit?: UnitPlate
  readonly plan?: PlanOfLog
  /** hoses and pump as they were written down */
  readonly pump?: PumpSetup | undefined
  /** what the space is to reach, as it was written down */
  readonly pullDown?: Run['pullDown'] | undefined
}

/** What is known beside the samples: the clock of a log that is being kept, and what a worker computes of it. */
export type Given = {
  /** s of the log */
  readonly now?: number
  readonly fit?: KnownFit
  readonly forecast?: ForecastAnswer | undefined
  /** why the worker could say nothing */
  readonly problem?: string | undefined
}

/** A kind of log of the work. C is what its judge goes by: limits and circumstances, as plain data. */
type LogKindRow<C extends object> = {
  readonly name: string
  readonly channels: readonly (readonly [WorkChannel, Unit])[]
  /** what may happen in it */
  readonly marks: readonly MarkKind[]
  /** what begins at the first end of the stretch of an imported log, and its mark */
  readonly begins: readonly [words: string, mark: MarkKind]
  readonly isLogarithmic: boolean
  /** the gate that it opens, and what that gate asks of it; undefined where it opens none */
  readonly serves: { readonly gate: WorkGateId; readonly asks: string } | undefined
  /** effects of a task that make its verdict void when the task is worked on later */
  readonly lapsesOn: readonly (keyof Effects)[]
  readonly context: (facts: LogFacts) => C
  readonly judge: (log: WorkLog, context: C, given: Given, facts: LogFacts) => Told
  /** what it came to, for the record */
  readonly result: Result<C>
}

/** A kind of log with its judge at hand. */
export type LogKind = Omit<LogKindRow<object>, 'context' | 'judge' | 'result'> & {
  readonly context: (facts: LogFacts) => object
  /** Judges a log. What a worker would compute and is not given is computed here. */
  readonly judge: (log: WorkLog, facts: LogFacts, given?: Given) => Told
  /** What an ended log came to: figures and limits, no word of what is to be done. @param told what its judge said */
  readonly result: (log: WorkLog, facts: LogFacts, told: Pick<Told, 'cause'>) => string
}

const defineLogKind = <C extends object>({ context, judge, result, ...row }: LogKindRow<C>): LogKind => ({
  ...row,
  context,
  result: (log, facts, told) => result(log, context(facts), told),
  judge: (log, facts, given = {}) =>
    soundly(judge(log, context(facts), given, facts), soundnessOf(log, row.channels, atmosphereOf(facts))),
})

const atmosphereOf = ({ unit }: LogFacts) => (unit ? siteAtmosphere(unit) : SEA_LEVEL_PASCALS)
const limitsOf = ({ plan }: LogFacts): VacuumLimits =>
  vacuumLimits(plan?.policy ?? DEFAULT_POLICY, plan !== undefined && isJudgedAsWet(plan.contamination))
const lastOf = ({ samples }: WorkLog) => samples.time.at(-1) ?? 0

const MICRONS = [
  ['systemVacuum', 'micron'],
  ['pumpVacuum', 'micron'],
] as const
/** What lets air into the circuit makes void what was shown of it before (handbook 07). */
const OPENED = ['opens'] as const

/** The forecast of a pull as its worker is asked for it; without a plan by a usual circuit; undefined before there is a look. */
export function forecastQuestion(log: WorkLog, facts: LogFacts): ForecastQuestion | undefined {
  const { plan, pump } = facts
  const atmosphere = atmosphereOf(facts)
  const points = pointsOf(pullLooks(log, atmosphere))
  if (points.length === 0) return undefined
  const others = plan ? quickerWays(plan, pump).map(({ guess }) => guess) : []
  return {
    guess: plan ? pullGuess(plan, pump) : usualPull(pump),
    points,
    target: limitsOf(facts).target,
    atmosphere,
    others,
  }
}

/** What the worker of fits is asked of a decay. */
export const decayQuestionOf = (log: WorkLog, facts: LogFacts) => decayQuestion(log, decaySetup(facts))

const decaySetup = (facts: LogFacts): DecaySetup => ({
  atmosphere: atmosphereOf(facts),
  limits: limitsOf(facts),
  ...(facts.plan ? { volume: facts.plan.size.volume } : {}),
  ceiling: waterVapourPressure(coldestOf(facts.pump ?? {})),
})

/** Every kind of log of the work, a row each: panes, gates, report, demo and door read it. */
export const LOG_KINDS: Readonly<Record<LogPurpose, LogKind>> = {
  recovery: defineLogKind<RecoverySetup>({
    name: 'Recovery',
    channels: [
      ['circuitPressure', 'psig'],
      ['cylinderWeight', 'lb'],
    ],
    marks: ['valve-open', 'stop', 'cylinder', 'note'],
    begins: ['The machine stops', 'stop'],
    isLogarithmic: false,
    serves: { gate: 'not-recovered', asks: 'a recovery log at its depth, without a rise after the stop' },
    lapsesOn: [],
    context: (facts) => ({
      atmosphere: atmosphereOf(facts),
      ...(facts.plan
        ? {
            depth: { pascals: facts.plan.recovery.depth.pascals, shown: facts.plan.recovery.depth.shown },
            cylinder: facts.plan.recovery.cylinder,
            ...(facts.plan.recovery.expected ? { expected: facts.plan.recovery.expected } : {}),
            isPart: facts.plan.isPart,
          }
        : {}),
    }),
    judge: (log, setup, _given, { plan }) => tellRecovery(log, setup, plan?.recovery),
    result: recoveryResult,
  }),
  'pressure-test': defineLogKind<TestSetup>({
    name: 'Pressure test',
    channels: [
      ['testPressure', 'psig'],
      ['gasTemp', 'F'],
    ],
    marks: ['step', 'hold', 'stop', 'note'],
    begins: ['The clock of the hold starts', 'hold'],
    isLogarithmic: false,
    serves: { gate: 'not-tested', asks: 'a hold within its error' },
    lapsesOn: OPENED,
    context: (facts) =>
      facts.unit && facts.plan
        ? testSetup(facts.unit, facts.plan)
        : { atmosphere: atmosphereOf(facts), steps: [] },
    judge: (log, setup, { now }) => tellTest(log, setup, now ?? lastOf(log)),
    result: testResult,
  }),
  evacuation: defineLogKind<PullSetup>({
    name: 'Evacuation',
    channels: MICRONS,
    marks: ['valve-open', 'sweep', 'note'],
    begins: ['The pump starts', 'valve-open'],
    isLogarithmic: true,
    serves: undefined,
    lapsesOn: OPENED,
    context: (facts) => ({
      atmosphere: atmosphereOf(facts),
      limits: limitsOf(facts),
      coldest: coldestOf(facts.pump ?? {}),
    }),
    judge: (log, setup, { forecast, problem }, { plan, pump }) =>
      tellPull(log, setup, {
        answer: forecast,
        problem,
        ways: plan ? quickerWays(plan, pump).map(({ label }) => label) : [],
        basis: plan ? pullBasis(plan, pump) : undefined,
        now: forecast ? (pullLooks(log, setup.atmosphere).at(-1)?.seconds ?? 0) : 0,
      }),
    result: pullResult,
  }),
  decay: defineLogKind<DecaySetup>({
    name: 'Decay test',
    channels: MICRONS,
    marks: ['valve-shut', 'valve-open', 'note'],
    begins: ['The valve is shut', 'valve-shut'],
    isLogarithmic: false,
    serves: { gate: 'not-dry', asks: 'a decay test that passed' },
    lapsesOn: OPENED,
    context: decaySetup,
    judge: (log, setup, { fit, problem }) =>
      tellDecay(log, setup, fit ?? knownFit(decayQuestion(log, setup)), problem),
    result: decayResult,
  }),
  'weigh-in': defineLogKind<ChargeSetup>({
    name: 'Weigh-in',
    channels: [['cylinderWeight', 'lb']],
    marks: ['valve-open', 'valve-shut', 'cylinder', 'note'],
    begins: ['The cylinder is opened', 'valve-open'],
    isLogarithmic: false,
    serves: undefined,
    lapsesOn: [],
    context: (facts) => ({
      atmosphere: atmosphereOf(facts),
      ...(facts.plan?.charge?.total ? { wanted: facts.plan.charge.total } : {}),
      ...(facts.plan?.charge ? { guess: facts.plan.charge.guess } : {}),
      isPart: facts.plan?.isPart === true,
      isExact: facts.plan?.charge?.isExact ?? false,
    }),
    judge: (log, setup) => tellCharge(log, setup),
    result: chargeResult,
  }),
  'pull-down': defineLogKind<PullDownSetup>({
    name: 'Pull-down',
    channels: [['spaceNow', 'F']],
    marks: ['note'],
    begins: ['The first look', 'note'],
    isLogarithmic: false,
    serves: undefined,
    lapsesOn: [],
    context: (facts) => ({ atmosphere: atmosphereOf(facts), setting: settingOf(facts) }),
    judge: (log, setup) => tellPullDown(log, setup),
    result: pullDownResult,
  }),
}

/** What the space is set to: as it was written down for the pull-down, else by the control. K */
function settingOf({ unit, pullDown }: LogFacts): number | undefined {
  const typed = pullDown?.target ?? unit?.control?.setpoint
  return typed && toKelvin(typed as Quantity<TemperatureUnit>)
}

/** What is foretold of a pull; computed here, which takes some tenths of a second. */
export function forecastOf(log: WorkLog, facts: LogFacts): ForecastAnswer | undefined {
  const question = forecastQuestion(log, facts)
  return question && answerForecast(question)
}
