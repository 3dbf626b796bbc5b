import { isCause, killsCompressor } from '../../diagnosis/proof/causes'
import { stateOf, type SuspectId } from '../../diagnosis/faults/faults'
import { computed, guess } from '../../base/known/known'
import { toPascals } from '../../base/units/convert'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import { decided, decisionOn, unnamedNotes } from '../../record/job/decisions'
import { hasWaterCoil } from '../../record/equipment/kinds'
import type { KnownJob } from '../../record/job/job'
import { type Policy, policyOf } from '../../record/policy/policy'
import type { Observations } from '../../record/readings/schema'
import type { Day } from '../../record/records/day'
import type { VetoId } from '../../safety/vetoes'
import type { AccessChoice } from '../charge/access'
import type { Charge } from '../charge/charge'
import type { CircuitReadings } from '../charge/circuitReadings'
import type { OilBalance } from '../charge/oilFigures'
import type { Recovery } from '../charge/recovery'
import { chooseRefrigerant, type RefrigerantPath } from '../charge/refrigerantPath'
import type { Effort } from '../cleanup/effort'
import type { AcidLedger } from '../cleanup/acid'
import type { CircuitSize } from '../cleanup/circuitSize'
import { type Cleanup, type CleanupInput, planCleanup } from '../cleanup/cleanup'
import { type Contamination, isJudgedAsWet } from '../cleanup/contamination'
import type { DropVerdict } from '../cleanup/dryerDrop'
import { modelOf } from '../cleanup/dryerModel'
import { type CoreChange, coreChanges, placingOf } from '../cleanup/dryerPlacing'
import type { DryerChoice } from '../cleanup/dryers'
import { type CleanupRecord, cleanupRecord } from '../cleanup/record'
import { type Settling, settlingTests } from '../cleanup/settles'
import { USUAL } from '../cleanup/usual'
import type { WaterLedger } from '../cleanup/water'
import { type Approval, approvalOf } from './approval'
import { alsoRemedies } from './alsoReplaced'
import { CAUSE_TASKS } from './causeTasks'
import { chargeWork } from './chargeWork'
import { chosenTasks } from './choices'
import { nitrogenFor } from './parts/nitrogen'
import { type PlanPart, planParts } from './parts/planParts'
import { guessedParts, jointsOf, partsOfTasks } from './parts/taskParts'
import { type Bases, type PlanTask, planTasks, type TaskFacts } from './planTasks'
import { isProvenEarly, type Proof } from './proofs'
import { type Remedy, remedyOf } from './remedies'
import { type ReturnVisit, returnVisits } from './returns'
import { type AppliedRule, rulesOf } from './rules'
import { type TaskId, taskRow, usesFlame, VACUUMS } from './tasks/tasks'
import { type TestPressure, testPressureOf } from './testPressure'
import { heldWork, openedWork } from './work'

export type { PlanTask } from './planTasks'

/** A dryer that was chosen, how it goes in and when it is looked at again. */
export type PlannedDryer = DryerChoice & {
  readonly placing: readonly string[]
  readonly changes: readonly CoreChange[]
}

