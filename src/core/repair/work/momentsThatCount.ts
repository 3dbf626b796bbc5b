import { latestPass } from '../../record/job/passes'
import { LOG_KINDS } from '../logs/kinds'
import { effectsOf } from '../plan/tasks/tasks'
import { lapsedBy } from './lapsed'
import type { WorkScene } from './workScene'

/**
 * When every joint was bubbled, where that still counts: in the pass of the test in which they were looked for, until the
 * circuit is opened again.
 */
export function bubblesThatCount(scene: {
  readonly job: Pick<WorkScene['job'], 'steps' | 'run'>
}): string | undefined {
  const at = scene.job.run?.bubbledAt
  const called = latestPass(scene.job.steps, 'pressureTest')?.calledAt
  if (at === undefined || (called !== undefined && Date.parse(at) < Date.parse(called))) return undefined
  return lapsedBy(scene, LOG_KINDS['pressure-test'].lapsesOn, at) === undefined ? at : undefined
}

/** When the nitrogen was bled off, where that still counts: since it last went in. */
export function bledThatCounts({
  job,
}: {
  readonly job: Pick<WorkScene['job'], 'steps' | 'run'>
}): string | undefined {
  const at = job.run?.bledAt
  const filled = job.steps
    .filter((step) => ['nitrogen-pressure', 'trace'].includes(effectsOf(step).fills ?? ''))
    .flatMap(({ spans }) => spans.map(({ from }) => Date.parse(from)))
  return at !== undefined && filled.every((since) => since <= Date.parse(at)) ? at : undefined
}
