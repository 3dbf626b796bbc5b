import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Edit } from '../../record/edits/edit'
import { beginStep, recordDone } from '../../record/edits/workEdits'
import type { PlanTask } from '../plan/planTasks'
import { taskEffects, type TaskId } from '../plan/tasks/tasks'

/** What is written down with the beginning of a task: what goes in where it charges, the first start where it starts. */
function beginningOf(id: TaskId, goesIn: RefrigerantName | undefined) {
  const { charges, starts, locksOut } = taskEffects(id)
  return {
    ...(charges ? { refrigerant: goesIn } : {}),
    ...(starts ? { starts } : {}),
    ...(locksOut ? { locksOut } : {}),
  }
}

/**
 * Somebody begins at a task. What goes in is written down when the charging begins, so that readings after it are judged by
 * it; the moment of the first start with the task that starts the unit.
 * @param goesIn the refrigerant of the plan
 */
export const beginTask = (
  { id, handsOn }: Pick<PlanTask, 'id' | 'handsOn'>,
  goesIn: RefrigerantName | undefined,
): Edit => beginStep(id, handsOn[1], beginningOf(id, goesIn))

/** A task that was done in another order than the sheet's is written down, with what belongs to its beginning. */
export const recordTask = ({ id }: Pick<PlanTask, 'id'>, goesIn: RefrigerantName | undefined): Edit =>
  recordDone(id, beginningOf(id, goesIn))
