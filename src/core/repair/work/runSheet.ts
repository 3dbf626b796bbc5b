import { MINUTE } from '../../base/units/time'
import { handMinutes } from '../../record/job/hands'
import { earlierPasses, latestPass } from '../../record/job/passes'
import type { StepRecord } from '../../record/records/step'
import type { PlanTask } from '../plan/planTasks'
import { type TaskId, taskRow } from '../plan/tasks/tasks'
import { inOrder } from '../day/order'
import { gatesOf, type WorkGate, type TaskVeto, vetoesOn } from './gates'
import { sheetTasks, withOwnSteps } from './ownSteps'
import { unplannedTasks } from './unplanned'
import type { WorkScene } from './workScene'

type Records = ReadonlyMap<string, StepRecord>

/**
 * What is of use only before something else, where that was begun without it: work from before the task stood in any plan.
 */
function isTooLate({ id }: PlanTask, tasks: readonly PlanTask[], records: Records): boolean {
  if (!taskRow(id).roles.includes('before-cut') || records.has(id)) return false
  return tasks.some((task) => task.after.includes(id) && records.has(task.id))
}

/** How a task stands. */
export type StepState = 'done' | 'skipped' | 'hands' | 'running' | 'paused' | 'ready' | 'blocked' | 'waits'

export type SheetStep = {
  readonly task: PlanTask
  readonly state: StepState
  /** the pass that counts */
  readonly record: StepRecord | undefined
  /** passes before it, each with what it showed */
  readonly earlier: readonly StepRecord[]
  readonly gates: readonly WorkGate[]
  /** refused by a state, whatever reason is written */
  readonly vetoes: readonly TaskVeto[]
  /** tasks that must be over before */
  readonly waitsFor: readonly TaskId[]
  /** minutes hands-on so far */
  readonly hands: number
  /** moment, ms, at which what runs unattended is likely over, and how far that is, minutes; negative is over */
  readonly endsAt: number | undefined
  readonly minutesLeft: number | undefined
}

export type RunSheet = {
  readonly steps: readonly SheetStep[]
  /** what was done on this round and is planned no longer */
  readonly unplanned: readonly SheetStep[]
  /** at which hands are, or the first that can be begun */
  readonly current: SheetStep | undefined
  readonly next: SheetStep | undefined
  /** what runs unattended */
  readonly running: readonly SheetStep[]
  /** what can be done while it runs */
  readonly meanwhile: readonly SheetStep[]
  /** steps that are done while the gate that they serve stays shut */
  readonly shutBehind: readonly { readonly step: SheetStep; readonly gate: WorkGate }[]
  readonly done: number
  readonly isOver: boolean
}

/** What a run sheet is made from. */
export type SheetScene = Omit<WorkScene, 'tasks'> & { readonly tasks: readonly PlanTask[] }
/** Whether a veto, or a gate that no reason passes, keeps it from being begun or written down as done. */
export const isHeldBack = ({ vetoes, gates }: Pick<SheetStep, 'vetoes' | 'gates'>): boolean =>
  vetoes.length > 0 || gates.some((gate) => !gate.isOpen && gate.override === undefined)

const isOver = ({ state }: Pick<SheetStep, 'state'>) => state === 'done' || state === 'skipped'

const hasHands = (record: StepRecord | undefined) => {
  const last = record?.spans.at(-1)
  return last !== undefined && last.to === undefined
}

/** What keeps a task from being begun; its gates that no reason passes, too. */
function stateOf(
  task: PlanTask,
  record: StepRecord | undefined,
  blocked: { readonly waits: boolean; readonly byGate: boolean },
): StepState {
  if (record?.doneAt) return 'done'
  if (record?.skipped) return 'skipped'
  if (hasHands(record)) return 'hands'
  if (record?.leftAt && task.unattended) return 'running'
  if (blocked.waits) return 'waits'
  if (blocked.byGate) return 'blocked'
  return record && record.spans.length > 0 ? 'paused' : 'ready'
}

/** Whether it comes right after what it waits for, before anything else. */
const isAtOnce = ({ task }: SheetStep): boolean => taskRow(task.id).roles.includes('at-once')

/** Tasks that a task waits for and that are not over; beside a task that runs only its start counts. */
function waiting(task: PlanTask, records: Records, refused: ReadonlySet<string>): TaskId[] {
  const isPast = (id: TaskId) => {
    const record = records.get(id)
    return refused.has(id) || record?.doneAt !== undefined || record?.skipped !== undefined
  }
  const isBegun = (id: TaskId) => isPast(id) || (records.get(id)?.spans.length ?? 0) > 0
  return [...task.after.filter((id) => !isPast(id)), ...task.alongside.filter((id) => !isBegun(id))]
}

