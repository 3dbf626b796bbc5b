import type { UnitPlate } from '@/core/record/equipment/unit'
import { COLD_JOBS } from './coldJobs'
import { COMFORT_JOBS } from './comfortJobs'
import type { Conditions } from '@/core/simulate/conditions'
import type { DemoFault, DemoJob } from './demoJob'
import { CONTROL_ROOM, EXHIBIT_HALL, LODGE, WORKSHOP } from './mainJobs'

/** The jobs of the observatory, in all stages. */
export const DEMO_JOBS: readonly DemoJob[] = [
  CONTROL_ROOM,
  LODGE,
  EXHIBIT_HALL,
  WORKSHOP,
  ...COLD_JOBS,
  ...COMFORT_JOBS,
]

export type DemoUnit = {
  readonly unit: UnitPlate
  readonly mode: 'cooling' | 'heating'
  readonly conditions: Conditions
  readonly faults: readonly DemoFault[]
}

/**
 * The simulated unit behind a demo job, as its last set left it; undefined for jobs that are not of the demo, and for a unit
 * that does not run.
 */
export function demoUnit(jobId: string): { readonly question: DemoUnit; readonly seed: number } | undefined {
  const job = DEMO_JOBS.find(({ id }) => id === jobId)
  if (!job) return undefined
  const last = job.work?.after ?? job.sets.at(-1) ?? job.live
  if (!last) return undefined
  const { faults = [], seed, conditions, mode = 'cooling', standing, electrical } = last
  if (standing !== undefined || electrical) return undefined
  return { question: { unit: job.unit, mode, conditions, faults }, seed }
}
