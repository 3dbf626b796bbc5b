import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { ONLY_ID, roundOf } from '../records/kinds'
import type { LogHead } from '../records/log'
import type { StepRecord } from '../records/step'
import type { Job } from './job'

/** The steps of every round of a job. */
export const allSteps = ({
  steps,
  others,
}: Pick<Job, 'steps'> & Partial<Pick<Job, 'others'>>): StepRecord[] =>
  others ? [...others.steps, ...steps] : steps

/** The logs of every round of a job. */
export const allLogs = ({ logs, others }: Pick<Job, 'logs'> & Partial<Pick<Job, 'others'>>): LogHead[] =>
  others ? [...others.logs, ...logs] : logs

type Rounds = Pick<Job, 'rounds'> & Partial<Pick<Job, 'round' | 'repair' | 'others'>>

/** What goes into the circuit in a round: as it was written when the charging began, else what was chosen for it. */
export function roundRefrigerant(job: Rounds, round: string): RefrigerantName | undefined {
  const written = job.rounds.find(({ id }) => id === round)?.refrigerant
  const repair =
    (job.round ?? ONLY_ID) === round
      ? job.repair
      : job.others?.repairs.find((each) => roundOf(each) === round)
  return written ?? repair?.refrigerantTo
}
