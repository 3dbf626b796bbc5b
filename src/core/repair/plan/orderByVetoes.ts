import { vetoChange, vetoesAfter } from '../../diagnosis/vetoes/effects'
import { refusals, type VetoId, vetoSentence } from '../../safety/vetoes'
import { type Stage, stageAt } from './tasks/row'
import { actsOf, byTurn, taskEffects, type TaskId, taskRow } from './tasks/tasks'

/** A step of the plan; refused where a state that nothing before it ends forbids what it does. */
export type Step = { readonly id: TaskId; readonly stage: Stage; readonly refused?: string }

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

const START = stageAt('start')
const isLate = (id: TaskId) => stageAt(taskRow(id).stage) >= START

const earlierOf = (a: Stage, b: Stage): Stage => (stageAt(a) <= stageAt(b) ? a : b)

/** What needs power and cannot have it before the repair is done just before the start. */
function waitsForStart(ids: readonly TaskId[], holding: readonly VetoId[]): TaskId[] {
  let now = holding
  const waiting: TaskId[] = []
  for (const id of ids) {
    const refusing = refusals(actsOf(id), now)
    const canEnd = ({ id: state }: { id: string }) => ENDED_BY[state as VetoId] !== undefined
    if (!isLate(id) && !INSTEAD[id] && refusing.length > 0 && !refusing.every(canEnd)) {
      const isLiftedLater = refusing.every(({ id: state }) =>
        ids.some((each) => !isLate(each) && vetoChange(taskEffects(each)).lifts.includes(state as VetoId)),
      )
      if (isLiftedLater && taskRow(id).stage === 'prove') waiting.push(id)
      continue
    }
    now = vetoesAfter(now, taskEffects(id))
  }
  return waiting
}

/**
 * The tasks in order, so that no state refuses what is done while it holds: what can be done with the power off is, what
 * ends a state is put before what it refuses, what needs power waits for the start where the repair gives it, and a task that
 * nothing makes possible is marked with its reason.
 * @param holding states that hold when the work begins
 */
export function orderByVetoes(ids: readonly TaskId[], holding: readonly VetoId[]): Step[] {
  const wanted = [...new Set(ids)].sort(byTurn)
  const waiting = waitsForStart(wanted, holding)
  const early = wanted.filter((id) => !isLate(id) && !waiting.includes(id))
  const late = wanted.filter(isLate)
  const steps: Step[] = []
  let now: readonly VetoId[] = holding
  const put = (step: Step) => {
    // what is put in later keeps its turn among those of its stage
    const isAtHome = (each: Step) => taskRow(each.id).stage === each.stage && each.stage === step.stage
    const next = isAtHome(step)
      ? steps.findIndex((each) => isAtHome(each) && byTurn(step.id, each.id) < 0)
      : -1
    steps.splice(next < 0 ? steps.length : next, 0, step)
    now = vetoesAfter(now, taskEffects(step.id))
  }
  const take = (id: TaskId, stage: Stage) => {
    const refusing = () => refusals(actsOf(id), now)
    const instead = refusing().length > 0 ? INSTEAD[id] : undefined
    if (instead) return put({ id: instead, stage })
    for (const { id: state } of refusing()) {
      const end = ENDED_BY[state as VetoId]
      if (end && end !== id && !steps.some((step) => step.id === end))
        put({ id: end, stage: earlierOf(stage, taskRow(end).stage) })
    }
    const [left] = refusing()
    put(left ? { id, stage, refused: vetoSentence(left) } : { id, stage })
  }
  for (const id of early) if (!steps.some((step) => step.id === id)) take(id, taskRow(id).stage)
  for (const id of waiting) take(id, 'start')
  for (const id of late) take(id, taskRow(id).stage)
  return steps.sort((a, b) => stageAt(a.stage) - stageAt(b.stage))
}
