import { latestPass } from '../../record/job/passes'
import type { StepRecord } from '../../record/records/step'
import type { PlanTask } from '../plan/planTasks'
import { isOwnTask } from '../plan/tasks/own'
import { taskAlone, unplannedTasks } from './unplanned'

/** Steps that were added on site, as tasks, in the order in which they were added. */
function ownTasks(steps: readonly StepRecord[]): {
  readonly task: PlanTask
  readonly after: string | undefined
  readonly before: string | undefined
}[] {
  const ids = [...new Set(steps.map(({ task }) => task))].filter(isOwnTask)
  return ids.map((id) => {
    const own = latestPass(steps, id)?.own
    return {
      task: { ...taskAlone(id), label: own?.label ?? 'Own step' },
      after: own?.after,
      before: own?.before,
    }
  })
}

/** Where an own step stands: right before the task that waits for it, behind the one after which it was put, else at the end. */
function placeIn(all: readonly PlanTask[], after: string | undefined, before: string | undefined): number {
  const waiting = all.findIndex(({ id }) => id === before)
  if (waiting >= 0) return waiting
  const at = all.findIndex(({ id }) => id === after)
  if (at < 0) return all.length
  // behind those that were put there before it
  const behind = all.findIndex(({ id }, i) => i > at && !isOwnTask(id))
  return behind < 0 ? all.length : behind
}

/** The tasks of a plan with those that were added on site, each in its place; a task waits for those that stand before it. */
export function withOwnSteps(planned: readonly PlanTask[], steps: readonly StepRecord[]): PlanTask[] {
  const all = [...planned]
  for (const { task, after, before } of ownTasks(steps)) {
    const at = placeIn(all, after, before)
    all.splice(at, 0, task)
    const waiting = all[at + 1]
    if (before !== undefined && waiting?.id === before)
      all[at + 1] = { ...waiting, after: [...waiting.after, task.id] }
  }
  return all
}

/** Every task of the sheet: of the plan, added on site, and done though the plan holds it no longer. Gates and panes read the same ones. */
export const sheetTasks = (planned: readonly PlanTask[], steps: readonly StepRecord[]): PlanTask[] => [
  ...withOwnSteps(planned, steps),
  ...unplannedTasks(steps, planned),
]
