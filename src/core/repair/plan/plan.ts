import { isCause, killsCompressor } from '../../diagnosis/proof/causes'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { holdingVetoes } from '../../diagnosis/vetoes/holding'
import { decisionOn, unnamedNotes } from '../../record/edits/decisionEdits'
import type { Job, KnownJob } from '../../record/job/job'
import { type Policy, policyOf } from '../../record/policy/policy'
import type { VetoId } from '../../safety/vetoes'
import { type AccessChoice, accessOf, isOfCompressor } from '../charge/access'
import { type Charge, chargeOf } from '../charge/charge'
import { type CircuitReadings, circuitReadings } from '../charge/circuitReadings'
import { type OilBalance, oilBalance } from '../charge/oilBalance'
import { type Recovery, recoveryOf } from '../charge/recovery'
import {
  chooseRefrigerant,
  type RefrigerantChoice,
  type RefrigerantPath,
  refrigerantPath,
} from '../charge/refrigerantPath'
import type { AcidLedger } from '../cleanup/acid'
import { TAN_CLEAN } from '../cleanup/acidEvidence'
import type { CircuitSize } from '../cleanup/circuitSize'
import { type Cleanup, type CleanupInput, planCleanup } from '../cleanup/cleanup'
import type { Contamination } from '../cleanup/contamination'
import type { DropVerdict } from '../cleanup/dryerDrop'
import { modelOf } from '../cleanup/dryerModel'
import { type CoreChange, coreChanges, placingOf } from '../cleanup/dryerPlacing'
import type { DryerChoice } from '../cleanup/dryers'
import { type CleanupRecord, cleanupRecord } from '../cleanup/record'
import { type Settling, settlingTests } from '../cleanup/settles'
import type { WaterLedger } from '../cleanup/water'
import { type Schedule, scheduleOf } from '../schedule/schedule'
import { CAUSE_TASKS } from './causeTasks'
import { type PlanPart, planParts } from './parts'
import { openedWork, type PlanTask, planTasks } from './planTasks'
import { REMEDIES, type Remedy } from './remedies'
import { type TaskId, taskRow } from './tasks'

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
  readonly contamination: Contamination & {
    readonly water: WaterLedger
    readonly acid: AcidLedger
    /** which test would change it, and what would be planned then */
    readonly settles: readonly Settling[]
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
  readonly schedule: Schedule
}

/** [practice] a pressure at rest below this, Pa above the atmosphere, has fallen to nothing. */
const NOTHING_LEFT = 14_000

/** What removes the causes of death that were chosen for a compressor that is changed. */
const causeWork = (job: Job, fault: SuspectId): TaskId[] =>
  killsCompressor(fault)
    ? ((decisionOn(job, fault) ?? unnamedNotes(job))?.causes ?? [])
        .filter(isCause)
        .flatMap((id) => CAUSE_TASKS[id])
    : []

/** The remedies of several faults as one: everything once, opened if any of them opens. */
function unionOf(faults: readonly SuspectId[]): Remedy {
  const all = faults.map((fault) => REMEDIES[fault])
  const once = <T>(pick: (remedy: Remedy) => readonly T[]) => [...new Set(all.flatMap(pick))]
  return {
    work: once(({ work }) => work),
    parts: once(({ parts }) => parts),
    beforeLeaving: once(({ beforeLeaving }) => beforeLeaving),
    opens: all.some(({ opens }) => opens),
  }
}

const NOTHING_WRONG: readonly SuspectId[] = ['healthy']

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

type Circuit = {
  readonly job: KnownJob
  readonly faults: readonly SuspectId[]
  readonly record: CleanupRecord
  readonly cleanup: Cleanup
  readonly readings: CircuitReadings
  readonly choice: RefrigerantChoice
  readonly holding: readonly VetoId[]
  readonly policy: Policy
}

