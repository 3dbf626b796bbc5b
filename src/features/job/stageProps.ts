import type { Diagnosis, Suspect } from '@/core/diagnose/diagnose'
import type { SuspectId } from '@/core/diagnose/faults'
import type { ReadingSet } from '@/core/readings/schema'
import type { Unit } from '@/core/units/units'
import type { StoredJob } from '@/data/jobs'
import type { DisplayUnits } from './useDisplay'
import type { ChangeJob } from './useJob'

/** What every stage of a job works on. */
export type StageProps = {
  readonly job: StoredJob
  readonly change: ChangeJob
  readonly display: DisplayUnits
  readonly rememberPressure: (unit: Unit) => void
  /** which reading set is looked at */
  readonly setIndex: number
  readonly chooseSet: (index: number) => void
  readonly set: ReadingSet
  readonly diagnosis: Diagnosis
  /** the suspect that is looked at */
  readonly suspect: Suspect
  readonly chooseSuspect: (fault: SuspectId) => void
}
