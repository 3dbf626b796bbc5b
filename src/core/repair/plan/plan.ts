import { stateOf, type SuspectId } from '../../diagnosis/faults/faults'
import { decided } from '../../record/job/decisions'
import { policyOf } from '../../record/policy/policy'
import type { VetoId } from '../../safety/vetoes'
import { chooseRefrigerant } from '../charge/refrigerantPath'
import { type Cleanup, type CleanupInput, planCleanup } from '../cleanup/cleanup'
import { modelOf } from '../cleanup/dryerModel'
import { coreChanges, placingOf } from '../cleanup/dryerPlacing'
import { cleanupRecord } from '../cleanup/record'
import { settlingTests } from '../cleanup/settles'
import { approvalOf } from './approval'
import { alsoRemedies } from './alsoReplaced'
import { chargeWork } from './chargeWork'
import { namedControl } from './namedControl'
import { plannedCauses } from './plannedCauses'
import { plannedDay } from './plannedDay'
import { type Remedy, remedyOf } from './remedies'
import { unitSwapOf } from './unitSwap'

import type { Plan, PlanInput, PlannedDryer, PlannedJob } from './planTypes'
import type { Whole } from './whole'
import { workOf } from './wholeWork'

export type { PlanTask } from './planTasks'
export type { Plan, PlanInput, PlannedDryer } from './planTypes'

/** [practice] a pressure at rest below this, Pa above the atmosphere, has fallen to nothing. */
const NOTHING_LEFT = 14_000

/** Several remedies as one: everything once, opened if any of them opens. */
function unionOf(all: readonly Remedy[]): Remedy {
  const once = <T>(pick: (remedy: Remedy) => readonly T[]) => [...new Set(all.flatMap(pick))]
  return {
    work: once(({ work }) => work),
    parts: once(({ parts }) => parts),
    beforeLeaving: once(({ beforeLeaving }) => beforeLeaving),
    opens: all.some(({ opens }) => opens),
  }
}

const NOTHING_WRONG: readonly SuspectId[] = ['healthy']

/** When the first of the faults was decided. */
const oldestDecision = (job: PlannedJob): string | undefined =>
  decided(job)
    .flatMap(({ at }) => at ?? [])
    .sort()[0]

/** The clean-up, and whether the circuit is opened: for the repair, or for what was found inside. */
function openedFor(
  input: CleanupInput,
  isOpened: boolean,
  isRepair: boolean,
): { readonly cleanup: Cleanup; readonly opens: boolean } {
  if (isOpened) return { cleanup: planCleanup(input), opens: true }
  const closed = planCleanup({ ...input, opens: false })
  const opens = isRepair && closed.contamination.asksToOpen
  return { cleanup: opens ? planCleanup(input) : closed, opens }
}

/** States of the table of vetoes that the faults themselves are. */
const statesOf = (faults: readonly SuspectId[]): VetoId[] => [
  ...new Set(faults.flatMap((fault) => stateOf(fault) ?? [])),
]

/**
 * The replacement plan for the named faults: clean-up class with ledgers, dryers, oil, refrigerant, recovery, charge, parts,
 * a graph of tasks with their times, gates and cautions. Of several faults it is the union, each part and task once.
 * `planOf` makes its input of a job.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function planRepair(input: PlanInput): Plan {
  const { job } = input
  const plan = plannedWork(input)
  const planned = (compressorWay: 'condensing-unit' | 'like-for-like') =>
    plannedWork({ ...input, job: { ...job, repair: { ...job.repair, compressorWay } } })
  const { previousCompressor } = job.arrival ?? {}
  const failedBefore = input.previousBurnout || previousCompressor === true
  return { ...plan, unitSwap: unitSwapOf(plan, { unit: job.unit, failedBefore, planned }) }
}

/** Everything that the graph and the parts are made of, and the dryers as they go in. */
function wholeOf(input: PlanInput): { readonly whole: Whole; readonly dryers: readonly PlannedDryer[] } {
  const { job, previousBurnout, observations, faults: wanted, holding: found, readings, proofs } = input
  const { unit, repair, closing } = job
  const named = wanted.filter((fault) => fault !== 'healthy')
  const faults = named.length > 0 ? named : NOTHING_WRONG
  const holding = [...new Set([...found, ...statesOf(faults)])]
  const policy = policyOf(job.policy)
  const day = plannedDay(job.day, job.arrival, job.unit)
  const isEmpty = holding.includes('no-liquid')
  const record = cleanupRecord(
    { unit, observations, previousBurnout, repair, faults },
    {
      drewAir: holding.includes('standing-vacuum'),
      isEmpty: isEmpty && (readings.standing ?? Number.POSITIVE_INFINITY) < NOTHING_LEFT,
    },
  )
  // one choice for dryers, charge and path
  const choice = chooseRefrigerant(job.unit, readings, record.repair.refrigerantTo)
  const refrigerant = choice.to ?? job.unit.refrigerant
  const own = job.dryers.map(modelOf)
  const remedy = unionOf([...faults.map(remedyOf), ...alsoRemedies(job)])
  const { cleanup, opens } = openedFor({ record, policy, refrigerant, own }, remedy.opens, named.length > 0)
  const figured = chargeWork({ unit, closing, faults, record, cleanup, readings, choice, holding, policy })
  const approval = approvalOf(day, oldestDecision(job))
  const { dryers: chosen, need } = cleanup
  const dryers = chosen.map((each): PlannedDryer => ({
    ...each,
    placing: placingOf(need, each),
    changes: coreChanges(need, each),
  }))
  const whole: Whole = {
    job,
    faults,
    remedy,
    record,
    cleanup,
    figured,
    opens,
    holding,
    policy,
    proofs: proofs.filter(({ fault }) => fault !== 'healthy' && faults.includes(fault)),
    approval,
    day,
    causes: plannedCauses(job, faults),
    control: namedControl(faults, observations, input.tested),
    outdoor: readings.outdoor,
  }
  return { whole, dryers }
}

function plannedWork(input: PlanInput): Omit<Plan, 'unitSwap'> {
  const { whole, dryers } = wholeOf(input)
  const { faults, opens, record, cleanup, figured, remedy, policy, proofs, causes, approval, day, holding } =
    whole
  const { contamination, water, acid, size } = cleanup
  return {
    faults,
    opens,
    isPart: opens && figured.isPart,
    contamination: {
      ...contamination,
      water,
      acid,
      settles: settlingTests(record, size),
      effort: cleanup.effort,
      closes: cleanup.closes,
      closesHigh: cleanup.closesHigh,
      missing: cleanup.missing,
      room: cleanup.room,
    },
    size,
    dryers,
    drops: input.readings.drops,
    oil: figured.oil,
    refrigerantPath: figured.path,
    access: figured.access,
    recovery: figured.recovery,
    charge: opens ? figured.charge : undefined,
    policy,
    beforeLeaving: remedy.beforeLeaving,
    proofs,
    causes,
    approval,
    day,
    holding,
    ofFaults: statesOf(faults),
    ...workOf(whole, dryers),
  }
}
