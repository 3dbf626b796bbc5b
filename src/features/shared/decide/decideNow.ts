import type { Edit } from '@/core/record/edits/edit'
import { isRoundOver } from '@/core/record/job/rounds'
import type { StageProps } from '../stageProps'

type Deciding = Pick<StageProps, 'job' | 'change' | 'startRound'>

/**
 * Stores a decision: a repair that is over stays as it is, what is decided then is another one.
 * @param whole the decision with everything that must go along into another repair
 */
export const decideNow = ({ job, change, startRound }: Deciding, decision: Edit, whole = decision) =>
  isRoundOver(job) ? startRound('found', whole) : change(decision)