/** Refrigerant, way of access, recovery, charge and oil of a circuit whose clean-up is planned. */
function chargeWork({ job, faults, record, cleanup, readings, choice, holding, policy }: Circuit) {
  const { contamination, size, dryers, oilChanges } = cleanup
  const { unit, closing } = job
  const repair = record.repair
  const isEmpty = holding.includes('no-liquid')
  const path = refrigerantPath({
    unit,
    contamination,
    acidNegative: record.observations.acidTest === 'negative' || (repair.acidNumber ?? TAN_CLEAN) < TAN_CLEAN,
    isEmpty,
    policy,
    chosen: repair.refrigerantTo,
    choice,
  })
  const isConversion = path.path === 'convert' || path.path === 'back-to-listed'
  // back to what the plate lists is the plate's own charge
  const base = {
    unit,
    size,
    dryers,
    repair,
    closing,
    policy,
    readings,
    isConversion: path.path === 'convert',
  }
  const asPlate = chargeOf({ ...base, refrigerant: unit.refrigerant, isConversion: false, dryers: [] })
  return {
    path,
    access: accessOf(
      {
        unit,
        faults,
        contamination,
        repair,
        lowSideLeaks: holding.includes('low-side-leak'),
        gasInside: holding.includes('gas-inside'),
        isEmpty,
      },
      policy,
    ),
    recovery: recoveryOf({
      unit,
      size,
      contamination,
      repair,
      closing,
      observations: record.observations,
      expected: asPlate.total,
      isEmpty,
    }),
    charge: path.goesIn === undefined ? undefined : chargeOf({ ...base, refrigerant: path.goesIn }),
    oil: oilBalance({
      size,
      repair,
      changes: oilChanges,
      refrigerant: path.goesIn ?? unit.refrigerant,
      isConversion,
      isCompressorChanged: isOfCompressor(faults),
      policy,
    }),
  }
}

/**
 * The replacement plan for the named faults: clean-up class with ledgers, dryers, oil, refrigerant, recovery, charge, parts,
 * ordered tasks with typical times and cautions. Of several faults it is the union, each part and task once.
 * @param wanted the suspects that are being repaired; none is a sound circuit
 * @param holding states of the table of vetoes that hold; read from the job where not given
 * @param readings what the sets say of the coils and the dryers; read from the job where not given
 */
export function planRepair(
  job: KnownJob,
  wanted: readonly SuspectId[],
  holding: readonly VetoId[] = holdingVetoes(job.unit, job.readingSets),
  readings: CircuitReadings = circuitReadings(job.unit, job.readingSets),
): Plan {
  const named = wanted.filter((fault) => fault !== 'healthy')
  const faults = named.length > 0 ? named : NOTHING_WRONG
  const policy = policyOf(job.policy)
  const isEmpty = holding.includes('no-liquid')
  const record = cleanupRecord(job, faults, {
    drewAir: holding.includes('standing-vacuum'),
    isEmpty: isEmpty && (readings.standing ?? Number.POSITIVE_INFINITY) < NOTHING_LEFT,
  })
  // one choice for dryers, charge and path
  const choice = chooseRefrigerant(job.unit, readings, record.repair.refrigerantTo)
  const refrigerant = choice.to ?? job.unit.refrigerant
  const own = job.dryers.map(modelOf)
  const remedy = unionOf(faults)
  const { cleanup, opens } = openedFor({ record, policy, refrigerant, own }, remedy.opens, named.length > 0)
  const { path, access, recovery, charge, oil } = chargeWork({
    job,
    faults,
    record,
    cleanup,
    readings,
    choice,
    holding,
    policy,
  })
  const { contamination, water, acid, dryers, need, size } = cleanup
  const ids: TaskId[] = [
    'setUp',
    'confirm',
    ...remedy.work,
    ...faults.flatMap((fault) => causeWork(job, fault)),
    ...(opens ? openedWork(cleanup, access, path, job.unit, policy, isEmpty, remedy.work) : []),
    'closeUp',
  ]
  const tasks = planTasks(ids, job.unit, path, holding)
  return {
    faults,
    opens,
    contamination: {
      ...contamination,
      water,
      acid,
      settles: settlingTests(record, size),
      closes: cleanup.closes,
      closesHigh: cleanup.closesHigh,
      missing: cleanup.missing,
      room: cleanup.room,
    },
    size,
    dryers: dryers.map((choice) => ({
      ...choice,
      placing: placingOf(need, choice),
      changes: coreChanges(need, choice),
    })),
    drops: readings.drops,
    oil,
    refrigerantPath: path,
    access,
    recovery,
    charge: opens ? charge : undefined,
    policy,
    parts: planParts({
      unit: job.unit,
      remedyParts: remedy.parts,
      opens,
      dryers,
      oil,
      charge,
      path,
      contamination,
    }),
    beforeLeaving: remedy.beforeLeaving,
    tasks,
    schedule: scheduleOf(tasks.map(({ id }) => taskRow(id))),
  }
}
