import type { Diagnosis, Suspect } from '@/core/answer/diagnose'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { QuantityKind, Unit } from '@/core/base/units/units'
import type { StoredJob } from '@/data/jobs'
import type { DisplayUnits } from './useDisplay'
import type { ChangeJob } from './useJob'

/** What every stage of a job works on. */
export type StageProps = {
  readonly job: StoredJob
  readonly change: ChangeJob
  readonly display: DisplayUnits
  readonly rememberUnit: (kind: QuantityKind, unit: Unit) => void
  /** which reading set is looked at */
  readonly setIndex: number
  readonly chooseSet: (index: number) => void
  readonly set: ReadingSet
  readonly diagnosis: Diagnosis
  /** the suspect that is looked at */
  readonly suspect: Suspect
  readonly chooseSuspect: (key: string) => void
  /** the tap that a check asked for, to be opened when its stage is shown */
  readonly tap: ReadingKey | undefined
  readonly openTap: (key: ReadingKey | undefined) => void
}
