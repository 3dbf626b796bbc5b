import { isOwnTask } from '../repair/plan/tasks/own'
import { isTask, taskRow } from '../repair/plan/tasks/tasks'

/** A step by its name, without what its label tells to be done. */
export const stepName = (task: string, own?: string): string =>
  own ??
  (isTask(task)
    ? (taskRow(task).label.split(/[:;,?]/)[0] as string)
    : isOwnTask(task)
      ? taskRow(task).label
      : 'a step of another Orzo')