export type Plan = {
  /** what is repaired; one or several decided faults */
  readonly faults: readonly SuspectId[]
  readonly opens: boolean
  /** only a part is emptied: the charge stays in the receiver or round the isolated compressor */
  readonly isPart: boolean
  readonly contamination: Contamination & {
    readonly water: WaterLedger
    readonly acid: AcidLedger
    /** which test would change it, and what would be planned then */
    readonly settles: readonly Settling[]
    /** how water is met: by caution or by grams */
    readonly effort: Effort
    readonly closes: boolean
    readonly closesHigh: boolean
    /** kg of water for which there is no room */
    readonly missing: number
    /** kg of water that the chosen liquid dryer may be left with */
    readonly room: number
  }
  readonly size: CircuitSize
  readonly dryers: readonly PlannedDryer[]
  /** what readings of their drop say of the dryers that are in it */
  readonly drops: readonly DropVerdict[]
  readonly oil: OilBalance
  readonly refrigerantPath: RefrigerantPath
  readonly access: AccessChoice
  readonly recovery: Recovery
  /** undefined where the circuit stays closed or nothing may go in */
  readonly charge: Charge | undefined
  readonly policy: Policy
  readonly parts: readonly PlanPart[]
  readonly beforeLeaving: readonly string[]
  readonly tasks: readonly PlanTask[]
  /** what is proven first before anything is bought or opened */
  readonly proofs: readonly Proof[]
  readonly approval: Approval
  /** undefined where the circuit stays closed */
  readonly testPressure: TestPressure | undefined
  /** what the graph obeys */
  readonly rules: readonly AppliedRule[]
  /** later visits that open the circuit again */
  readonly returns: readonly ReturnVisit[]
  readonly day: Day
  /** states of the table of vetoes that hold when the work begins */
  readonly holding: readonly VetoId[]
  /** those of them that a fault of the plan is */
  readonly ofFaults: readonly VetoId[]
}

/** What a plan is made from, all of it. */
export type PlanInput = {
  /** plate as it stood when the work began, decisions, choices, weights, the day */
  readonly job: Pick<KnownJob, 'unit' | 'policy' | 'decisions' | 'repair' | 'day' | 'dryers' | 'closing'>
  readonly previousBurnout: boolean
  /** the latest word for each observation over the sets of the round */
  readonly observations: Observations
  /** the suspects that are repaired; none is a sound circuit */
  readonly faults: readonly SuspectId[]
  /** states of the table of vetoes that hold; what a fault itself is holds too */
  readonly holding: readonly VetoId[]
  /** what the sets say of the coils and the dryers */
  readonly readings: CircuitReadings
  /** how each fault stands */
  readonly proofs: readonly Proof[]
}
type PlannedJob = PlanInput['job']

/** [practice] a pressure at rest below this, Pa above the atmosphere, has fallen to nothing. */
const NOTHING_LEFT = 14_000

/** What removes the causes of death that were chosen for a compressor that is changed. */
const causeWork = (job: PlannedJob, fault: SuspectId): TaskId[] =>
  killsCompressor(fault)
    ? ((decisionOn(job, fault) ?? unnamedNotes(job))?.causes ?? [])
        .filter(isCause)
        .flatMap((id) => CAUSE_TASKS[id])
    : []

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
const NO_DAY: Day = {}

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

type ChargeFigures = ReturnType<typeof chargeWork>

/** Everything that the graph and the parts are made of. */
type Whole = {
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
  readonly day: Day
}

/** What is inside or goes in burns. */
const burnsIn = ({ job, figured, holding }: Whole): boolean =>
  holding.includes('flammable') ||
  [job.unit.refrigerant, figured.path.goesIn].some((name) => name !== undefined && isFlammable(name))

/** What is proven first, each point where it may be: over the terminals only with the pressure off (handbook 13), inside only when it is open. */
function proofWork({ proofs, opens }: Whole): TaskId[] {
  const first = proofs.filter(({ isFirst }) => isFirst)
  const isLate = (pick: (proof: Proof) => readonly string[]) =>
    opens && first.some((proof) => pick(proof).length > 0)
  const isEarly = first.some((proof) => !opens || proof.missing.length === 0 || isProvenEarly(proof))
  return [
    ...(isEarly ? (['proveFirst'] as const) : []),
    ...(isLate(({ atTerminals }) => atTerminals) ? (['proveAtTerminals'] as const) : []),
    ...(isLate(({ atOpening }) => atOpening) ? (['proveAtOpening'] as const) : []),
  ]
}

