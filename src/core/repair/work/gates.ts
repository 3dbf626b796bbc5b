import { isAtOrBefore } from '../../base/units/instants'
import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import { latestPass } from '../../record/job/passes'
import type { UnitState } from '../../record/state/unit'
import type { LogHead, LogVerdict } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { workedSections } from '../../record/state/contents'
import type { Contents, Effects } from '../../record/state/effects'
import type { StepRecord } from '../../record/records/step'
import { refusals, type VetoId, vetoSentence } from '../../safety/vetoes'
import { gatesOver, type WorkAct, type WorkGateId, workGateRow } from '../../safety/workGates'
import { type Approval, approvalState } from '../plan/approval'
import type { PlanTask } from '../plan/planTasks'
import { isShutBy } from '../logs/judgeDecay'
import { isOfItsTask } from '../logs/taskPurposes'
import { LOG_KINDS } from '../logs/kinds'
import { isOpening } from '../logs/told'
import type { Verdicts } from '../logs/verdicts'
import { isOwnTask } from '../plan/tasks/own'
import {
  actsOf,
  CHARGES,
  effectsOf,
  isTask,
  RECOVERIES,
  STARTS,
  SWEEPS,
  type TaskId,
  taskRow,
  usesFlame,
  VACUUMS,
} from '../plan/tasks/tasks'
import { isThrough, startLines } from './firstStart'
import { type GatePlace, placeOf } from './gatePlaces'
import { stillOff, takenOffList } from './takenOff'

/** What the gates are judged from: what is on record of the round, how the unit stands, and the tasks of its plan. */
export type WorkScene = {
  readonly job: Pick<
    Job,
    'logs' | 'steps' | 'run' | 'closing' | 'readingSets' | 'takenOff' | 'repair' | 'day'
  > & {
    readonly unit: UnitPlate
  }
  readonly tasks: readonly Pick<PlanTask, 'id' | 'opens'>[]
  readonly state: UnitState
  /** states of the table of vetoes that hold now */
  readonly holding: readonly VetoId[]
  /** what the judges say of the logs, from their samples */
  readonly verdicts: Verdicts
}

/** The pass of a task that counts. */
const stepOf = ({ job }: Pick<WorkScene, 'job'>, id: TaskId): StepRecord | undefined =>
  latestPass(job.steps, id)
const isDone = (scene: WorkScene, id: TaskId): boolean => stepOf(scene, id)?.doneAt !== undefined
const anyDone = (scene: WorkScene, ids: readonly TaskId[]) => ids.some((id) => isDone(scene, id))

/** Whether a log belongs to the pass of its task that counts: what an earlier pass showed opens nothing any more. */
function isOfLatestPass({ job }: Pick<WorkScene, 'job'>, { step, startedAt }: LogHead): boolean {
  const own = job.steps.find(({ id }) => id === step)
  if (own) return latestPass(job.steps, own.task) === own
  // a log that names no step was kept before any task was done once more
  return job.steps.every(
    ({ calledAt }) => calledAt === undefined || isAtOrBefore(calledAt, Date.parse(startedAt)),
  )
}

/** The logs of a purpose, the newest first; one that was kept beside another task, as a trace of nitrogen, serves no gate. */
const logsOf = ({ job }: WorkScene, purpose: LogPurpose): LogHead[] =>
  job.logs
    .filter((log) => log.purpose === purpose && isOfItsTask(job.steps, log))
    .sort((a, b) => Date.parse(b.startedAt) - Date.parse(a.startedAt))

/** The task that makes void what was shown until a moment: it was worked on after it. */
function lapsedBy(
  { job }: { readonly job: Pick<WorkScene['job'], 'steps'> },
  lapsesOn: readonly (keyof Effects)[],
  until: string,
): string | undefined {
  const shown = Date.parse(until)
  const step = job.steps.find((each) => {
    const effects = effectsOf(each)
    if (lapsesOn.every((key) => effects[key] === undefined)) return false
    return each.spans.some(({ to }) => to === undefined || Date.parse(to) > shown)
  })
  return step && (step.own?.label ?? (isTask(step.task) ? taskRow(step.task).label : step.task))
}

