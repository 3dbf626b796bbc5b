import type { Quantity } from '@/core/base/units/units'
import type { ChannelKey } from '@/core/record/readings/channels'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import type { Told } from '@/core/repair/logs/told'
import type { Verdicts } from '@/core/repair/logs/verdicts'
import type { UnitSystem } from '@/core/base/units/system'
import type { Edit } from '@/core/record/edits/edit'
import type { StageProps } from '../../shared/stageProps'
import type { PurposeLog, Work } from './useWork'

/** What everything round one log is given. */
export type PurposeProps = Pick<StageProps, 'job' | 'change'> & {
  /** the pass of a task that the log belongs to */
  step: string
  purpose: LogPurpose
  work: Work
  log: PurposeLog
  /** what is said of it as it stands; undefined before there is a look */
  view: Told | undefined
  /** what is said of the ended logs */
  verdicts: Verdicts
  /** Pa, at the site */
  atmosphere: number
  /** the units of this browser */
  system: UnitSystem
  /** its task */
  task: string
  /** what begins the step with its log, where nobody began it */
  starts: Edit | undefined
  /** no log may be begun yet */
  held: boolean
  /** what is told at once of a figure that is being typed, before it is written down */
  warn?: ((key: ChannelKey, figure: Quantity) => string | undefined) | undefined
}
