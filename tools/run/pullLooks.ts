import type { PullPoint } from '@/core/physics/processes/forecast'
import { evacuate, openedCircuit, totalPressure, type VacuumSetup } from '@/core/physics/processes/vacuum'

/** Looks at a pull by the finer model. @param every s between two of them */
export function pullLooks(setup: VacuumSetup, water: number, seconds: number, every: number): PullPoint[] {
  let state = openedCircuit(setup, water)
  const points: PullPoint[] = [{ seconds: 0, pascals: totalPressure(state) }]
  for (let at = every; at <= seconds; at += every) {
    state = evacuate(setup, state, every, 'open')
    points.push({ seconds: at, pascals: totalPressure(state) })
  }
  return points
}
