import { hasReversingValve, hasWaterCoil, isThreePhase } from '../../record/equipment/kinds'
import { type AcidLedger, acidLedger } from '../cleanup/acid'
import { type CircuitSize, circuitSize } from '../cleanup/circuitSize'
import { CLASS_LABELS, classesOf, classify, type Contamination, isWet } from '../cleanup/contamination'
import { chooseDryers, type DryerChoice } from '../cleanup/dryers'
import { cleanupRecord } from '../cleanup/record'
import { type WaterLedger, waterLedger } from '../cleanup/water'
import { isCause, killsCompressor } from '../../diagnosis/proof/causes'
import { CAUSE_TASKS } from './causeTasks'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { decisionOn, unnamedNotes } from '../../record/edits/decisionEdits'
import type { Job, KnownJob } from '../../record/job/job'
import { type Policy, policyOf } from '../../record/policy/policy'
import { partKey } from '../../record/records/tick'
import type { UnitPlate } from '../../record/equipment/unit'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import { CAUTIONS, type CautionId } from '../../safety/cautions'
import { type RefrigerantPath, refrigerantPath } from '../charge/refrigerantPath'
import { holdingVetoes } from '../../diagnosis/vetoes/holding'
import type { VetoId } from '../../safety/vetoes'
import { obeying } from './obey'
import { REMEDIES, type Remedy, RUN_CAPACITOR } from './remedies'
import { type Schedule, scheduleOf } from '../schedule/schedule'
import { type TaskId, type TaskRow, taskRow } from './tasks'

export type PlanTask = Pick<TaskRow, 'label' | 'handsOn'> & {
  readonly id: TaskId
  readonly unattended?: TaskRow['unattended']
  readonly opens: boolean
  readonly cautions: readonly string[]
  /** why it must not be done in this state, and what lifts that */
  readonly refused?: string
}
type PlanPart = {
  /** what it is ticked by: stable while the part is the same */
  readonly id: string
  readonly label: string
  readonly why: string
}

export type Plan = {
  /** what is repaired; one or several decided faults */
  readonly faults: readonly SuspectId[]
  readonly contamination: Contamination & { readonly water: WaterLedger; readonly acid: AcidLedger }
  readonly size: CircuitSize
  readonly dryers: readonly DryerChoice[]
  readonly oil: {
    readonly kind: string
    readonly volume: number
    readonly changes: number
    readonly reasons: readonly string[]
  }
  readonly refrigerantPath: RefrigerantPath
  readonly parts: readonly PlanPart[]
  readonly beforeLeaving: readonly string[]
  readonly tasks: readonly PlanTask[]
  readonly schedule: Schedule
}

/** On an empty circuit there is nothing to recover: it is proven, and the leak found before anything is bought. */
const TO_EMPTY: readonly TaskId[] = ['proveEmpty', 'traceNitrogen', 'leakSearch']
const OPENED: readonly TaskId[] = ['swapLiquidDryer', 'pressureTest', 'decayTest', 'weighIn', 'settle']

/** Work that a clean-up class adds. */
function cleanupWork(
  contamination: Contamination,
  suctionDryer: boolean,
  oilChanges: number,
  policy: Policy,
): TaskId[] {
  const dirty = classesOf(contamination).some((name) => name !== 'clean')
  return [
    ...(dirty ? (['blowOut'] as const) : []),
    ...(suctionDryer ? (['fitSuctionDryer'] as const) : []),
    ...(oilChanges > 0 ? (['changeOil'] as const) : []),
    isWet(contamination) || policy.evacuation === 'always-triple' ? 'evacuateWet' : 'evacuate',
  ]
}

function cautionsOf(row: TaskRow, unit: UnitPlate): string[] {
  const touchesRefrigerant =
    row.opens || row.cautions.some((id) => id === 'recovery' || id === 'charging' || id === 'brazing')
  const ids: CautionId[] = [
    ...(isFlammable(unit.refrigerant) && touchesRefrigerant ? (['flammable'] as const) : []),
    ...(hasWaterCoil(unit) && row.cautions.some((id) => id === 'recovery' || id === 'charging')
      ? (['waterCoil'] as const)
      : []),
    ...row.cautions,
  ]
  return [...new Set(ids)].map((id) => CAUTIONS[id])
}

function planTasks(ids: readonly TaskId[], unit: UnitPlate, holding: readonly VetoId[]): PlanTask[] {
  return obeying(ids, holding)
    .map(({ id, refused }) => ({ id, refused, row: taskRow(id) }))
    .map(({ id, refused, row }) => ({
      id,
      label: row.label,
      ...(refused ? { refused } : {}),
      handsOn: row.handsOn,
      ...(row.unattended ? { unattended: row.unattended } : {}),
      opens: row.opens === true,
      cautions: cautionsOf(row, unit),
    }))
}

type Consumable = { readonly name: string; readonly label: string; readonly why: string }

const dryerPart = ({ place, chosen }: DryerChoice): Consumable[] =>
  chosen
    ? [
        {
          name: `${place}-dryer`,
          label: `${place} dryer, block ${chosen.block}, ${chosen.core} core, ${chosen.flow}`,
          why: `the circuit is opened; line ${chosen.line}`,
        },
      ]
    : []