function taskIds(whole: Whole): TaskId[] {
  const { job, faults, remedy, record, cleanup, figured, opens, policy, approval } = whole
  const { repair, observations } = record
  const causes = faults.flatMap((fault) => causeWork(job, fault))
  const repairs = chosenTasks([...remedy.work, ...causes], {
    unit: job.unit,
    repair,
    observations,
  })
  const work = opens
    ? openedWork({
        unit: job.unit,
        cleanup,
        access: figured.access,
        path: figured.path,
        policy,
        observations,
        oil: figured.oil,
        inside: figured.inside,
        isPart: figured.isPart,
        burnsInside: whole.holding.includes('flammable'),
        repairs,
      })
    : []
  const ids: TaskId[] = [
    'setUp',
    ...(approval.isStale ? (['recheck'] as const) : []),
    'confirm',
    ...(repairs.length > 0 ? proofWork(whole) : []),
    ...repairs,
    ...work,
    'closeUp',
  ]
  return ids
}

/** The test, where the circuit is opened. */
function testOf({ job, figured, cleanup, policy }: Whole): TestPressure {
  const dryers = cleanup.dryers.flatMap(({ chosen }) =>
    chosen ? [toPascals({ value: chosen.dryer.pressure, unit: 'psia' })] : [],
  )
  return testPressureOf(job.unit, policy, figured.isPart, dryers)
}

const NOT_BOUGHT: Readonly<Record<NonNullable<Proof['why']>, string>> = {
  suspected: 'prove first: suspected, not decided',
  'gate-shut': 'prove first: its gate is shut',
  shown: 'check first: seen or brought along, not checked here',
}

/** Why nothing is bought yet: it is not proven, or the owner did not agree. */
function purchaseStopOf({ proofs, approval }: Whole): string | undefined {
  // what was seen or brought along and shows itself only later is bought: nothing would prove it before
  const first = proofs.find((proof) => proof.isFirst && (proof.why !== 'shown' || isProvenEarly(proof)))
  if (first?.why) return NOT_BOUGHT[first.why]
  if (approval.state === 'given' || approval.without !== undefined) return undefined
  return approval.state === 'refused' ? 'the owner refused' : 'not before the owner agrees'
}

/** Joints of the tasks; the tubes of a header that nobody counted are a guess. */
function jointsKnown({ record, job, cleanup }: Whole, ids: readonly TaskId[]) {
  const { feederTubes, leaks = [] } = record.repair
  const planned = jointsOf(ids, feederTubes ?? USUAL.feederTubes, job.unit.oldDryer?.joint === 'flare')
  const again = leaks.reduce((sum, { joints: made = 0 }) => sum + made, 0)
  const joints = { ...planned, copper: planned.copper + again }
  const isGuess = feederTubes === undefined && ids.some((id) => taskRow(id).joints === 'as-feeder-tubes')
  return computed(
    joints,
    cleanup.basis,
    isGuess ? guess(`${USUAL.feederTubes} feeder tubes`, 'feederTubes') : undefined,
  )
}

/** How the figures are known by which tasks are planned. */
const basesOf = ({ cleanup, figured }: Whole, test: TestPressure | undefined): Bases => ({
  cleanup: cleanup.basis,
  depth: figured.recovery.depth.basis,
  ...(figured.charge ? { charge: figured.charge.total ?? figured.charge.guess } : {}),
  ...(test ? { test: test.basis } : {}),
})

