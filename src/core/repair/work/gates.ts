import { type Policy, policyOf } from '../../record/policy/policy'
import { isAtOrBefore } from '../../base/units/instants'
import { latestPass } from '../../record/job/passes'
import { runsBothWays } from '../../record/equipment/kinds'
import { workedSections } from '../../record/state/contents'
import type { Contents } from '../../record/state/effects'
import type { StepRecord } from '../../record/records/step'
import { refusals, type VetoId, vetoSentence } from '../../safety/vetoes'
import { gatesOver, type WorkAct, type WorkGateId, workGateRow } from '../../safety/workGates'
import { type Approval, approvalState } from '../plan/approval'
import type { PlanTask } from '../plan/planTasks'
import { isOwnTask } from '../plan/tasks/own'
import {
  actsOf,
  CHARGES,
  playing,
  RECOVERIES,
  STARTS,
  SWEEPS,
  type TaskId,
  taskEffects,
  taskRow,
  usesFlame,
  VACUUMS,
} from '../plan/tasks/tasks'
import { isThrough, startLines } from './firstStart'
import { type GatePlace, placeOf } from './gatePlaces'
import { missingOf, pulled, verdictThatCounts } from './logsThatCount'
import { bubblesThatCount } from './momentsThatCount'
import { otherModeLacks } from './otherMode'
import { stillOff, takenOffList } from './takenOff'
import { vetoPlace } from './vetoPlaces'
import type { WorkScene } from './workScene'

/** The pass of a task that counts. */
const stepOf = ({ job }: Pick<WorkScene, 'job'>, id: TaskId): StepRecord | undefined =>
  latestPass(job.steps, id)
const isDone = (scene: WorkScene, id: TaskId): boolean => stepOf(scene, id)?.doneAt !== undefined
const anyDone = (scene: WorkScene, ids: readonly TaskId[]) => ids.some((id) => isDone(scene, id))

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

/** What shows it tight, by the school of the company (handbook 11). */
const TIGHT_BY: Readonly<Record<Policy['tightness'], { readonly hold: boolean; readonly bubbles: boolean }>> =
  {
    'hold-and-bubbles': { hold: true, bubbles: true },
    hold: { hold: true, bubbles: false },
    bubbles: { hold: false, bubbles: true },
  }

/** What is over by the newest weigh-in of the pass that counts. */
function overWeight(scene: WorkScene): readonly string[] {
  const verdict = verdictThatCounts(scene, 'weigh-in')
  return verdict?.limit === 'failed' ? verdict.missing : []
}

const THREE_PULLS = playing('three-pulls')
const many = (count: number, of: string) => `${count} more ${of}${count === 1 ? '' : 's'}`

/** What three pulls and the two breaks between them lack, by the logs of the pass that counts. */
function fewPulls(scene: WorkScene): readonly string[] {
  const { pulls, breaks } = pulled(scene)
  return [
    ...(breaks < 2 ? [`${many(2 - breaks, 'break')} with nitrogen after a pull, marked in the log`] : []),
    ...(pulls < 3 ? [`${many(3 - pulls, 'pull')} to 2,000 microns or below`] : []),
  ]
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
  'not-tested': (scene) => {
    const { hold, bubbles } = TIGHT_BY[policyOf(scene.job.policy).tightness]
    return [
      ...(hold ? missingOf(scene, 'pressure-test') : []),
      ...(!bubbles || bubblesThatCount(scene) !== undefined ? [] : ['every joint bubbled']),
    ]
  },
  'not-dry': (scene) => missingOf(scene, 'decay'),
  'too-few-pulls': (scene) => fewPulls(scene),
  'not-charged': (scene) =>
    !has(scene, CHARGES) || anyDone(scene, CHARGES) ? [] : ['the charge, weighed or let in'],
  'over-weight': (scene) => overWeight(scene),
  'not-listed': ({ job, tasks, state, now }) =>
    startLines({ unit: job.unit, tasks, state })
      .filter((line) => !isThrough(line, { run: job.run, state, now }))
      .map(({ label }) => label),
  'not-proven': (scene) =>
    hasReadingsAfter(scene) || scene.job.closing?.proven === 'not-proven-today'
      ? []
      : ['a set measured after the start, or “not proven today” under Close'],
  'one-mode': ({ job }) => otherModeLacks(job),
  'not-put-back': (scene) =>
    stillOff(takenOffList({ ...scene, tasks: scene.tasks.map(({ id }) => id) })).map(({ label }) => label),
}

/** What is written by one tap where an isolated part stands at the pressure of refrigerant that seeps past its valves (handbook 08). */
function dryNotProven(scene: WorkScene): string | undefined {
  if (!has(scene, ['evacuatePart'])) return undefined
  const verdict = verdictThatCounts(scene, 'evacuation')
  if (verdict?.stoodAt === undefined) return undefined
  const stood = verdict.stoodAt.toLocaleString('en-US')
  return `Dry not proven: air is out, refrigerant seeps past the valves, it stood at ${stood} microns, stopped.`
}
/** Reasons that are known well enough to be offered. */
const OFFERS: { readonly [G in WorkGateId]?: (scene: WorkScene) => string | undefined } = {
  'not-dry': dryNotProven,
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
  /** a reason that is written by one tap, where what is on record tells it */
  readonly offer: string | undefined
  /** where what is missing is done */
  readonly place: GatePlace | undefined
}

/** What a task does that the gates of the work know. */
function workActs(task: Pick<PlanTask, 'id' | 'opens'>): WorkAct[] {
  const acts: (readonly [boolean, WorkAct])[] = [
    [task.opens, 'open'],
    [taskEffects(task.id).fills === 'nitrogen', 'sweep'],
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
  'too-few-pulls',
  'not-charged',
  'one-mode',
]

/** Gates that not every repair has. */
const ASKED: { readonly [G in WorkGateId]?: (scene: WorkScene) => boolean } = {
  'too-few-pulls': (scene) => has(scene, THREE_PULLS),
  'one-mode': ({ job: { unit } }) => runsBothWays(unit),
}

/** The gates before a task, each with what is missing. */
export function gatesOf(scene: WorkScene, task: Pick<PlanTask, 'id' | 'opens'>): WorkGate[] {
  const ids = gatesOver(workActs(task)).filter(
    (id) => (opensAnything(scene) || !OF_CIRCUIT.includes(id)) && ASKED[id]?.(scene) !== false,
  )
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
    const offer = isOpen ? undefined : OFFERS[id]?.(scene)
    return { ...told, isOpen, missing, override, offer, place: placeOf(id, scene.tasks) }
  })
}

/** A state that refuses a task, whatever reason is written, and where it is lifted. */
export type TaskVeto = { readonly id: VetoId; readonly sentence: string; readonly place: GatePlace }

/** Why a task is refused while some states hold: every one; nothing where nothing refuses it. @param tasks of the sheet */
export const vetoesOn = (
  id: TaskId,
  holding: readonly VetoId[],
  tasks: readonly Pick<PlanTask, 'id'>[],
): TaskVeto[] =>
  refusals(actsOf(id), holding).map((row) => ({
    id: row.id as VetoId,
    sentence: vetoSentence(row),
    place: vetoPlace(row.id as VetoId, tasks),
  }))
