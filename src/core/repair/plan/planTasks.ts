import { isFlammable } from '../../physics/refrigerants/catalogue'
import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import { CAUTIONS, type CautionId, HAZARDS } from '../../safety/cautions'
import type { VetoId } from '../../safety/vetoes'
import type { AccessChoice } from '../charge/access'
import type { RefrigerantPath } from '../charge/refrigerantPath'
import type { Cleanup } from '../cleanup/cleanup'
import { obeying } from './obey'
import { type TaskId, type TaskRow, taskRow } from './tasks'

export type PlanTask = Pick<TaskRow, 'label' | 'handsOn'> & {
  readonly id: TaskId
  readonly unattended?: TaskRow['unattended']
  readonly opens: boolean
  readonly cautions: readonly string[]
  /** what can hurt here, in a word each */
  readonly hazards: readonly string[]
  /** why it must not be done in this state, and what lifts that */
  readonly refused?: string
}

/** On an empty circuit there is nothing to recover: it is proven, and the leak found before anything is bought. */
const TO_EMPTY: readonly TaskId[] = ['proveEmpty', 'traceNitrogen', 'leakSearch']
const OPENED: readonly TaskId[] = ['swapLiquidDryer', 'pressureTest', 'decayTest', 'weighIn', 'settle']

const ACCESS_TASKS: Readonly<Record<AccessChoice['chosen'], readonly TaskId[]>> = {
  'recover-all': ['recover'],
  'pump-down': ['pumpDown', 'recover'],
  isolate: ['isolateCompressor', 'recover', 'openValves'],
}

/** Work that a clean-up class adds. */
function cleanupWork({ contamination, dryers, oilChanges }: Cleanup, policy: Policy): TaskId[] {
  const isDirty = contamination.class !== 'clean'
  const isTriple = contamination.triple || policy.evacuation === 'always-triple'
  return [
    ...(isDirty ? (['blowOut'] as const) : []),
    ...(dryers.some(({ place }) => place === 'suction') ? (['fitSuctionDryer'] as const) : []),
    ...(oilChanges > 0 ? (['changeOil'] as const) : []),
    ...(contamination.oilTested || contamination.known ? [] : (['testOil'] as const)),
    ...(contamination.contents.wet ? (['fitIndicator'] as const) : []),
    isTriple ? 'evacuateWet' : 'evacuate',
  ]
}

/** What cleans a metering device of each kind, and what changes it. */
const METERING_TASKS: Readonly<Record<UnitPlate['metering'], readonly [cleaned: TaskId, changed: TaskId]>> = {
  txv: ['cleanScreen', 'swapValve'],
  eev: ['cleanScreen', 'swapValve'],
  'fixed-orifice': ['swapOrifice', 'swapOrifice'],
  capillary: ['swapCapillary', 'swapCapillary'],
}

/**
 * What debris, wax or a burnout asks of the metering device: debris or wax never comes out of a capillary again; a valve is cleaned, or
 * changed with the compressor where the policy says so (handbook 06, 11).
 */
function meteringWork(
  { contamination: { contents } }: Cleanup,
  { metering }: UnitPlate,
  policy: Policy,
  repairs: readonly TaskId[],
): TaskId[] {
  const isDirty = contents.debris || contents.wax || contents.acid === 'strong'
  const [cleaned, changed] = METERING_TASKS[metering]
  if (!isDirty || repairs.includes(changed)) return []
  const isChanged = policy.valveChange === 'always' && repairs.includes('swapCompressor')
  return [isChanged ? changed : cleaned]
}

const pathWork = ({ path }: RefrigerantPath): TaskId[] =>
  path === 'convert' || path === 'back-to-listed' ? ['checkMetering', 'labelUnit'] : []

/** What opening the circuit brings with it. */
export function openedWork(
  cleanup: Cleanup,
  access: AccessChoice,
  path: RefrigerantPath,
  unit: UnitPlate,
  policy: Policy,
  isEmpty: boolean,
  repairs: readonly TaskId[],
): TaskId[] {
  return [
    'gainAccess',
    ...(isEmpty ? TO_EMPTY : ACCESS_TASKS[access.chosen]),
    ...OPENED,
    ...cleanupWork(cleanup, policy),
    ...meteringWork(cleanup, unit, policy, repairs),
    ...pathWork(path),
  ]
}

function cautionIds(row: TaskRow, unit: UnitPlate, burns: boolean): CautionId[] {
  const ids: CautionId[] = [
    ...(burns ? (['flammable'] as const) : []),
    ...(hasWaterCoil(unit) && row.cautions.some((id) => id === 'recovery' || id === 'charging')
      ? (['waterCoil'] as const)
      : []),
    ...row.cautions,
  ]
  return [...new Set(ids)]
}

/** The tasks in order, with what can hurt at each; a flammable refrigerant, in it or going in, is cautioned at every one. */
export function planTasks(
  ids: readonly TaskId[],
  unit: UnitPlate,
  path: RefrigerantPath,
  holding: readonly VetoId[],
): PlanTask[] {
  const burns = [unit.refrigerant, path.goesIn].some((name) => name !== undefined && isFlammable(name))
  return obeying(ids, holding)
    .map(({ id, refused }) => ({ id, refused, row: taskRow(id) }))
    .map(({ id, refused, row }) => ({ id, refused, row, hurts: cautionIds(row, unit, burns) }))
    .map(({ id, refused, row, hurts }) => ({
      id,
      label: row.label,
      ...(refused ? { refused } : {}),
      handsOn: row.handsOn,
      ...(row.unattended ? { unattended: row.unattended } : {}),
      opens: row.opens === true,
      cautions: hurts.map((each) => CAUTIONS[each]),
      hazards: hurts.map((each) => HAZARDS[each]),
    }))
}