function consumablesOf(unit: UnitPlate, oilChanges: number): Consumable[] {
  return [
    {
      name: 'nitrogen',
      label: 'dry nitrogen and regulator with relief',
      why: 'sweep, brazing, pressure test',
    },
    { name: 'cores-caps-seals', label: 'valve cores, caps and seals', why: 'cheap, and they leak' },
    { name: 'refrigerant', label: `${unit.refrigerant}, the charge and a little more`, why: 'weigh-in' },
    ...(oilChanges > 0
      ? [
          {
            name: 'oil',
            label: 'oil, one fresh can a change',
            why: `${oilChanges} oil change${oilChanges > 1 ? 's' : ''}`,
          },
        ]
      : []),
    ...(hasReversingValve(unit)
      ? [
          {
            name: 'heat-blocking',
            label: 'heat-blocking paste and rags',
            why: 'the reversing valve body stays under 250 F',
          },
        ]
      : []),
  ]
}

/** Parts by what they are, each once: a part keeps its key whatever else comes into the list. */
function planParts(
  remedyParts: readonly string[],
  opens: boolean,
  dryers: readonly DryerChoice[],
  unit: UnitPlate,
  oilChanges: number,
): PlanPart[] {
  const fitting = remedyParts.filter((label) => label !== RUN_CAPACITOR || !isThreePhase(unit))
  const remedy = fitting.map((label): Consumable => ({ name: label, label, why: 'the repair' }))
  const all = [
    ...remedy,
    ...(opens ? [...dryers.flatMap(dryerPart), ...consumablesOf(unit, oilChanges)] : []),
  ]
  const parts = all.map(({ name, label, why }): PlanPart => ({ id: partKey(name), label, why }))
  return parts.filter(({ label }, i) => parts.findIndex((each) => each.label === label) === i)
}

/** Oil changes: for acid by the ledger, for a wet circuit at least one. */
const changesFor = (contamination: Contamination, acid: AcidLedger) =>
  Math.max(acid.changes, isWet(contamination) ? 1 : 0)

function oilPlan(size: CircuitSize, contamination: Contamination, changes: number): Plan['oil'] {
  return {
    kind: size.oil,
    volume: size.oilVolume,
    changes,
    reasons: [
      'replace what came out, volume for volume, plus what left with the old parts',
      ...(changes > 0
        ? [`${changes} change${changes > 1 ? 's' : ''} for the class "${CLASS_LABELS[contamination.class]}"`]
        : []),
      ...(size.oil === 'POE' || size.oil === 'PVE'
        ? ['takes up water from air: open a can once, use it']
        : []),
      ...size.assumed.map((text) => `assumed: ${text}`),
    ],
  }
}

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

/**
 * The replacement plan for the named faults: clean-up class with ledgers, dryers, oil, refrigerant, parts, ordered
 * tasks with typical times and cautions. Of several faults it is the union, each part and task once.
 * @param wanted the suspects that are being repaired; none is a sound circuit
 * @param holding states of the table of vetoes that hold; read from the job where not given
 */
export function planRepair(
  job: KnownJob,
  wanted: readonly SuspectId[],
  holding: readonly VetoId[] = holdingVetoes(job.unit, job.readingSets),
): Plan {
  const named = wanted.filter((fault) => fault !== 'healthy')
  const faults = named.length > 0 ? named : NOTHING_WRONG
  const policy = policyOf(job.policy)
  const isEmpty = holding.includes('no-liquid')
  const record = cleanupRecord(job, faults, holding.includes('standing-vacuum'))
  const contamination = classify(record)
  const size = circuitSize(job.unit)
  const acid = acidLedger(contamination)
  const changes = changesFor(contamination, acid)
  const water = waterLedger(record, contamination, size, changes)
  const remedy = unionOf(faults)
  const dirty = classesOf(contamination).some((name) => name !== 'clean')
  const opens = remedy.opens || (dirty && named.length > 0)
  const { previousBurnout } = record
  const need = { unit: job.unit, size, contamination, water: water.remainder, policy, previousBurnout }
  const dryers = opens ? chooseDryers(need) : []
  const suction = dryers.some(({ place }) => place === 'suction')
  const ids: TaskId[] = [
    'setUp',
    'confirm',
    ...remedy.work,
    ...faults.flatMap((fault) => causeWork(job, fault)),
    ...(opens
      ? ([
          'gainAccess',
          ...(isEmpty ? TO_EMPTY : ['recover' as const]),
          ...OPENED,
          ...cleanupWork(contamination, suction, changes, policy),
        ] as const)
      : []),
    'closeUp',
  ]
  const tasks = planTasks(ids, job.unit, holding)
  const acidNegative = record.observations.acidTest === 'negative'
  return {
    faults,
    contamination: { ...contamination, water, acid },
    size,
    dryers,
    oil: oilPlan(size, contamination, opens ? changes : 0),
    refrigerantPath: refrigerantPath(job.unit, contamination, acidNegative, policy),
    parts: planParts(remedy.parts, opens, dryers, job.unit, opens ? changes : 0),
    beforeLeaving: remedy.beforeLeaving,
    tasks,
    schedule: scheduleOf(tasks.map(({ id }) => taskRow(id))),
  }
}
