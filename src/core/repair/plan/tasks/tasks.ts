import { type Effects, NO_EFFECTS } from '../../../record/state/effects'
import type { CautionId } from '../../../safety/cautions'
import type { Act } from '../../../safety/vetoes'
import { CIRCUIT_TASKS } from './circuit'
import { ELECTRICAL_TASKS } from './electrical'
import { FRAME_TASKS } from './frame'
import { isOwnTask, ownRow, type OwnTaskId } from './own'
import { REPLACE_TASKS } from './replace'
import { stageAt, type TaskRole, type TaskRow } from './row'

/** Every task there is; within a stage the order of this table is the order of the work. */
const TASKS = { ...FRAME_TASKS, ...CIRCUIT_TASKS, ...ELECTRICAL_TASKS, ...REPLACE_TASKS } as const

type TableTask = keyof typeof TASKS
/** A task of the table, or one that was added on site. */
export type TaskId = TableTask | OwnTaskId
export const TASK_IDS = Object.keys(TASKS) as TableTask[]
export const isTask = (word: string): word is TableTask => Object.hasOwn(TASKS, word)

/** The row seen without its literal types. */
export const taskRow = (id: TaskId): TaskRow => (isOwnTask(id) ? ownRow(id) : TASKS[id])

/** Its turn within its stage: before, in, or after the order of the table. */
function turnOf(id: TaskId): number {
  const { turn = 0 } = taskRow(id)
  return turn === 0 ? (TASK_IDS as readonly TaskId[]).indexOf(id) : turn < 0 ? turn : TASK_IDS.length + turn
}

/** Of one stage: those in its chain, then those beside them, then those that float. */
const looseness = (id: TaskId): number =>
  taskRow(id).until !== undefined ? 2 : taskRow(id).alongside !== undefined ? 1 : 0

/** Orders tasks by stage, then by their turn. */
export const byTurn = (a: TaskId, b: TaskId): number =>
  stageAt(taskRow(a).stage) - stageAt(taskRow(b).stage) ||
  looseness(a) - looseness(b) ||
  turnOf(a) - turnOf(b)

/** The tasks of the table whose row is of a kind. */
const those = (is: (row: TaskRow) => boolean): readonly TaskId[] => TASK_IDS.filter((id) => is(taskRow(id)))
/** The tasks that play a role. */
export const playing = (role: TaskRole): readonly TaskId[] => those(({ roles }) => roles.includes(role))

/** The ways to a vacuum; a plan has one. */
export const VACUUMS = those(({ effects }) => effects.fills === 'vacuum')
/** Sweeps before a flame. */
export const SWEEPS = those(({ effects }) => effects.fills === 'nitrogen')
/** What takes refrigerant out down to its depth. */
export const RECOVERIES = those(({ effects }) => effects.empties === true)
/** What puts the charge in. */
export const CHARGES = those(({ effects }) => effects.charges === true)
/** What fits another compressor, and another metering device. */
export const COMPRESSORS = those(({ effects }) => effects.replaces?.includes('compressor') === true)
export const METERING_CHANGES = those(({ effects }) => effects.replaces?.includes('metering-device') === true)
/** The first start after a repair. */
export const STARTS = those(({ effects }) => effects.starts === true)

export const usesFlame = (id: TaskId): boolean => taskRow(id).effects.flame === true

/** [practice] handbook 07, 12: what every flame on a circuit brings, whatever it is used for. */
const OF_FLAME: readonly CautionId[] = ['brazing', 'oilFire', 'hotWork']

/** What can hurt in a task: its own, and what its flame brings. */
export function cautionsOf(id: TaskId): readonly CautionId[] {
  const { cautions } = taskRow(id)
  return usesFlame(id) ? [...new Set([...cautions, ...OF_FLAME])] : cautions
}

/** What a task does: its own acts, and what its effects tell of flame and opening. */
export const actsOf = (id: TaskId): readonly Act[] => {
  const { acts = [], effects } = taskRow(id)
  return [
    ...acts,
    ...(effects.flame ? (['flame'] as const) : []),
    ...(effects.opens ? (['open'] as const) : []),
  ]
}

/** What a task does to the unit. */
export const taskEffects = (id: TaskId): Effects => taskRow(id).effects

/** Whether a task opens the circuit. */
export const opensCircuit = (id: TaskId): boolean => taskRow(id).effects.opens === true

/** The effects of a step, by the row of its task; what is no task of the table does nothing to the unit. */
export const effectsOf = ({ task }: { readonly task: string }): Effects =>
  isTask(task) || isOwnTask(task) ? taskEffects(task) : NO_EFFECTS
