import type { StepRecord } from '../../record/records/step'
import { CAUTIONS, HAZARDS } from '../../safety/cautions'
import type { PlanTask } from '../plan/planTasks'
import { cautionsOf, isTask, opensCircuit, type TaskId, taskRow, usesFlame } from '../plan/tasks/tasks'

/** A task that no plan places, with what its row alone tells. */
export function taskAlone(id: TaskId): PlanTask {
  const { label, stage, handsOn, unattended, machine, overWhen } = taskRow(id)
  const cautions = cautionsOf(id)
  return {
    id,
    stage,
    label,
    handsOn,
    ...(unattended ? { unattended } : {}),
    ...(machine ? { machine } : {}),
    opens: opensCircuit(id),
    flame: usesFlame(id),
    after: [],
    alongside: [],
    cautions: cautions.map((each) => CAUTIONS[each]),
    hazards: cautions.map((each) => HAZARDS[each]),
    ...(overWhen ? { overWhen } : {}),
    points: [],
    notes: [],
    meanwhile: [],
    from: 'table',
  }
}

/** Tasks on which something is on record though the plan holds them no longer, in the order in which they were begun. */
export function unplannedTasks(
  steps: readonly Pick<StepRecord, 'task'>[],
  planned: readonly Pick<PlanTask, 'id'>[],
): PlanTask[] {
  const ids = new Set(steps.map(({ task }) => task))
  return [...ids]
    .filter(isTask)
    .flatMap((id) => (planned.some((task) => task.id === id) ? [] : [taskAlone(id)]))
}