/** Whether a borderline was repeated and stayed under its limit again. */
const isConfirmed = (
  scene: WorkScene,
  { cause }: LogVerdict,
  earlier: readonly LogHead[],
  lapsesOn: readonly (keyof Effects)[],
) =>
  !isShutBy(cause) &&
  earlier.some((log) => {
    const before = scene.verdicts[log.id]
    if (before === undefined || before === 'no-samples' || !isOfLatestPass(scene, log)) return false
    const stood = before.limit === 'passed' || before.limit === 'borderline'
    return stood && !isShutBy(before.cause) && lapsedBy(scene, lapsesOn, before.at) === undefined
  })

/**
 * What the logs of a purpose lack: the newest one decides, in the pass that counts, by what its judge says of its samples. An
 * earlier one that passed says nothing of what was done since.
 */
function missingOf(scene: WorkScene, purpose: LogPurpose): readonly string[] {
  const { serves, lapsesOn } = LOG_KINDS[purpose]
  const asks = serves?.asks ?? ''
  const [log, ...earlier] = logsOf(scene, purpose)
  if (!log || !isOfLatestPass(scene, log)) return [asks]
  if (log.samples === undefined) return [`${asks}: end the log`]
  const verdict = scene.verdicts[log.id]
  if (verdict === undefined) return [`${asks}: the log is being judged`]
  if (verdict === 'no-samples') return [`${asks}: what was said before has no samples to it`]
  const by = lapsedBy(scene, lapsesOn, verdict.at)
  if (by !== undefined) return [`${asks}, once more: “${by}” opened the circuit after it`]
  if (isOpening(verdict)) return []
  if (verdict.limit === 'borderline' && isConfirmed(scene, verdict, earlier, lapsesOn)) return []
  return verdict.missing.map((each) => `${asks}: ${each}`)
}

/**
 * When every joint was bubbled, where that still counts: in the pass of the test in which they were looked for, until the
 * circuit is opened again.
 */
export function bubblesThatCount(scene: {
  readonly job: Pick<WorkScene['job'], 'steps' | 'run'>
}): string | undefined {
  const at = scene.job.run?.bubbledAt
  const called = latestPass(scene.job.steps, 'pressureTest')?.calledAt
  if (at === undefined || (called !== undefined && Date.parse(at) < Date.parse(called))) return undefined
  return lapsedBy(scene, LOG_KINDS['pressure-test'].lapsesOn, at) === undefined ? at : undefined
}

/** When the unit first ran again. */
const startedAt = ({ job }: WorkScene) => job.repair?.startedAt

function hasReadingsAfter(scene: WorkScene): boolean {
  const start = startedAt(scene)
  if (start === undefined) return false
  return scene.job.readingSets.some(
    ({ at, mode, readings }) =>
      at !== undefined &&
      mode !== 'off' &&
      Object.keys(readings).length > 0 &&
      !isAtOrBefore(at, Date.parse(start) - 1),
  )
}

/** What the owner's answer lacks. */
const APPROVAL_LACKS: Readonly<Record<Approval['state'], readonly string[]>> = {
  'not-asked': ['a quote, and the owner’s answer to it'],
  asked: ['the owner’s answer to the quote'],
  refused: ['an owner who agrees: this one refused'],
  given: [],
}

/** A plan without a recovery opens what is empty; a step of one's own may open what is full: the unit must show it (handbook 07). */
function emptiedByNoPlan({ tasks, state }: WorkScene): readonly string[] {
  if (!tasks.some(({ id, opens }) => opens && isOwnTask(id))) return []
  const isShown = workedSections(state).every((section) =>
    SHOWN_EMPTY.includes(state.sections[section].contents),
  )
  return isShown
    ? []
    : ['the refrigerant out of it: no step of this plan recovers it, decide what is repaired']
}
const SHOWN_EMPTY: readonly Contents[] = ['air', 'nitrogen', 'vacuum']

/** What is over by the newest weigh-in of the pass that counts. */
function overWeight(scene: WorkScene): readonly string[] {
  const [log] = logsOf(scene, 'weigh-in')
  if (!log || !isOfLatestPass(scene, log)) return []
  const verdict = scene.verdicts[log.id]
  return verdict === undefined || verdict === 'no-samples' || verdict.limit !== 'failed'
    ? []
    : verdict.missing
}

const has = ({ tasks }: WorkScene, ids: readonly TaskId[]) => tasks.some(({ id }) => ids.includes(id))

