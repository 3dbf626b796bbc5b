import { seededRandom } from '@/core/base/numeric/random'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { emptyJob, type StoredJob } from '@/core/record/job/job'
import type { JobSet } from '@/core/record/records/set'
import { simulateSet } from '@/core/simulate/simulateSet'
import type { OrzoDatabase } from '@/data/database'
import { addIfAbsent } from '@/data/jobs'
import { DEMO_JOBS, type DemoSet } from './observatory'

const HOUR = 3_600_000
const before = (now: Date, hours: number) => new Date(now.getTime() - hours * HOUR).toISOString()

function demoSet(unit: UnitPlate, set: DemoSet, now: Date, place: number): JobSet {
  const { conditions, fault, severity, seed, keys } = set
  const faults = fault ? [{ fault, severity }] : []
  const simulated = simulateSet({ unit, conditions, faults, random: seededRandom(seed) }, keys)
  const at = before(now, set.hoursAgo)
  const readings = Object.fromEntries(
    Object.entries(simulated.readings).map(([key, reading]) => [key, { ...reading, at }]),
  )
  return {
    ...simulated,
    id: `set-${place + 1}`,
    readings,
    label: set.label,
    at,
    ...(set.observations ? { observations: set.observations } : {}),
  }
}

/** The jobs of the observatory; every value comes from the simulator, the same for the same moment. */
export function buildDemoJobs(now: Date): StoredJob[] {
  return DEMO_JOBS.map(({ id, title, hoursAgo, unit, arrival, sets, rest }) => ({
    ...emptyJob(unit),
    id,
    title,
    demo: true,
    createdAt: before(now, hoursAgo),
    updatedAt: before(now, hoursAgo),
    arrival,
    readingSets: sets.map((set, i) => demoSet(unit, set, now, i)),
    ...rest,
  }))
}

/** Adds the demo jobs that are not there; jobs of the same id that were changed stay as they are. */
export async function addDemoJobs(db: OrzoDatabase, now: Date): Promise<void> {
  await loadRefrigerants(DEMO_JOBS.map(({ unit }) => unit.refrigerant))
  await addIfAbsent(db, buildDemoJobs(now))
}
