import type { Job } from '../record/job/job'
import { setsOfRound } from '../record/job/setsOfRound'

/** Whether nothing was read or seen yet: how often each fault is found is all that is known. */
export const isNothingRead = (job: Parameters<typeof setsOfRound>[0] & Pick<Job, 'readingSets'>): boolean =>
  setsOfRound(job).every(
    ({ readings, observations = {} }) =>
      Object.keys(readings).length === 0 && Object.keys(observations).length === 0,
  )
