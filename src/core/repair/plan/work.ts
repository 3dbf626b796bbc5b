import { hasLiquidValve, hasWaterCoil, isWalkIn } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import type { AccessChoice } from '../charge/access'
import type { RefrigerantPath } from '../charge/refrigerantPath'
import type { OilBalance } from '../charge/oilFigures'
import type { RestInside } from '../charge/restInside'
import type { Cleanup } from '../cleanup/cleanup'
import { isTripleWork, isWarmWork } from '../cleanup/effort'
import { hasOilPorts } from '../cleanup/oils'
import type { Observations } from '../../record/readings/schema'
import { stageAt } from './tasks/row'
import {
  COMPRESSORS,
  METERING_CHANGES,
  opensCircuit,
  RECOVERIES,
  STARTS,
  type TaskId,
  taskRow,
  usesFlame,
} from './tasks/tasks'

/** What decides the work round a repair. */
export type WorkFacts = {
  readonly unit: UnitPlate
  readonly observations: Observations
  readonly cleanup: Cleanup
  readonly access: AccessChoice
  readonly path: RefrigerantPath
  readonly oil: OilBalance
  readonly policy: Policy
  readonly inside: RestInside
  /** only a part is emptied */
  readonly isPart: boolean
  /** the place of the leak is on record */
  readonly isLeakKnown: boolean
  /** a flammable refrigerant is or may be inside */
  readonly burnsInside: boolean
  /** tasks of the repair itself */
  readonly repairs: readonly TaskId[]
}

const ACCESS_TASKS: Readonly<Record<AccessChoice['chosen'], readonly TaskId[]>> = {
  'recover-all': ['recover'],
  'pump-down': ['pumpDown', 'recoverRest'],
  isolate: ['isolateCompressor', 'recoverRest', 'openValves'],
}
/** A circuit without liquid is emptied of what is left, or proven empty, and the leak found before anything is bought. */
const EMPTIED: Readonly<
  Record<RestInside, (way: AccessChoice['chosen'], find: TaskId) => readonly TaskId[]>
> = {
  nothing: (_way, find) => ['proveEmpty', 'traceNitrogen', find],
  vapour: (_way, find) => ['recoverVapour', 'traceNitrogen', find],
  charge: (way) => ACCESS_TASKS[way],
}

/** Where the leak is known it is confirmed, not searched (handbook 07). */
const findTask = ({ repairs, isLeakKnown }: WorkFacts): TaskId =>
  repairs.includes('leakSearch')
    ? 'leakSearch'
    : isLeakKnown || repairs.some((id) => id === 'confirmLeak' || id === 'changePlug')
      ? 'confirmLeak'
      : 'leakSearch'

/** By the work that is done against water: warmth and hours, three pulls, or one. */
function vacuumTask({ cleanup: { water }, isPart }: WorkFacts): TaskId {
  if (isWarmWork(water.work)) return 'evacuateWet'
  if (isTripleWork(water.work)) return 'evacuateTriple'
  return isPart ? 'evacuatePart' : 'evacuate'
}

/** Whether a moisture indicator is known to sit in the line. */
const hasIndicator = ({ unit, observations }: WorkFacts) =>
  unit.moistureIndicator ?? observations.moistureIndicator !== undefined

/** How oil is changed on a unit: through its ports, or by tipping its compressor. */
export const oilTask = (unit: UnitPlate): TaskId => (hasOilPorts(unit) ? 'changeOil' : 'tipCompressor')

/** What is done with the oil; nothing is drained from a new compressor (handbook 09, 10). */
function oilWork({ unit, cleanup, oil, repairs }: WorkFacts): TaskId[] {
  const { contamination } = cleanup
  const isSwapped = repairs.some((id) => COMPRESSORS.includes(id))
  const isChanged = oil.changes > 0 && !isSwapped
  const comesOut = isSwapped || isChanged || hasOilPorts(unit)
  return [
    ...(isChanged ? [oilTask(unit)] : []),
    ...(oil.goesIn === oil.kind.value ? [] : (['blowOldOil'] as const)),
    ...(contamination.oilTested || contamination.known
      ? []
      : [comesOut ? ('testOil' as const) : ('testDrop' as const)]),
  ]
}

