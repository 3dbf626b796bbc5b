import { type Effects, NO_EFFECTS } from '../../../record/state/effects'
import type { Act } from '../../../safety/vetoes'
import { CIRCUIT_TASKS } from './circuit'
import { ELECTRICAL_TASKS } from './electrical'
import { FRAME_TASKS } from './frame'
import { REPLACE_TASKS } from './replace'
import { stageAt, type TaskRow } from './row'

/** Every task there is; within a stage the order of this table is the order of the work. */
const TASKS = { ...FRAME_TASKS, ...CIRCUIT_TASKS, ...ELECTRICAL_TASKS, ...REPLACE_TASKS } as const

export type TaskId = keyof typeof TASKS
export const TASK_IDS = Object.keys(TASKS) as TaskId[]
export const isTask = (word: string): word is TaskId => Object.hasOwn(TASKS, word)

/** The row seen without its literal types. */
export const taskRow = (id: TaskId): TaskRow => TASKS[id]

/** Where tasks of one stage stand before or after others although the table says otherwise. */
const FIRST: readonly TaskId[] = ['recheck', 'confirm', 'confirmDead', 'proveFirst']
const LAST: readonly TaskId[] = [
  'waterOn',
  'releaseValves',
  'openValves',
  'closeCover',
  'checkFlue',
  'unlock',
  'settle',
]

function turnOf(id: TaskId): number {
  const [first, last] = [FIRST.indexOf(id), LAST.indexOf(id)]
  if (first >= 0) return first - FIRST.length
  return last >= 0 ? TASK_IDS.length + last : TASK_IDS.indexOf(id)
}

/** Of one stage: those in its chain, then those beside them, then those that float. */
const looseness = (id: TaskId): number =>
  taskRow(id).until !== undefined ? 2 : taskRow(id).alongside !== undefined ? 1 : 0

/** Orders tasks by stage, then by their turn. */
export const byTurn = (a: TaskId, b: TaskId): number =>
  stageAt(taskRow(a).stage) - stageAt(taskRow(b).stage) ||
  looseness(a) - looseness(b) ||
  turnOf(a) - turnOf(b)

/** The ways to a vacuum; a plan has one. */
export const VACUUMS: readonly TaskId[] = ['evacuate', 'evacuatePart', 'evacuateWet']

export const usesFlame = (id: TaskId): boolean => taskRow(id).cautions.includes('brazing')

/** What a task does: its own acts, flame where brazing is cautioned, and whether it opens the circuit. */
export const actsOf = (id: TaskId): readonly Act[] => {
  const { acts = [], opens } = taskRow(id)
  return [...acts, ...(usesFlame(id) ? (['flame'] as const) : []), ...(opens ? (['open'] as const) : [])]
}

/** What a task does to the unit. */
export function taskEffects(id: TaskId): Effects {
  const { effects = NO_EFFECTS, opens } = taskRow(id)
  return opens ? { ...effects, opens } : effects
}

/** The effects of a step, by the row of its task; what is no task of the table does nothing to the unit. */
export const effectsOf = ({ task }: { readonly task: string }): Effects =>
  isTask(task) ? taskEffects(task) : NO_EFFECTS
