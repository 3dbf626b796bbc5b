import type { LogHead } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import type { StepRecord } from '../../record/records/step'
import { passOf } from '../../record/job/passes'
import type { TaskId } from '../plan/tasks/tasks'

/** The log that a task keeps. */
const TASK_PURPOSES: { readonly [T in TaskId]?: LogPurpose } = {
  recover: 'recovery',
  recoverRest: 'recovery',
  pressureTest: 'pressure-test',
  evacuate: 'evacuation',
  evacuatePart: 'evacuation',
  evacuateWet: 'evacuation',
  decayTest: 'decay',
  weighIn: 'weigh-in',
  letIn: 'weigh-in',
}

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
        TASK_PURPOSES[step.task as TaskId] === log.purpose),
  )

/** Whether a log belongs to a task that keeps logs of its purpose; one that names no step was kept with such a task. */
export function isOfItsTask(steps: readonly StepRecord[], { step, purpose }: LogHead): boolean {
  const own = steps.find(({ id }) => id === step)
  return own === undefined || TASK_PURPOSES[own.task as TaskId] === purpose
}
