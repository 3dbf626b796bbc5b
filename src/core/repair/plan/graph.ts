import type { Step } from './orderByVetoes'
import { isInTurn, type Stage, stageAt } from './tasks/row'
import { type TaskId, taskRow } from './tasks/tasks'

/** A task in the graph of the work: what must be over before it, and beside which running task it is done. */
export type GraphTask = Step & {
  readonly after: readonly TaskId[]
  readonly alongside: readonly TaskId[]
}

/** A task that may lie anywhere between two stages; one that was moved keeps its place. */
const floats = ({ id, stage }: Step) => taskRow(id).until !== undefined && taskRow(id).stage === stage
const isChain = (step: Step) => !floats(step) && taskRow(step.id).alongside === undefined

/** Those tasks after which a stage is over: the last of a stage in turn, all of another. */
function lastOf(steps: readonly Step[], stage: Stage): readonly TaskId[] {
  const own = steps.filter((step) => step.stage === stage && !floats(step)).map(({ id }) => id)
  const chain = own.filter((id) => taskRow(id).alongside === undefined)
  return isInTurn(stage) ? own.slice(-1) : [...chain, ...own.filter((id) => !chain.includes(id))]
}

/** What is over when every stage up to one is. */
function overAt(steps: readonly Step[], stages: readonly Stage[], before: number): readonly TaskId[] {
  const stage = stages.findLast((each) => stageAt(each) < before)
  return stage === undefined ? [] : lastOf(steps, stage)
}

/** Chain tasks of a stage, in their order. */
const chainOf = (steps: readonly Step[], stage: Stage) =>
  steps.filter((step) => step.stage === stage && isChain(step))

function afterOf(steps: readonly Step[], stages: readonly Stage[], step: Step): TaskId[] {
  const at = stageAt(step.stage)
  if (taskRow(step.id).alongside !== undefined) return []
  if (floats(step)) return [...overAt(steps, stages, at + 1)]
  const own = chainOf(steps, step.stage)
  const turn = own.indexOf(step)
  if (isInTurn(step.stage) && turn > 0) return [own[turn - 1]!.id]
  const earlier = stages.findLast((each) => stageAt(each) < at)
  // what floats and must be over by now, unless a stage before this one waited for it
  const due = steps.filter((each) => {
    if (!floats(each)) return false
    const until = stageAt(taskRow(each.id).until!)
    return until <= at && (earlier === undefined || stageAt(earlier) < until)
  })
  return [...new Set([...overAt(steps, stages, at), ...due.map(({ id }) => id)])]
}

/**
 * The steps as a graph: each stage after the ones before it, what floats between its two stages, what is done beside another.
 * An order of the steps in which each stands after what it waits for comes with it.
 */
export function graphOf(steps: readonly Step[]): GraphTask[] {
  const stages = [...new Set(steps.filter(isChain).map(({ stage }) => stage))].sort(
    (a, b) => stageAt(a) - stageAt(b),
  )
  return steps.map((step) => {
    const beside = taskRow(step.id).alongside as TaskId | undefined
    return { ...step, after: afterOf(steps, stages, step), alongside: beside ? [beside] : [] }
  })
}

/** All that is over before each task begins. */
export function ancestorsOf(
  graph: readonly Pick<GraphTask, 'id' | 'after' | 'alongside'>[],
): Map<TaskId, Set<TaskId>> {
  const known = new Map<TaskId, Set<TaskId>>()
  const of = (id: TaskId): Set<TaskId> => {
    const found = known.get(id)
    if (found) return found
    const all = new Set<TaskId>()
    known.set(id, all)
    const task = graph.find((each) => each.id === id)
    for (const earlier of task?.after ?? []) {
      all.add(earlier)
      for (const each of of(earlier)) all.add(each)
    }
    // of a task that runs beside it only the start is past
    for (const beside of task?.alongside ?? []) for (const each of of(beside)) all.add(each)
    return all
  }
  for (const { id } of graph) of(id)
  return known
}