/** What is still missing for each gate; nothing where it is open. */
const MISSING: Readonly<Record<WorkGateId, (scene: WorkScene) => readonly string[]>> = {
  'not-approved': ({ job }) => APPROVAL_LACKS[approvalState(job.day ?? {})],
  'not-recovered': (scene) => {
    if (isDone(scene, 'proveEmpty')) return []
    if (!has(scene, RECOVERIES)) return emptiedByNoPlan(scene)
    return [
      ...missingOf(scene, 'recovery'),
      ...(anyDone(scene, RECOVERIES) ? [] : ['the recovery ticked as done']),
    ]
  },
  'not-swept': (scene) => (anyDone(scene, SWEEPS) ? [] : ['the sweep with nitrogen, done']),
  'not-tested': (scene) => [
    ...missingOf(scene, 'pressure-test'),
    ...(bubblesThatCount(scene) !== undefined ? [] : ['every joint bubbled']),
  ],
  'not-dry': (scene) => missingOf(scene, 'decay'),
  'not-charged': (scene) =>
    !has(scene, CHARGES) || anyDone(scene, CHARGES) ? [] : ['the charge, weighed or let in'],
  'over-weight': (scene) => overWeight(scene),
  'not-listed': ({ job, tasks, state }) =>
    startLines({ unit: job.unit, tasks, state })
      .filter((line) => !isThrough(line, job.run?.startList, state))
      .map(({ label }) => label),
  'not-proven': (scene) =>
    hasReadingsAfter(scene) || scene.job.closing?.proven === 'not-proven-today'
      ? []
      : ['a set measured after the start, or “not proven today” under Close'],
  'not-put-back': (scene) =>
    stillOff(takenOffList({ ...scene, tasks: scene.tasks.map(({ id }) => id) })).map(({ label }) => label),
}

/** A gate before a task. */
export type WorkGate = {
  readonly id: WorkGateId
  readonly name: string
  readonly isOpen: boolean
  readonly missing: readonly string[]
  readonly state: string
  readonly reason: string
  readonly until: string
  readonly canOverride: boolean
  /** passed with this reason, and where that holds */
  readonly override: string | undefined
  readonly reasonFor: 'step' | 'repair'
  /** where what is missing is done */
  readonly place: GatePlace | undefined
}

/** What a task does that the gates of the work know. */
function workActs(task: Pick<PlanTask, 'id' | 'opens'>): WorkAct[] {
  const acts: (readonly [boolean, WorkAct])[] = [
    [task.opens, 'open'],
    [SWEEPS.includes(task.id), 'sweep'],
    [usesFlame(task.id), 'flame'],
    [VACUUMS.includes(task.id), 'evacuate'],
    [CHARGES.includes(task.id), 'charge'],
    [STARTS.includes(task.id), 'first-start'],
    [taskRow(task.id).roles.includes('close'), 'close'],
  ]
  return acts.filter(([does]) => does).map(([, act]) => act)
}

/** A plan that never opens the circuit has nothing to recover, test or fill. */
const opensAnything = ({ tasks }: WorkScene) => tasks.some(({ opens }) => opens)
const OF_CIRCUIT: readonly WorkGateId[] = [
  'not-recovered',
  'not-swept',
  'not-tested',
  'not-dry',
  'not-charged',
]

/** The gates before a task, each with what is missing. */
export function gatesOf(scene: WorkScene, task: Pick<PlanTask, 'id' | 'opens'>): WorkGate[] {
  const ids = gatesOver(workActs(task)).filter((id) => opensAnything(scene) || !OF_CIRCUIT.includes(id))
  const step = stepOf(scene, task.id)
  return ids.map((id): WorkGate => {
    const { name, state, reason, until, canOverride, reasonFor } = workGateRow(id)
    const missing = MISSING[id](scene)
    const written =
      reasonFor === 'repair'
        ? scene.job.day?.quote?.without
        : step?.overrides?.find(({ gate }) => gate === id)?.reason
    const override = canOverride ? written : undefined
    const isOpen = missing.length === 0
    const told = { id, name, state, reason, until, canOverride, reasonFor }
    return { ...told, isOpen, missing, override, place: placeOf(id, scene.tasks) }
  })
}

/** Why a task is refused while some states hold, whatever reason is written: every one; undefined where nothing refuses it. */
export function vetoOn(id: TaskId, holding: readonly VetoId[]): string | undefined {
  const rows = refusals(actsOf(id), holding)
  return rows.length > 0 ? rows.map(vetoSentence).join(' ') : undefined
}
