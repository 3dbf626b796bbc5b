import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Edit } from '../../record/edits/edit'
import { beginStep } from '../../record/edits/workEdits'
import type { PlanTask } from '../plan/planTasks'
import { taskEffects } from '../plan/tasks/tasks'

/**
 * Somebody begins at a task. What goes in is written down when the charging begins, so that readings after it are judged by
 * it; the moment of the first start with the task that starts the unit.
 * @param goesIn the refrigerant of the plan
 */
export function beginTask(
  { id, handsOn }: Pick<PlanTask, 'id' | 'handsOn'>,
  goesIn: RefrigerantName | undefined,
): Edit {
  const { charges, starts } = taskEffects(id)
  return beginStep(id, handsOn[1], {
    ...(charges ? { refrigerant: goesIn } : {}),
    ...(starts ? { starts } : {}),
  })
}
