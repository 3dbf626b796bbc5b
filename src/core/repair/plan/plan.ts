import { hasReversingValve, hasWaterCoil } from '../../record/equipment/kinds'
import { type AcidLedger, acidLedger } from '../cleanup/acid'
import { type CircuitSize, circuitSize } from '../cleanup/circuitSize'
import { CLASS_LABELS, classesOf, classify, type Contamination, isWet } from '../cleanup/contamination'
import { chooseDryers, type DryerChoice } from '../cleanup/dryers'
import { cleanupRecord } from '../cleanup/record'
import { type WaterLedger, waterLedger } from '../cleanup/water'
import { isCause, killsCompressor } from '../../diagnosis/proof/causes'
import { CAUSE_TASKS } from './causeTasks'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import { CAUTIONS, type CautionId } from '../../safety/cautions'
import { type RefrigerantPath, refrigerantPath } from '../charge/refrigerantPath'
import { REMEDIES } from './remedies'
import { type Schedule, scheduleOf } from '../schedule/schedule'
import { type TaskId, type TaskRow, taskRow } from './tasks'

export type PlanTask = Pick<TaskRow, 'label' | 'handsOn'> & {
  readonly id: TaskId
  readonly unattended?: TaskRow['unattended']
  readonly opens: boolean
  readonly cautions: readonly string[]
}
export type PlanPart = { readonly id: string; readonly label: string; readonly why: string }

export type Plan = {
  readonly fault: SuspectId
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

const OPENED: readonly TaskId[] = [
  'recover',
  'swapLiquidDryer',
  'pressureTest',
  'decayTest',
  'weighIn',
  'settle',
]

/** Work that a clean-up class adds. */
function cleanupWork(contamination: Contamination, suctionDryer: boolean, oilChanges: number): TaskId[] {
  const dirty = classesOf(contamination).some((name) => name !== 'clean')
  return [
    ...(dirty ? (['blowOut'] as const) : []),
    ...(suctionDryer ? (['fitSuctionDryer'] as const) : []),
    ...(oilChanges > 0 ? (['changeOil'] as const) : []),
    isWet(contamination) ? 'evacuateWet' : 'evacuate',
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

function planTasks(ids: readonly TaskId[], unit: UnitPlate): PlanTask[] {
  return [...new Set(ids)]
    .map((id) => ({ id, row: taskRow(id) }))
    .sort((a, b) => a.row.order - b.row.order)
    .map(({ id, row }) => ({
      id,
      label: row.label,
      handsOn: row.handsOn,
      ...(row.unattended ? { unattended: row.unattended } : {}),
      opens: row.opens === true,
      cautions: cautionsOf(row, unit),
    }))
}

function planParts(
  remedyParts: readonly string[],
  opens: boolean,
  dryers: readonly DryerChoice[],
  unit: UnitPlate,
  oilChanges: number,
): PlanPart[] {
  const dryerParts = dryers.flatMap(({ place, chosen }) =>
    chosen
      ? [
          {
            label: `${place} dryer, block ${chosen.block}, ${chosen.core} core, ${chosen.flow}`,
            why: `the circuit is opened; line ${chosen.line}`,
          },
        ]
      : [],
  )
  const consumables = [
    { label: 'dry nitrogen and regulator with relief', why: 'sweep, brazing, pressure test' },
    { label: 'valve cores, caps and seals', why: 'cheap, and they leak' },
    { label: `${unit.refrigerant}, the charge and a little more`, why: 'weigh-in' },
    ...(oilChanges > 0
      ? [
          {
            label: 'oil, one fresh can a change',
            why: `${oilChanges} oil change${oilChanges > 1 ? 's' : ''}`,
          },
        ]
      : []),
    ...(hasReversingValve(unit)
      ? [{ label: 'heat-blocking paste and rags', why: 'the reversing valve body stays under 250 F' }]
      : []),
  ]
  const remedy = remedyParts.map((label) => ({ label, why: 'the repair' }))
  return [...remedy, ...(opens ? [...dryerParts, ...consumables] : [])].map((part, i) => ({
    id: `part-${i + 1}`,
    ...part,
  }))
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

/** What removes the causes of death that were chosen; only where the compressor is changed. */
const causeWork = ({ decision }: Job, fault: SuspectId): TaskId[] =>
  killsCompressor(fault) ? (decision?.causes ?? []).filter(isCause).flatMap((id) => CAUSE_TASKS[id]) : []

/**
 * The replacement plan for a named fault: clean-up class with ledgers, dryers, oil, refrigerant, parts, ordered
 * tasks with typical times and cautions.
 * @param fault the suspect that is being repaired
 */
export function planRepair(job: Job, fault: SuspectId): Plan {
  const record = cleanupRecord(job, fault)
  const contamination = classify(record)
  const size = circuitSize(job.unit)
  const acid = acidLedger(contamination)
  const changes = changesFor(contamination, acid)
  const water = waterLedger(record, contamination, size, changes)
  const remedy = REMEDIES[fault]
  const dirty = classesOf(contamination).some((name) => name !== 'clean')
  const opens = remedy.opens || (dirty && fault !== 'healthy')
  const dryers = opens ? chooseDryers({ unit: job.unit, size, contamination, water: water.remainder }) : []
  const suction = dryers.some(({ place }) => place === 'suction')
  const ids: TaskId[] = [
    'setUp',
    'confirm',
    ...remedy.work,
    ...causeWork(job, fault),
    ...(opens ? (['gainAccess', ...OPENED, ...cleanupWork(contamination, suction, changes)] as const) : []),
    'closeUp',
  ]
  const tasks = planTasks(ids, job.unit)
  return {
    fault,
    contamination: { ...contamination, water, acid },
    size,
    dryers,
    oil: oilPlan(size, contamination, opens ? changes : 0),
    refrigerantPath: refrigerantPath(job.unit, contamination, record.observations.acidTest === 'negative'),
    parts: planParts(remedy.parts, opens, dryers, job.unit, opens ? changes : 0),
    beforeLeaving: remedy.beforeLeaving,
    tasks,
    schedule: scheduleOf(tasks.map(({ id }) => taskRow(id))),
  }
}
