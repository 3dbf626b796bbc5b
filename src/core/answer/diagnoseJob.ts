import { OrzoError } from '../base/errors/orzoError'
import { type Display, DEFAULT_DISPLAY } from '../base/units/show'
import type { Job, KnownJob } from '../record/job/job'
import type { JobSet } from '../record/records/set'
import type { SuspectId } from '../diagnosis/faults/faults'
import { type Answer, createAnswerer } from './answer'
import { type Diagnosis, gatesOfLeaders } from './diagnose'

/** The set that speaks for the circuit now: the latest one with a reading or an observation. */
function latestSet(job: Pick<Job, 'readingSets'>): JobSet | undefined {
  return job.readingSets.findLast(
    (set) => Object.keys(set.readings).length > 0 || Object.keys(set.observations ?? {}).length > 0,
  )
}

/** What an answer says of the set that is looked at, with the gates of those that lead. */
const diagnosisOf = ({ assessment, ranking, vetoes, gates }: Answer): Diagnosis => ({
  ...assessment,
  ...ranking,
  vetoes,
  gates: gatesOfLeaders(ranking.suspects, gates),
})

/**
 * Diagnoses a job by one of its sets, as the screen does.
 * @param index which set; the latest one with evidence where not given
 * @throws OrzoError no-reading-set, not-loaded
 */
export function diagnoseJob(job: KnownJob, index?: number, display: Display = DEFAULT_DISPLAY): Diagnosis {
  const set = index === undefined ? latestSet(job) : job.readingSets[index]
  if (!set) throw new OrzoError('no-reading-set', 'The job holds no reading set: take readings first.')
  return diagnosisOf(createAnswerer().whole({ job, setId: set.id, display }))
}

/** The faults that the plan is for: those decided, else the leading suspect, else nothing wrong. */
export const faultsToRepair = (job: KnownJob): readonly SuspectId[] => createAnswerer().whole({ job }).faults