/** Work that a clean-up class adds; water that only the ledger tells adds what its grams ask for. */
function cleanupWork(facts: WorkFacts): TaskId[] {
  const { contamination, dryers, effort } = facts.cleanup
  const { wet, acid, debris, wax } = contamination.contents
  const isDirty = acid !== 'none' || debris || wax || (wet && effort.by === 'caution')
  return [
    ...(isDirty ? (['blowOut'] as const) : []),
    ...(dryers.some(({ place }) => place === 'suction') ? (['fitSuctionDryer'] as const) : []),
    ...oilWork(facts),
    ...(wet && hasIndicator(facts) ? (['fitIndicator'] as const) : []),
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
function meteringWork({ cleanup, unit, policy, repairs }: WorkFacts): TaskId[] {
  const { contents } = cleanup.contamination
  const isDirty = contents.debris || contents.wax || contents.acid === 'strong'
  const [cleaned, changed] = METERING_TASKS[unit.metering]
  if (repairs.some((id) => METERING_CHANGES.includes(id))) return []
  // water at the valves is the heart of that job (handbook 07); a capillary is blown through
  if (cleanup.effort.isFree && unit.metering !== 'capillary' && !isDirty) return ['dryValves']
  if (!isDirty) return []
  const isChanged = policy.valveChange === 'always' && repairs.some((id) => COMPRESSORS.includes(id))
  return [isChanged ? changed : cleaned]
}

/** Another refrigerant: the metering device is checked while it is open, its superheat set when it runs (handbook 10). */
const pathWork = ({ path: { path }, unit }: WorkFacts): TaskId[] =>
  path === 'convert' || path === 'back-to-listed'
    ? [
        'checkMetering',
        ...(unit.metering === 'txv' || unit.metering === 'eev' ? (['setSuperheat'] as const) : []),
        'labelUnit',
      ]
    : []

/** Valves that would shut liquid in are held open; water stands in no coil while refrigerant boils off. */
export function heldWork({ unit }: Pick<WorkFacts, 'unit'>): TaskId[] {
  return [
    ...(hasLiquidValve(unit) || unit.metering === 'eev' ? (['holdOpen', 'releaseValves'] as const) : []),
    ...(hasWaterCoil(unit) ? (['drainWater', 'waterOn'] as const) : []),
  ]
}

/** What makes the setting of a pressure control doubtful: another machine, refrigerant or control (handbook 03, 07, 13). */
const OF_CONTROL: readonly TaskId[] = ['swapControl', 'fitLowPressureSwitch']

/** A walk-in runs by a pressure control: its pair is set anew, unasked, where what it was set for has changed. */
export function pressureControlWork(unit: UnitPlate, ids: readonly TaskId[]): TaskId[] {
  const isChanged = ids.some(
    (id) => COMPRESSORS.includes(id) || OF_CONTROL.includes(id) || id === 'labelUnit',
  )
  return isWalkIn(unit) && isChanged ? ['setPressureControl'] : []
}

/** A new valve is trimmed where the policy says so; a conversion sets its superheat anyway (handbook 11). */
const trimWork = ({ policy, unit, repairs, path: { path } }: WorkFacts): TaskId[] =>
  policy.valveAdjustment === 'trim' &&
  unit.metering === 'txv' &&
  path === 'keep' &&
  repairs.some((id) => METERING_CHANGES.includes(id))
    ? ['setValve']
    : []

/** What opening the circuit brings with it (handbook 01, 07, 08, 09). */
export function openedWork(facts: WorkFacts): TaskId[] {
  const { inside, access, burnsInside, unit } = facts
  return [
    'gainAccess',
    ...EMPTIED[inside](access.chosen, findTask(facts)),
    burnsInside ? 'sweepFlammable' : 'sweep',
    ...heldWork(facts),
    ...cleanupWork(facts),
    ...meteringWork(facts),
    unit.oldDryer?.behind ? 'dryerFirst' : 'swapLiquidDryer',
    'partsIn',
    'pressureTest',
    'bubbleJoints',
    vacuumTask(facts),
    'decayTest',
    facts.isPart && access.chosen === 'pump-down' ? 'letIn' : 'weighIn',
    ...pathWork(facts),
    ...trimWork(facts),
    'refit',
    'settle',
  ]
}

const LOCK = stageAt('lock')
const START = stageAt('start')

/** Dead work from the lock on to the start. */
const isDead = (id: TaskId): boolean => {
  const { stage, cautions } = taskRow(id)
  const at = stageAt(stage)
  return at >= LOCK && at < START && (opensCircuit(id) || usesFlame(id) || cautions.includes('shock'))
}

/**
 * What stands round dead work and flames: lock-out before and after, a start, a fire watch after the last flame; excess is not
 * taken out of a circuit that is emptied; a flue that was moved is checked.
 */
export function framed(ids: readonly TaskId[], flueMoved: boolean): TaskId[] {
  const isEmptied = ids.some((id) => RECOVERIES.includes(id))
  const kept = ids.filter((id) => !(id === 'removeExcess' && isEmptied))
  const isLocked = kept.some(isDead)
  return [
    ...kept,
    ...(isLocked ? (['lockOut', 'unlock', 'settle'] as const) : []),
    ...(isLocked || kept.some((id) => STARTS.includes(id)) ? (['writeUp'] as const) : []),
    ...(kept.some(usesFlame) ? (['fireWatch'] as const) : []),
    ...(flueMoved ? (['checkFlue'] as const) : []),
  ]
}
