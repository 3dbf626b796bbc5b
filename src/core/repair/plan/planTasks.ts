import { type Basis, basisOf, isAssumed } from '../../base/known/known'
import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Day } from '../../record/records/day'
import { CAUTIONS, type CautionId, HAZARDS } from '../../safety/cautions'
import type { VetoId } from '../../safety/vetoes'
import { minutesOf, type TaskMinutes } from './estimates'
import { ancestorsOf, graphOf, type GraphTask } from './graph'
import { orderByVetoes, type Step } from './orderByVetoes'
import { climateHazard, isLongOutside, type WorkClimate } from './climate'
import { partRow } from './parts/catalogue'
import type { PointFacts } from './points/pointRow'
import { pointsOf } from './points/points'
import { framed } from './work'
import { type NoteFacts, notesOf } from './notes'
import type { Failure, FigureId, TaskRow } from './tasks/row'
import { cautionsOf, opensCircuit, type TaskId, taskRow, usesFlame, VACUUMS } from './tasks/tasks'

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
    /** minutes from its start for which it takes two people */
    readonly second?: number
    /** what is done, looked at and measured, in its order */
    readonly points: readonly string[]
    /** figures of this job */
    readonly notes: readonly string[]
    /** what it is planned by, where that is a guess */
    readonly basis?: Basis
    /** what can be done while it runs unattended */
    readonly meanwhile: readonly TaskId[]
  }

/** How each figure is known by which a task is planned. */
export type Bases = { readonly [F in FigureId]?: Basis }

/** What a task is planned by, where that is a guess. */
function basisOfTask(id: TaskId, { bases }: Pick<TaskFacts, 'bases'>): Basis | undefined {
  const basis = basisOf(...taskRow(id).restsOn.map((figure) => bases[figure]))
  return isAssumed(basis) ? basis : undefined
}

export type TaskFacts = {
  readonly unit: UnitPlate
  readonly burns: boolean
  /** only a part of the circuit is emptied, tested and evacuated */
  readonly isPart: boolean
  readonly holding: readonly VetoId[]
  /** a flue or gas line was moved for access */
  readonly flueMoved: boolean
  readonly day: Day
  /** what the notes of a task are written from; undefined where none are told */
  readonly notes: NoteFacts | undefined
  /** how the figures are known by which tasks are planned */
  readonly bases: Bases
  readonly climate: WorkClimate
  /** what the content of the tasks is written from */
  readonly points: PointFacts
}

/** The label says what the bench named. */
const labelOf = (id: TaskId, { points: { control } }: TaskFacts): string =>
  id === 'swapControl' && control ? `Replace the ${partRow(control.part).label}` : taskRow(id).label

function cautionIds(id: TaskId, { unit, burns, climate }: TaskFacts): CautionId[] {
  const cautions = cautionsOf(id)
  const air = isLongOutside(id) ? climateHazard(climate) : undefined
  const ids: CautionId[] = [
    ...(burns ? (['flammable'] as const) : []),
    ...(hasWaterCoil(unit) && cautions.some((each) => each === 'recovery' || each === 'charging')
      ? (['waterCoil'] as const)
      : []),
    ...cautions,
    ...(air ? [air] : []),
  ]
  return [...new Set(ids)]
}

/** Tasks that are neither before nor after each, for those that run unattended. */
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

/** The tasks with what stands round dead work and flames, in order. */
const stepsOf = (ids: readonly TaskId[], { holding, flueMoved }: TaskFacts): Step[] =>
  orderByVetoes(framed(ids, flueMoved), holding)

/** The basis of what stands there only for tasks that are planned by a guess: a cover that one takes off, a watch after its flame. */
function followingOf(ids: readonly TaskId[], facts: TaskFacts): Map<TaskId, Basis> {
  const guessed = ids.filter((id) => basisOfTask(id, facts) !== undefined)
  if (guessed.length === 0) return new Map()
  const without = stepsOf(
    ids.filter((id) => !guessed.includes(id)),
    facts,
  )
  const basis = basisOf(...guessed.map((id) => basisOfTask(id, facts)))
  const added = stepsOf(ids, facts).filter(({ id }) => !without.some((step) => step.id === id))
  return new Map(added.map(({ id }) => [id, basis]))
}

/** [practice] to lift a heavy part out, and the new one in. min */
const LIFTING = 15

/** The tasks as a graph, in an order in which each stands after what it waits for. */
export function planTasks(ids: readonly TaskId[], facts: TaskFacts): PlanTask[] {
  const graph = graphOf(stepsOf(ids, facts))
  const following = followingOf(ids, facts)
  const meanwhile = meanwhileOf(graph)
  return graph.map((task): PlanTask => {
    const { machine, overWhen, fails, notes } = taskRow(task.id)
    const basis = basisOfTask(task.id, facts) ?? following.get(task.id)
    const hurts = cautionIds(task.id, facts)
    return {
      ...task,
      ...minutesOf(task.id, facts.day, facts.isPart),
      label: labelOf(task.id, facts),
      ...(machine ? { machine } : {}),
      opens: opensCircuit(task.id),
      flame: usesFlame(task.id),
      cautions: hurts.map((each) => CAUTIONS[each]),
      hazards: hurts.map((each) => HAZARDS[each]),
      ...(overWhen ? { overWhen } : {}),
      ...(fails ? { fails } : {}),
      ...(notes.includes('second-person') ? { second: LIFTING } : {}),
      ...(facts.unit.metering === 'capillary' && VACUUMS.includes(task.id) ? { sides: 2 } : {}),
      points: pointsOf(task.id, facts.points, facts.climate),
      notes: facts.notes ? notesOf(task.id, facts.notes) : [],
      ...(basis ? { basis } : {}),
      meanwhile: meanwhile.get(task.id) ?? [],
    }
  })
}
