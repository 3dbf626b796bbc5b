import type { Effects } from '../../record/state/effects'
import { effectsOf, isTask, taskRow } from '../plan/tasks/tasks'
import type { WorkScene } from './workScene'

/** The task that makes void what was shown until a moment: it was worked on after it. */
export function lapsedBy(
  { job }: { readonly job: Pick<WorkScene['job'], 'steps'> },
  lapsesOn: readonly (keyof Effects)[],
  until: string,
): string | undefined {
  const shown = Date.parse(until)
  const step = job.steps.find((each) => {
    const effects = effectsOf(each)
    if (lapsesOn.every((key) => effects[key] === undefined)) return false
    return each.spans.some(({ to }) => to === undefined || Date.parse(to) > shown)
  })
  return step && (step.own?.label ?? (isTask(step.task) ? taskRow(step.task).label : step.task))
}
