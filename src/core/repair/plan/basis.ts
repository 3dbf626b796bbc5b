import type { SuspectId } from '../../diagnosis/faults/faults'
import { holdingVetoes } from '../../diagnosis/vetoes/holding'
import type { UnitPlate } from '../../record/equipment/unit'
import { unitAs } from '../../record/equipment/unitAs'
import type { KnownJob } from '../../record/job/job'
import { setsOfRound } from '../../record/job/setsOfRound'
import type { JobSet } from '../../record/records/set'
import type { StateRecords } from '../../record/state/timeline'
import { unitState } from '../../record/state/unitState'
import type { VetoId } from '../../safety/vetoes'
import { circuitReadings } from '../charge/circuitReadings'
import { type Plan, planRepair } from './plan'
import { proofsOf } from './proofs'
import { effectsOf } from './tasks/tasks'
import { setsUntil, workBegan } from './workBegan'

/** What a plan is made from: the unit, what was read and how it stood when the work of the round began, or now before it. */
export type PlanBasis = {
  readonly unit: UnitPlate
  /** sets that speak for the round, taken before its work */
  readonly sets: readonly JobSet[]
  readonly holding: readonly VetoId[]
}

type Records = StateRecords & Pick<KnownJob, 'unit' | 'round' | 'createdAt'>

/** @throws OrzoError not-loaded when the refrigerant's table is not in memory */
export function planBasis(job: Records): PlanBasis {
  const began = workBegan(job)
  const until = began === undefined ? Infinity : began - 1
  const state = unitState(job, effectsOf, until)
  return {
    unit: unitAs(job.unit, state.refrigerant),
    sets: setsUntil(setsOfRound(job), began),
    holding: holdingVetoes(job.unit, setsUntil(job.readingSets, began), state),
  }
}

/**
 * The plan of the round that is looked at.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function planOf(job: KnownJob, faults: readonly SuspectId[]): Plan {
  const { unit, sets, holding } = planBasis(job)
  const planned = { ...job, unit, readingSets: setsOfRound(job) }
  return planRepair(planned, faults, holding, circuitReadings(unit, sets), proofsOf(planned, faults))
}
