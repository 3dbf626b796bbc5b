import type { WorkGateId } from '../../safety/workGates'
import type { PlanTask } from '../plan/planTasks'
import { CHARGES, RECOVERIES, STARTS, SWEEPS, type TaskId, taskRow } from '../plan/tasks/tasks'

/** Where what a gate asks for is done: a step of the sheet, the taken-off list, or another stage. */
export type GatePlace =
  | { readonly at: 'step'; readonly task: TaskId }
  | { readonly at: 'off' }
  | { readonly at: 'stage'; readonly stage: 'plan' | 'measure' | 'diagnose' }

type Tasks = readonly Pick<PlanTask, 'id'>[]

const firstOf = (tasks: Tasks, is: (id: TaskId) => boolean): GatePlace | undefined => {
  const task = tasks.find(({ id }) => is(id))
  return task && { at: 'step', task: task.id }
}
const logs = (tasks: Tasks, purpose: string) => firstOf(tasks, (id) => taskRow(id).log === purpose)

const PLACES: Readonly<Record<WorkGateId, (tasks: Tasks) => GatePlace | undefined>> = {
  'not-approved': () => ({ at: 'stage', stage: 'plan' }),
  'not-recovered': (tasks) =>
    firstOf(tasks, (id) => RECOVERIES.includes(id)) ?? firstOf(tasks, (id) => id === 'proveEmpty'),
  'not-swept': (tasks) => firstOf(tasks, (id) => SWEEPS.includes(id)),
  'not-tested': (tasks) => logs(tasks, 'pressure-test'),
  'not-dry': (tasks) => logs(tasks, 'decay'),
  'too-few-pulls': (tasks) => logs(tasks, 'evacuation'),
  'not-charged': (tasks) => firstOf(tasks, (id) => CHARGES.includes(id)),
  'over-weight': (tasks) => logs(tasks, 'weigh-in'),
  'not-listed': (tasks) =>
    firstOf(tasks, (id) => taskRow(id).instruments.includes('start-list')) ??
    firstOf(tasks, (id) => STARTS.includes(id)),
  'not-proven': () => ({ at: 'stage', stage: 'measure' }),
  'one-mode': (tasks) => firstOf(tasks, (id) => STARTS.includes(id)),
  'not-put-back': () => ({ at: 'off' }),
}

/** Where what opens a gate is done; undefined where the plan has no place for it. @param tasks of the plan */
export const placeOf = (gate: WorkGateId, tasks: Tasks): GatePlace | undefined => PLACES[gate](tasks)
