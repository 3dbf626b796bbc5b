import type { Tested } from '../../diagnosis/electrical/supplyPath'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { holdingVetoes } from '../../diagnosis/vetoes/holding'
import type { UnitPlate } from '../../record/equipment/unit'
import { unitAs } from '../../record/equipment/unitAs'
import type { KnownJob } from '../../record/job/job'
import { setsOfRound } from '../../record/job/setsOfRound'
import { latestWords } from '../../record/job/words'
import type { JobSet } from '../../record/records/set'
import type { StateRecords } from '../../record/state/timeline'
import { unitState } from '../../record/state/unitState'
import type { VetoId } from '../../safety/vetoes'
import { circuitReadings } from '../charge/circuitReadings'
import { type Plan, type PlanInput, planRepair } from './plan'
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

/** What is known of a job beside its basis when it is planned. */
type Told = Pick<PlanInput, 'observations' | 'faults' | 'readings' | 'proofs'>

/** Points of the ways to a load over sets; what a later one says replaces what an earlier one said. */
const testedPoints = (sets: readonly JobSet[]): Tested =>
  Object.assign({}, ...sets.map(({ points }) => points ?? {}))

/** The input of a plan. Of the closing only the weights that came out and went in count. */
export function planInput(job: Planned, { unit, holding, sets }: PlanBasis, told: Told): PlanInput {
  const { policy, decisions, repair, day, dryers, closing, arrival } = job
  const { recovered, charged } = closing ?? {}
  return {
    job: { unit, policy, decisions, repair, day, dryers, closing: { recovered, charged }, arrival },
    tested: testedPoints(sets),
    previousBurnout: arrival?.previousBurnout === true,
    holding,
    ...told,
  }
}
type Planned = Pick<KnownJob, 'policy' | 'decisions' | 'repair' | 'day' | 'dryers' | 'closing' | 'arrival'>

/**
 * The plan of the round that is looked at.
 * @param given what is not read from the job but said otherwise
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function planOf(
  job: KnownJob,
  faults: readonly SuspectId[],
  given: Partial<Pick<PlanInput, 'holding' | 'readings' | 'proofs'>> = {},
): Plan {
  const basis = planBasis(job)
  const { unit, sets } = basis
  const readingSets = setsOfRound(job)
  const input = planInput(job, basis, {
    observations: latestWords(readingSets),
    faults,
    readings: given.readings ?? circuitReadings(unit, sets),
    proofs: given.proofs ?? proofsOf({ ...job, unit, readingSets }, faults),
  })
  return planRepair({ ...input, holding: given.holding ?? input.holding })
}
