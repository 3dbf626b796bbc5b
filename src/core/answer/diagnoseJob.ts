import { OrzoError } from '../base/errors/orzoError'
import { type Display, DEFAULT_DISPLAY } from '../base/units/show'
import type { Job, KnownJob } from '../record/job/job'
import { setsOfRound } from '../record/job/setsOfRound'
import type { JobSet } from '../record/records/set'
import { isSuspect, type SuspectId } from '../diagnosis/faults/faults'
import { decided } from '../record/job/decisions'
import { contextOf, type Diagnosis, diagnose } from './diagnose'

/** The set that speaks for the circuit now: the latest one with a reading or an observation. */
function latestSet(job: Pick<Job, 'readingSets'>): JobSet | undefined {
  return job.readingSets.findLast(
    (set) => Object.keys(set.readings).length > 0 || Object.keys(set.observations ?? {}).length > 0,
  )
}

/**
 * Diagnoses a job by one of its sets.
 * @param index which set; the latest one with evidence where not given
 * @throws OrzoError no-reading-set
 */
export function diagnoseJob(job: KnownJob, index?: number, display: Display = DEFAULT_DISPLAY): Diagnosis {
  const set = index === undefined ? latestSet(job) : job.readingSets[index]
  if (!set) throw new OrzoError('no-reading-set', 'The job holds no reading set: take readings first.')
  return diagnose(job.unit, set, display, contextOf(job))
}

/** The faults that were decided. */
export const decidedFaults = (job: Pick<Job, 'decisions'>): SuspectId[] =>
  decided(job)
    .map(({ fault }) => fault)
    .filter(isSuspect)

/**
 * The suspect that a plan is for where nothing is decided: the leader of the latest set whose leader is a fault.
 * @param leaderOf the leading suspect of a set
 */
export function suspectToRepair(
  job: Pick<Job, 'readingSets'>,
  leaderOf: (set: JobSet) => SuspectId | undefined,
): SuspectId {
  for (const set of job.readingSets.toReversed()) {
    if (Object.keys(set.readings).length === 0) continue
    const leader = leaderOf(set)
    if (leader !== undefined && leader !== 'healthy') return leader
  }
  return 'healthy'
}

/** The faults that the plan is for: those decided, else the leading suspect, else nothing wrong. */
export function faultsToRepair(job: KnownJob): SuspectId[] {
  const named = decidedFaults(job)
  if (named.length > 0) return named
  const leaderOf = (set: JobSet) =>
    diagnose(job.unit, set, DEFAULT_DISPLAY, contextOf(job)).suspects[0]?.fault
  return [suspectToRepair({ readingSets: setsOfRound(job) }, leaderOf)]
}