function stepAt(
  scene: SheetScene,
  task: PlanTask,
  {
    records,
    refused,
    now,
  }: { readonly records: Records; readonly refused: ReadonlySet<string>; readonly now: number },
): SheetStep {
  const record = records.get(task.id)
  const waitsFor = waiting(task, records, refused)
  const gates = gatesOf(scene, task)
  const vetoes = record?.doneAt ? [] : vetoesOn(task.id, scene.holding, scene.tasks)
  const byGate = isHeldBack({ vetoes, gates })
  const state = stateOf(task, record, { waits: waitsFor.length > 0, byGate })
  const endsAt =
    state === 'running' && record?.leftAt && task.unattended
      ? Date.parse(record.leftAt) + task.unattended[1] * MINUTE
      : undefined
  return {
    task,
    state,
    record,
    earlier: earlierPasses(scene.job.steps, task.id),
    gates,
    vetoes,
    waitsFor,
    hands: record ? handMinutes(record, now) : 0,
    endsAt,
    minutesLeft: endsAt === undefined ? undefined : (endsAt - now) / MINUTE,
  }
}

/** Gates that stay shut although the step that serves them is done: told at once, not at the step that they hold up. */
function shutBehind(steps: readonly SheetStep[], all: readonly SheetStep[]): RunSheet['shutBehind'] {
  const shut = new Map<string, RunSheet['shutBehind'][number]>()
  for (const ahead of steps) {
    if (isOver(ahead)) continue
    for (const gate of ahead.gates) {
      if (gate.isOpen || gate.override !== undefined || gate.place?.at !== 'step') continue
      const { task } = gate.place
      const step = all.find((each) => each.task.id === task)
      if (step?.state === 'done') shut.set(gate.id, { step, gate })
    }
  }
  return [...shut.values()]
}

/**
 * The plan as it is worked on: how each task stands, the one that is on, what runs unattended and until when, what can be done
 * meanwhile. Everything follows from moments on record; nothing is counted.
 * @param now ms of the time of the job
 * @param order ids of the tasks as the day begins them; without it they stand as planned
 */
export function runSheet(given: SheetScene, now: number, order: readonly string[] = []): RunSheet {
  const { job } = given
  const records: Records = new Map(
    job.steps.flatMap(({ task }) => {
      const latest = latestPass(job.steps, task)
      return latest ? [[task, latest] as const] : []
    }),
  )
  const isOut = (task: PlanTask) => task.refused !== undefined || isTooLate(task, given.tasks, records)
  const refused = new Set<string>(given.tasks.filter(isOut).map(({ id }) => id))
  const planned = withOwnSteps(
    inOrder(
      given.tasks.filter(({ id }) => !refused.has(id)),
      order,
    ),
    job.steps,
  )
  const extra = unplannedTasks(job.steps, planned)
  // what was done beside the plan counts for the gates all the same
  const scene = { ...given, tasks: sheetTasks(given.tasks, job.steps), now }
  const at = { records, refused, now }
  const steps = planned.map((task) => stepAt(scene, task, at))
  const unplanned = extra.map((task) => stepAt(scene, task, at))
  const all = [...steps, ...unplanned]
  const withHands = all.find(({ state }) => state === 'hands')
  const waiting = steps.filter(({ state }) => state === 'ready' || state === 'paused' || state === 'blocked')
  // the decay is watched while the vacuum stands: whatever else could be begun waits for it
  const canBegin = [...waiting.filter(isAtOnce), ...waiting.filter((step) => !isAtOnce(step))]
  const current = withHands ?? canBegin[0] ?? all.find(({ state }) => state === 'running')
  const running = all.filter(({ state }) => state === 'running')
  const busy = new Set(running.map(({ task }) => task.machine))
  return {
    steps,
    unplanned,
    current,
    // what can be begun, else what comes after: it is known before it can
    next:
      canBegin.find((step) => step !== current) ??
      steps.slice(current ? steps.indexOf(current) + 1 : 0).find((step) => !isOver(step)),
    running,
    meanwhile:
      running.length > 0 ? canBegin.filter(({ task }) => !task.machine || !busy.has(task.machine)) : [],
    shutBehind: shutBehind(steps, all),
    done: steps.filter(isOver).length,
    isOver: steps.every(isOver),
  }
}
