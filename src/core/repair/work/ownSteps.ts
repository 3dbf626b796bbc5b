import { latestPass } from '../../record/job/passes'
import type { StepRecord } from '../../record/records/step'
import type { PlanTask } from '../plan/planTasks'
import { isOwnTask } from '../plan/tasks/own'
import { taskAlone, unplannedTasks } from './unplanned'

/** Steps that were added on site, as tasks, in the order in which they were added. */
function ownTasks(
  steps: readonly StepRecord[],
): { readonly task: PlanTask; readonly after: string | undefined }[] {
  const ids = [...new Set(steps.map(({ task }) => task))].filter(isOwnTask)
  return ids.map((id) => {
    const own = latestPass(steps, id)?.own
    return { task: { ...taskAlone(id), label: own?.label ?? 'Own step' }, after: own?.after }
  })
}

/** The tasks of a plan with those that were added on site, each behind the one after which it was put. */
export function withOwnSteps(planned: readonly PlanTask[], steps: readonly StepRecord[]): PlanTask[] {
  const all = [...planned]
  for (const { task, after } of ownTasks(steps)) {
    const at = all.findIndex(({ id }) => id === after)
    // behind those that were put there before it
    let place = at < 0 ? all.length : at + 1
    while (at >= 0 && isOwnTask(all[place]?.id ?? '')) place += 1
    all.splice(place, 0, task)
  }
  return all
}

/** Every task of the sheet: of the plan, added on site, and done though the plan holds it no longer. Gates and panes read the same ones. */
export const sheetTasks = (planned: readonly PlanTask[], steps: readonly StepRecord[]): PlanTask[] => [
  ...withOwnSteps(planned, steps),
  ...unplannedTasks(steps, planned),
]
