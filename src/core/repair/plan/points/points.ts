import { heatWords, type WorkClimate } from '../climate'
import { type TaskId, usesFlame } from '../tasks/tasks'
import { CIRCUIT_POINTS } from './circuitPoints'
import { ELECTRICAL_POINTS } from './electricalPoints'
import type { Point, PointFacts, PointRows } from './pointRow'
import { nitrogenStart } from './schools'

const ROWS: PointRows = { ...CIRCUIT_POINTS, ...ELECTRICAL_POINTS }

/** What every flame asks for, whatever it is used for (handbook 07). */
const OF_FLAME: readonly Point[] = [nitrogenStart]

/** What is done, looked at and measured in a task of this job, in the order in which it is done; nothing where the label says all. */
export function pointsOf(id: TaskId, facts: PointFacts, climate: WorkClimate): string[] {
  const rows = [...(usesFlame(id) ? OF_FLAME : []), ...(ROWS[id] ?? [])]
  const said = rows.flatMap((point) => (typeof point === 'string' ? point : (point(facts) ?? [])))
  return [...new Set([...said, ...(id === 'setUp' ? heatWords(climate) : [])])]
}
