import { hasLiquidValve, hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import type { AccessChoice } from '../charge/access'
import type { RefrigerantPath } from '../charge/refrigerantPath'
import type { Cleanup } from '../cleanup/cleanup'
import { stageAt } from './tasks/row'
import { METERING_CHANGES, opensCircuit, RECOVERIES, type TaskId, taskRow, usesFlame } from './tasks/tasks'

/** What decides the work round a repair. */
export type WorkFacts = {
  readonly unit: UnitPlate
  readonly cleanup: Cleanup
  readonly access: AccessChoice
  readonly path: RefrigerantPath
  readonly policy: Policy
  /** nothing is left in it */
  readonly isEmpty: boolean
  /** only a part is emptied */
  readonly isPart: boolean
  /** a flammable refrigerant is or may be inside */
  readonly burnsInside: boolean
  /** tasks of the repair itself */
  readonly repairs: readonly TaskId[]
}

/** On an empty circuit there is nothing to recover: it is proven, and the leak found before anything is bought. */
const TO_EMPTY: readonly TaskId[] = ['proveEmpty', 'traceNitrogen', 'leakSearch']
const ACCESS_TASKS: Readonly<Record<AccessChoice['chosen'], readonly TaskId[]>> = {
  'recover-all': ['recover'],
  'pump-down': ['pumpDown', 'recoverRest'],
  isolate: ['isolateCompressor', 'recoverRest', 'openValves'],
}

function vacuumTask({ cleanup, policy, ...facts }: WorkFacts): TaskId {
  if (cleanup.contamination.triple || policy.evacuation === 'always-triple') return 'evacuateWet'
  return facts.isPart ? 'evacuatePart' : 'evacuate'
}

/** Work that a clean-up class adds. */
function cleanupWork({ cleanup }: WorkFacts): TaskId[] {
  const { contamination, dryers, oilChanges } = cleanup
  return [
    ...(contamination.class === 'clean' ? [] : (['blowOut'] as const)),
    ...(dryers.some(({ place }) => place === 'suction') ? (['fitSuctionDryer'] as const) : []),
    ...(oilChanges > 0 ? (['changeOil'] as const) : []),
    ...(contamination.oilTested || contamination.known ? [] : (['testOil'] as const)),
    ...(contamination.contents.wet ? (['fitIndicator'] as const) : []),
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
  if (!isDirty || repairs.some((id) => METERING_CHANGES.includes(id))) return []
  const isChanged = policy.valveChange === 'always' && repairs.includes('swapCompressor')
  return [isChanged ? changed : cleaned]
}

const pathWork = ({ path: { path } }: WorkFacts): TaskId[] =>
  path === 'convert' || path === 'back-to-listed' ? ['checkMetering', 'labelUnit'] : []

/** Valves that would shut liquid in are held open; water stands in no coil while refrigerant boils off. */
export function heldWork({ unit }: Pick<WorkFacts, 'unit'>): TaskId[] {
  return [
    ...(hasLiquidValve(unit) || unit.metering === 'eev' ? (['holdOpen', 'releaseValves'] as const) : []),
    ...(hasWaterCoil(unit) ? (['drainWater', 'waterOn'] as const) : []),
  ]
}

/** What opening the circuit brings with it (handbook 01, 07, 08, 09). */
export function openedWork(facts: WorkFacts): TaskId[] {
  const { isEmpty, access, burnsInside } = facts
  return [
    'gainAccess',
    ...(isEmpty ? TO_EMPTY : ACCESS_TASKS[access.chosen]),
    burnsInside ? 'sweepFlammable' : 'sweep',
    ...heldWork(facts),
    ...cleanupWork(facts),
    ...meteringWork(facts),
    'swapLiquidDryer',
    'partsIn',
    'pressureTest',
    'bubbleJoints',
    vacuumTask(facts),
    'decayTest',
    facts.isPart && access.chosen === 'pump-down' ? 'letIn' : 'weighIn',
    ...pathWork(facts),
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
    ...(kept.some(usesFlame) ? (['fireWatch'] as const) : []),
    ...(flueMoved ? (['checkFlue'] as const) : []),
  ]
}
