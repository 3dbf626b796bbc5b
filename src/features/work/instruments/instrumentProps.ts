import type { SheetStep } from '@/core/repair/work/runSheet'
import type { StageProps } from '../../shared/stageProps'

/** What the instruments of a step work on. */
export type InstrumentProps = StageProps & {
  readonly step: SheetStep
  /** ms of the time of the job */
  readonly now: number
  /** leads to the step that is on */
  readonly onLead: () => void
}
