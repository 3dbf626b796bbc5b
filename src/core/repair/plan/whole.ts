import type { SuspectId } from '../../diagnosis/faults/faults'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import type { Policy } from '../../record/policy/policy'
import type { VetoId } from '../../safety/vetoes'
import type { Cleanup } from '../cleanup/cleanup'
import type { CleanupRecord } from '../cleanup/record'
import type { Approval } from './approval'
import type { chargeWork } from './chargeWork'
import type { NamedControl } from './namedControl'
import type { PlannedCause } from './plannedCauses'
import type { PlannedDay } from './plannedDay'
import type { Proof } from './proofs'
import type { Remedy } from './remedies'

import type { PlannedJob } from './planTypes'

type ChargeFigures = ReturnType<typeof chargeWork>

/** Everything that the graph and the parts are made of. */
export type Whole = {
  readonly job: PlannedJob
  readonly faults: readonly SuspectId[]
  readonly remedy: Remedy
  readonly record: CleanupRecord
  readonly cleanup: Cleanup
  readonly figured: ChargeFigures
  readonly opens: boolean
  readonly holding: readonly VetoId[]
  readonly policy: Policy
  readonly proofs: readonly Proof[]
  readonly approval: Approval
  readonly day: PlannedDay
  readonly causes: readonly PlannedCause[]
  /** the part of the control circuit that the bench named */
  readonly control: NamedControl | undefined
  readonly outdoor: number | undefined
}

/** What is inside or goes in burns. */
export const burnsIn = ({ job, figured, holding }: Whole): boolean =>
  holding.includes('flammable') ||
  [job.unit.refrigerant, figured.path.goesIn].some((name) => name !== undefined && isFlammable(name))
