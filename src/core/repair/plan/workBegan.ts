import { instantOf } from '../../base/units/instants'
import type { Job } from '../../record/job/job'
import type { JobSet } from '../../record/records/set'
import { timedSets } from '../../record/state/timeline'
import { stageAt } from './tasks/row'
import { isTask, taskRow } from './tasks/tasks'

/** Arriving and proving make the plan; what comes after works through it. */
const isWork = ({ task }: { readonly task: string }): boolean =>
  isTask(task) && stageAt(taskRow(task).stage) > stageAt('prove')

/** When the first task of a round began that lies behind its proof, ms; undefined before. */
export function workBegan({ steps }: Pick<Job, 'steps'>): number | undefined {
  const begun = steps.filter(isWork).flatMap(({ spans }) => instantOf(spans[0]?.from) ?? [])
  return begun.length > 0 ? Math.min(...begun) : undefined
}

/**
 * The sets that a plan is made from: those that were there when its work began, so that what is read later takes nothing out
 * of a plan that is being worked through.
 */
export function setsUntil<S extends JobSet>(sets: readonly S[], moment: number | undefined): readonly S[] {
  if (moment === undefined) return sets
  const before = timedSets(sets as readonly JobSet[])
    .filter(({ at }) => at <= moment)
    .map(({ set }) => set as S)
  return before.length === sets.length ? sets : before
}