function partsOf(whole: Whole, tasks: readonly PlanTask[], test: TestPressure | undefined): PlanPart[] {
  const { job, remedy, cleanup, figured, opens, record, day } = whole
  const { size, dryers, contamination, water } = cleanup
  const ids = tasks.map(({ id }) => id)
  const flame = tasks.filter(({ id }) => usesFlame(id)).reduce((sum, { handsOn }) => sum + handsOn[1], 0)
  const blows = ids.includes('blowOut') ? 2 : 0
  const isTriple = ids.includes('evacuateWet') || ids.includes('evacuateTriple')
  return planParts({
    parts: partsOfTasks(remedy.parts, ids),
    guessed: guessedParts(remedy.parts, tasks),
    facts: {
      unit: job.unit,
      // nothing is matched to a refrigerant that may not go in
      refrigerant: figured.path.goesIn,
      oil: figured.oil.goesIn,
      tons: size.tons,
      feederTubes: record.repair.feederTubes,
      coilVolts: figured.coilVolts,
    },
    consumables:
      opens && test
        ? {
            unit: job.unit,
            dryers,
            oil: figured.oil,
            charge: figured.charge,
            path: figured.path,
            recovery: figured.recovery,
            isEmpty: figured.inside === 'nothing',
            isPart: figured.isPart,
            nitrogen: computed(
              nitrogenFor({
                volume: size.volume.value,
                sweeps: 1 + blows + (contamination.class === 'clean' ? 0 : water.work.sweeps),
                flame,
                test: test.gauge,
                breaks: isTriple ? 2 : 0,
              }),
              size.volume,
              cleanup.basis,
              test.basis,
            ),
            joints: jointsKnown(whole, ids),
          }
        : undefined,
    hold: purchaseStopOf(whole),
    day,
    leaks: record.repair.leaks ?? [],
  })
}

/** Graph, parts, rules and later visits of a plan whose figures are figured. */
function workOf(whole: Whole, dryers: readonly PlannedDryer[]) {
  const { job, holding, figured, opens, day, proofs } = whole
  const test = opens ? testOf(whole) : undefined
  const facts: TaskFacts = {
    unit: job.unit,
    burns: burnsIn(whole),
    isPart: figured.isPart,
    holding,
    flueMoved: whole.record.repair.flueMoved === true,
    day,
    bases: basesOf(whole, test),
    notes: {
      unit: job.unit,
      charge: figured.charge,
      recovery: figured.recovery,
      test,
      proofs,
      approval: whole.approval,
      policy: whole.policy,
      isWet: isJudgedAsWet(whole.cleanup.contamination),
      isPart: figured.isPart,
      access: figured.access.chosen,
      crew: day.crew ?? 1,
      oil: figured.oil,
    },
  }
  const tasks = planTasks(taskIds(whole), facts)
  return {
    tasks,
    testPressure: test,
    parts: partsOf(whole, tasks, test),
    rules: rulesOf({
      tasks,
      holding,
      hasWaterCoil: hasWaterCoil(job.unit),
      isCapillary: job.unit.metering === 'capillary',
      bothSides: tasks.every(({ id, sides }) => !VACUUMS.includes(id) || sides === 2),
      test,
    }),
    returns: opens
      ? returnVisits(dryers, heldWork({ unit: job.unit }), facts, {
          changes: figured.oil.laterChanges,
          basis: figured.oil.changesBasis,
        })
      : [],
  }
}

/**
 * The replacement plan for the named faults: clean-up class with ledgers, dryers, oil, refrigerant, recovery, charge, parts,
 * a graph of tasks with their times, gates and cautions. Of several faults it is the union, each part and task once.
 * `planOf` makes its input of a job.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function planRepair(input: PlanInput): Plan {
  const { job, previousBurnout, observations, faults: wanted, holding: found, readings, proofs } = input
  const { unit, repair, closing } = job
  const named = wanted.filter((fault) => fault !== 'healthy')
  const faults = named.length > 0 ? named : NOTHING_WRONG
  const ofFaults = statesOf(faults)
  const holding = [...new Set([...found, ...ofFaults])]
  const policy = policyOf(job.policy)
  const day = job.day ?? NO_DAY
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
  const { contamination, water, acid, dryers: chosen, need, size } = cleanup
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
  }
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
    drops: readings.drops,
    oil: figured.oil,
    refrigerantPath: figured.path,
    access: figured.access,
    recovery: figured.recovery,
    charge: opens ? figured.charge : undefined,
    policy,
    beforeLeaving: remedy.beforeLeaving,
    proofs: whole.proofs,
    approval,
    day,
    holding,
    ofFaults,
    ...workOf(whole, dryers),
  }
}
