import type { StepRecord } from '@/core/record/records/step'
import type { PlanTask } from '@/core/repair/plan/planTasks'
import { unplannedTasks } from '@/core/repair/work/unplanned'

/** The tasks of the plan, and those that were done beside it. */
export const tasksAndDone = (tasks: readonly PlanTask[], steps: readonly StepRecord[]): PlanTask[] => [
  ...tasks,
  ...unplannedTasks(steps, tasks),
]
