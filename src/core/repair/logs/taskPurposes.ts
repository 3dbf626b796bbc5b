import type { LogHead } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import type { StepRecord } from '../../record/records/step'
import { passOf } from '../../record/job/passes'
import { isTask, taskRow } from '../plan/tasks/tasks'

/** The log that a task keeps; null where it keeps none, or is a step of one's own. */
const logOf = (task: string): LogPurpose | null => (isTask(task) ? taskRow(task).log : null)

/** The logs of a pass of a task; one that names no step was kept when every task had one pass. */
export const logsOfPass = (
  logs: readonly LogHead[],
  step: Pick<StepRecord, 'id' | 'task' | 'pass'>,
): LogHead[] =>
  logs.filter(
    (log) =>
      log.step === step.id ||
      (log.step === undefined &&
        log.purpose !== undefined &&
        passOf(step) === 1 &&
        logOf(step.task) === log.purpose),
  )

/** Whether a log belongs to a task that keeps logs of its purpose; one that names no step was kept with such a task. */
export function isOfItsTask(steps: readonly StepRecord[], { step, purpose }: LogHead): boolean {
  const own = steps.find(({ id }) => id === step)
  return own === undefined || logOf(own.task) === purpose
}
