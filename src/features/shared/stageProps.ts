import type { Assessment } from '@/core/diagnosis/evidence/assess'
import type { Ranking, Suspect } from '@/core/answer/diagnose'
import type { QuantityKind, Unit } from '@/core/base/units/units'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { StoredJob } from '@/core/record/job/job'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import type { Edit } from '@/core/record/edits/edit'
import type { RoundReason } from '@/core/record/records/round'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { Answered } from './answer/useAnswer'
import type { DisplayUnits } from './display/useDisplay'
import type { ChangeJob } from './record/useJob'

/** What every stage of a job works on. */
export type StageProps = {
  readonly job: StoredJob
  /** the unit as far as it is known, filled up so that it can be drawn and walked round */
  readonly unit: UnitPlate
  readonly change: ChangeJob
  /** which repair of the job is looked at; undefined: the last that began */
  readonly chooseRound: (id: string | undefined) => void
  /** begins another repair, with a first edit in it, and looks at it. @returns whether it was stored */
  readonly startRound: (why: Exclude<RoundReason, 'first'>, edit?: Edit) => Promise<boolean>
  readonly display: DisplayUnits
  readonly rememberUnit: (kind: QuantityKind, unit: Unit) => void
  /** which reading set is looked at; undefined before there is one */
  readonly setId: string | undefined
  readonly chooseSet: (id: string | undefined) => void
  readonly set: ReadingSet
  /** what the technician says was inside at that set; undefined: it follows from what was charged */
  readonly saidRefrigerant: RefrigerantName | undefined
  /** everything that is computed of the job */
  readonly answer: Answered
  /** the set that is looked at, read and ranked */
  readonly diagnosis: Assessment & Ranking
  /** the suspect that is looked at */
  readonly suspect: Suspect
  readonly chooseSuspect: (key: string) => void
  /** the tap that a check asked for, to be opened when its stage is shown */
  readonly tap: ReadingKey | undefined
  readonly openTap: (key: ReadingKey | undefined) => void
}
