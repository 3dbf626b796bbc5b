import type { Job } from '../record/job/job'
import type { JobSet } from '../record/records/set'
import { isSuspect, type SuspectId } from '../diagnosis/faults/faults'
import { decided } from '../record/job/decisions'

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
