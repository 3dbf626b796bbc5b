import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Day } from '../../record/records/day'
import { CAUTIONS, type CautionId, HAZARDS } from '../../safety/cautions'
import type { VetoId } from '../../safety/vetoes'
import { minutesOf, type TaskMinutes } from './estimates'
import { ancestorsOf, graphOf, type GraphTask } from './graph'
import { orderByVetoes } from './orderByVetoes'
import type { Failure, TaskRow } from './tasks/row'
import { type TaskId, taskRow, usesFlame, VACUUMS } from './tasks/tasks'

/** A task of the plan: where it stands in the graph, what it takes, what can hurt, what must be shown, what if it fails. */
export type PlanTask = GraphTask &
  TaskMinutes & {
    readonly label: string
    readonly machine?: NonNullable<TaskRow['machine']>
    readonly opens: boolean
    readonly flame: boolean
    readonly cautions: readonly string[]
    /** what can hurt here, in a word each */
    readonly hazards: readonly string[]
    readonly overWhen?: string
    readonly fails?: Failure
    /** sides from which it is evacuated, where both are needed */
    readonly sides?: 2
    /** figures of this job */
    readonly notes: readonly string[]
    /** what can be done while it runs by itself */
    readonly meanwhile: readonly TaskId[]
  }

export type TaskFacts = {
  readonly unit: UnitPlate
  readonly burns: boolean
  /** only a part of the circuit is emptied, tested and evacuated */
  readonly isPart: boolean
  readonly holding: readonly VetoId[]
  readonly day: Day
  /** figures of this job, by task */
  readonly notes: { readonly [T in TaskId]?: readonly string[] }
}

function cautionIds(id: TaskId, { unit, burns }: TaskFacts): CautionId[] {
  const { cautions } = taskRow(id)
  const ids: CautionId[] = [
    ...(burns ? (['flammable'] as const) : []),
    ...(hasWaterCoil(unit) && cautions.some((each) => each === 'recovery' || each === 'charging')
      ? (['waterCoil'] as const)
      : []),
    ...cautions,
  ]
  return [...new Set(ids)]
}

/** Tasks that are neither before nor after each, for those that run by themselves. */
function meanwhileOf(graph: readonly GraphTask[]): Map<TaskId, TaskId[]> {
  const ancestors = ancestorsOf(graph)
  const running = graph.filter(({ id }) => taskRow(id).unattended)
  return new Map(
    running.map(({ id }) => [
      id,
      graph
        .filter((each) => each.id !== id && !each.refused)
        .filter((each) => !ancestors.get(id)!.has(each.id) && !ancestors.get(each.id)!.has(id))
        .map((each) => each.id),
    ]),
  )
}

/** The tasks as a graph, in an order in which each stands after what it waits for. */
export function planTasks(ids: readonly TaskId[], facts: TaskFacts): PlanTask[] {
  const graph = graphOf(orderByVetoes(ids, facts.holding))
  const meanwhile = meanwhileOf(graph)
  return graph.map((task): PlanTask => {
    const { label, machine, opens, overWhen, fails } = taskRow(task.id)
    const hurts = cautionIds(task.id, facts)
    return {
      ...task,
      ...minutesOf(task.id, facts.day, facts.isPart),
      label,
      ...(machine ? { machine } : {}),
      opens: opens === true,
      flame: usesFlame(task.id),
      cautions: hurts.map((each) => CAUTIONS[each]),
      hazards: hurts.map((each) => HAZARDS[each]),
      ...(overWhen ? { overWhen } : {}),
      ...(fails ? { fails } : {}),
      ...(facts.unit.metering === 'capillary' && VACUUMS.includes(task.id) ? { sides: 2 } : {}),
      notes: facts.notes[task.id] ?? [],
      meanwhile: meanwhile.get(task.id) ?? [],
    }
  })
}
