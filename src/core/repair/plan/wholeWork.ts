import { lowPressureAdvice } from '../../diagnosis/targets/lowPressureControl'
import { hasWaterCoil, isWalkIn } from '../../record/equipment/kinds'
import { isJudgedAsWet } from '../cleanup/contamination'
import { machineOf } from './machine'
import type { PlanPart } from './parts/planParts'
import { type Bases, planTasks, type TaskFacts } from './planTasks'
import { returnVisits } from './returns'
import { rulesOf } from './rules'
import { type TaskId, VACUUMS } from './tasks/tasks'
import type { TestPressure } from './testPressure'
import { heldWork } from './work'

import { burnsIn, type Whole } from './whole'
import { mayFlush, partsOf, testOf } from './wholeParts'
import { taskIds } from './wholeTasks'
import type { PlannedDryer } from './planTypes'
import { partKey } from '../../record/records/tick'

/** How the figures are known by which tasks are planned. */
const basesOf = ({ cleanup, figured }: Whole, test: TestPressure | undefined): Bases => ({
  cleanup: cleanup.basis,
  depth: figured.recovery.depth.basis,
  ...(figured.charge ? { charge: figured.charge.total ?? figured.charge.guess } : {}),
  ...(test ? { test: test.basis } : {}),
})

/** Points of a task that come from other parts of the plan: what each box must hold, what shows that a cause is gone. */
function told({ causes, job }: Whole, id: TaskId, parts: readonly PlanPart[]): string[] {
  if (id === 'checkBoxes') return boxPoints(parts.filter(({ struck }) => !struck))
  if (id !== 'settle') return []
  const pair = isWalkIn(job.unit) ? lowPressureAdvice(job.unit) : undefined
  return [
    ...causes.flatMap(({ label, check }) => (check ? [`${label.split(':')[0]}: ${check}`] : [])),
    ...(pair ? [pair] : []),
  ]
}

/** What a box is held against: what this unit asks for, or the name of the point where that is read off the old one. */
function boxPoint({ label, match }: PlanPart): string[] {
  const points = match.map((point) => point.wanted ?? point.label.toLowerCase())
  return points.length === 0 ? [] : [`${label}: ${points.join(', ')}.`]
}

const DRYERS: readonly string[] = [partKey('liquid-dryer'), partKey('suction-dryer')]
/** A dryer with the wrong fittings costs a second trip (handbook 01); which one it is stands in the list of parts. */
const DRYER_POINT = 'Each dryer: connections, length, arrow, still sealed.'

/** What is looked at before anything is cut. */
const boxPoints = (parts: readonly PlanPart[]): string[] => [
  ...parts.flatMap(boxPoint),
  ...(parts.some(({ id }) => DRYERS.includes(id)) ? [DRYER_POINT] : []),
]

/** Graph, parts, rules and later visits of a plan whose figures are figured. */
export function workOf(whole: Whole, dryers: readonly PlannedDryer[]) {
  const { job, holding, figured, opens, day, proofs } = whole
  const test = opens ? testOf(whole) : undefined
  const facts: TaskFacts = {
    unit: job.unit,
    burns: burnsIn(whole),
    isPart: figured.isPart,
    holding,
    flueMoved: whole.record.repair.flueMoved === true,
    day,
    bases: basesOf(whole, test),
    climate: { place: job.arrival?.place, outdoor: whole.outdoor },
    points: {
      unit: job.unit,
      policy: whole.policy,
      repair: whole.record.repair,
      weather: job.arrival?.weather,
      machine: machineOf(job.unit),
      mayFlush: mayFlush(whole),
      control: whole.control,
      burns: burnsIn(whole),
    },
    notes: {
      unit: job.unit,
      charge: figured.charge,
      recovery: figured.recovery,
      test,
      proofs,
      approval: whole.approval,
      policy: whole.policy,
      isWet: isJudgedAsWet(whole.cleanup.contamination),
      isPart: figured.isPart,
      access: figured.access.chosen,
      crew: day.crew ?? 1,
      oil: figured.oil,
    },
  }
  const planned = planTasks(taskIds(whole), facts)
  const parts = partsOf(whole, planned, test)
  const tasks = planned.map((task) => ({ ...task, points: [...task.points, ...told(whole, task.id, parts)] }))
  return {
    tasks,
    testPressure: test,
    parts,
    rules: rulesOf({
      tasks,
      holding,
      hasWaterCoil: hasWaterCoil(job.unit),
      isCapillary: job.unit.metering === 'capillary',
      bothSides: tasks.every(({ id, sides }) => !VACUUMS.includes(id) || sides === 2),
      test,
    }),
    returns: opens
      ? returnVisits(dryers, heldWork({ unit: job.unit }), facts, {
          changes: figured.oil.laterChanges,
          basis: figured.oil.changesBasis,
        })
      : [],
  }
}
