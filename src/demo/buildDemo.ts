import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { propertiesNeeded } from '@/core/repair/plan/propertiesNeeded'
import { emptyJob, type StoredJob } from '@/core/record/job/job'
import { chunkRows } from '@/data/logs'
import type { JobWithLogs } from '@/data/jobs'
import type { DemoJob, DemoSet } from './demoJob'
import { demoSet } from './demoSet'
import { DEMO_JOBS } from './observatory'
import { workThrough } from './workDay'

const HOUR = 3_600_000
const before = (now: Date, hours: number) => new Date(now.getTime() - hours * HOUR).toISOString()

/** Hours from the first readings to the decision: what is read later proves nothing of it. */
const DECIDING = 0.25

const decidedAfter = (
  decisions: StoredJob['decisions'],
  found: DemoSet | undefined,
  now: Date,
): StoredJob['decisions'] =>
  found ? decisions.map((each) => ({ ...each, at: before(now, found.hoursAgo - DECIDING) })) : decisions

function buildJob({ id, title, hoursAgo, unit, arrival, sets, rest, work }: DemoJob, now: Date): JobWithLogs {
  const found = {
    ...emptyJob(unit),
    id,
    title,
    demo: true,
    createdAt: before(now, hoursAgo),
    updatedAt: before(now, hoursAgo),
    arrival,
    readingSets: sets.map((set, i) => demoSet(unit, set, before(now, set.hoursAgo), `set-${i + 1}`)),
    ...rest,
    ...(rest?.decisions ? { decisions: decidedAfter(rest.decisions, sets[0], now) } : {}),
  }
  if (!work) return { job: found, chunks: [] }
  const { job, samples, at } = workThrough(found, work, now.getTime() - work.hoursAgo * HOUR)
  return {
    job: { ...job, id, createdAt: found.createdAt, updatedAt: new Date(at).toISOString() },
    chunks: chunkRows(id, samples),
  }
}

/**
 * The jobs of the observatory with their logs; every value comes from the simulator, the same for the same moment.
 * @param ids which of them; all where not given
 */
export const built = (now: Date, ids?: readonly string[]): JobWithLogs[] =>
  DEMO_JOBS.filter(({ id }) => ids === undefined || ids.includes(id)).map((job) => buildJob(job, now))

/** Their documents alone. @throws OrzoError not-loaded */
export const buildDemoJobs = (now: Date): StoredJob[] => built(now).map(({ job }) => job)

/** What the worker of the demo can be asked. */
export function demoHandlers() {
  return {
    /** @param now ms */
    async *build(now: number): AsyncGenerator<never, JobWithLogs[]> {
      await loadRefrigerants(
        DEMO_JOBS.flatMap(({ unit, work }) => (work ? propertiesNeeded(unit) : [unit.refrigerant])),
      )
      return built(new Date(now))
    },
  }
}
