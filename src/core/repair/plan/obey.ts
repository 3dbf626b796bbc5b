import { refusals, type VetoId, vetoSentence } from '../../safety/vetoes'
import { actsOf, type TaskId, taskRow } from './tasks'

/** A step of the plan; refused where a state that nothing before it ends forbids what it does. */
export type Step = { readonly id: TaskId; readonly refused?: string }

/** The task that ends a state where the repair itself does not; it comes just before what the state refuses. */
const ENDED_BY: { readonly [V in VetoId]?: TaskId } = {
  'cover-off': 'closeCover',
  'terminals-under-pressure': 'closeCover',
  isolated: 'openValves',
  'water-standing': 'drainWater',
  'water-not-flowing': 'restoreWater',
  flammable: 'sweepFlammable',
}

/** What is done instead while a state holds. */
const INSTEAD: { readonly [T in TaskId]?: TaskId } = { confirm: 'confirmDead' }

const inOrder = (ids: readonly TaskId[]): TaskId[] =>
  [...new Set(ids)].sort((a, b) => taskRow(a).order - taskRow(b).order)

/** States that still hold after a task. */
const without = (holding: readonly VetoId[], ended: readonly VetoId[] = []): VetoId[] =>
  holding.filter((id) => !ended.includes(id))

/**
 * The tasks in order, so that no state refuses what is done while it holds: what can be done with the power off is, what
 * ends a state is put before what it refuses, and a task that nothing makes possible is marked with its reason.
 * @param holding states that hold when the work begins
 */
export function obeying(ids: readonly TaskId[], holding: readonly VetoId[]): Step[] {
  const steps: Step[] = []
  let now: readonly VetoId[] = holding
  const put = (step: Step) => {
    steps.push(step)
    now = without(now, taskRow(step.id).lifts)
  }
  for (const id of inOrder(ids)) {
    const refusing = () => refusals(actsOf(id), now)
    const instead = refusing().length > 0 ? INSTEAD[id] : undefined
    if (instead) {
      put({ id: instead })
      continue
    }
    for (const { id: state } of refusing()) {
      const end = ENDED_BY[state as VetoId]
      if (end && end !== id && !steps.some((step) => step.id === end)) put({ id: end })
    }
    const [left] = refusing()
    put(left ? { id, refused: vetoSentence(left) } : { id })
  }
  return steps
}
