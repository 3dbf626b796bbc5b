import { OrzoError } from '../base/errors/orzoError'
import type { Job } from '../record/job/job'
import type { ReadingSet } from '../record/readings/schema'
import { type Display, DEFAULT_DISPLAY } from '../base/units/show'
import { contextOf, type Diagnosis, diagnose } from './diagnose'
import { isSuspect, type SuspectId } from '../diagnosis/faults/faults'

/** The set that speaks for the circuit now: the latest one with a reading or an observation. */
export function latestSet(job: Job): ReadingSet | undefined {
  return job.readingSets.findLast(
    (set) => Object.keys(set.readings).length > 0 || Object.keys(set.observations ?? {}).length > 0,
  )
}

/**
 * Diagnoses a job by one of its sets.
 * @param index which set; the latest one with evidence where not given
 * @throws OrzoError no-reading-set
 */
export function diagnoseJob(job: Job, index?: number, display: Display = DEFAULT_DISPLAY): Diagnosis {
  const set = index === undefined ? latestSet(job) : job.readingSets[index]
  if (!set) throw new OrzoError('no-reading-set', 'The job holds no reading set: take readings first.')
  return diagnose(job.unit, set, display, contextOf(job))
}

/**
 * The fault that the plan is for: the technician's decision, else the leading suspect of the latest set
 * whose leader is a fault, else nothing wrong.
 */
export function faultToRepair(job: Job): SuspectId {
  const decided = job.decision?.fault
  if (decided !== undefined && isSuspect(decided)) return decided
  for (const set of job.readingSets.toReversed()) {
    const leader = diagnose(job.unit, set, DEFAULT_DISPLAY, contextOf(job)).suspects[0]
    if (leader && leader.fault !== 'healthy' && Object.keys(set.readings).length > 0) return leader.fault
  }
  return 'healthy'
}
