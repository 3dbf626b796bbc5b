import { isThreePhase } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { placesOf } from '../../record/readings/places'
import type { ReadingSet } from '../../record/readings/schema'
import { stood } from '../../record/readings/atRest'
import type { Snapshot } from '../../record/readings/snapshot'
import type { VetoId } from '../../safety/vetoes'
import { electricalFindings } from '../electrical/electricalTests'
import { standingPressures } from '../../record/readings/standingPressures'
import { type StandingCircuit, standingCircuit } from '../standing/standingCircuit'

/** What one set says of a state: it holds, it is lifted, or nothing. */
export type VetoWord = 'holds' | 'lifted' | undefined

/** One set as the states are read from it. */
export type Scene = {
  readonly unit: UnitPlate
  readonly set: ReadingSet
  readonly at: Snapshot
  readonly tests: ReturnType<typeof electricalFindings>
  readonly standing: StandingCircuit | undefined
  /** standing pressures over the air around them, Pa */
  readonly gauge: readonly number[]
  /** the scenes before it, in order */
  readonly earlier: readonly Scene[]
}

export function sceneOf(
  unit: UnitPlate,
  set: ReadingSet,
  at: Snapshot,
  earlier: readonly Scene[] = [],
): Scene {
  return {
    earlier,
    unit,
    set,
    at,
    tests: electricalFindings(unit, at),
    standing: standingCircuit(unit, at),
    gauge: standingPressures(at).map(({ pressure }) => pressure.value - at.atmosphere),
  }
}

type Reads = (scene: Scene) => VetoWord

/** A compressor that ran in a later set shows that what refused its start is no more. */
const ranInstead = ({ at }: Scene): VetoWord =>
  !stood(at) && (at.observations.compressorState === 'running' || at.values.compressorAmps !== undefined)
    ? 'lifted'
    : undefined

const trips = ({ at: { observations } }: Scene) =>
  observations.compressorState === 'trips-breaker' || observations.breaker === 'trips'

/** The last that this set or one before it says. */
const latest = <T>(scene: Scene, read: (each: Scene) => T | undefined): T | undefined =>
  [...scene.earlier, scene].map(read).findLast((each) => each !== undefined)

/** Whether what was replaced is that in which the path was shown to be. */
function isRepaired(scene: Scene): boolean {
  const { groundMended = 'nothing' } = scene.at.observations
  if (groundMended === 'nothing') return false
  if (groundMended === 'compressor') return true
  const terminals = latest(scene, ({ tests }) => tests.groundAtTerminals?.word)
  if (groundMended === 'lead') return terminals === 'none'
  return terminals !== 'grounded' && latest(scene, ({ at }) => at.observations.groundPath) === groundMended
}

/** A path is out of the world when what was found grounded is replaced, or when ohms show none while nothing trips. */
const groundPath: Reads = (scene) => {
  const { tests } = scene
  if (isRepaired(scene)) return 'lifted'
  if (tests.ground?.word === 'at-contactor' || tests.groundAtTerminals?.word === 'grounded') return 'holds'
  // Sound terminals leave the lead: only the reading with the leads on clears the whole path.
  const isClear = tests.ground?.word === 'none' && (!trips(scene) || tests.windings?.word === 'good')
  if (isClear) return 'lifted'
  const isSuspected = trips(scene) || scene.at.observations.leadState === 'rubbed-through'
  return isSuspected ? 'holds' : ranInstead(scene)
}

const terminalsBurnt: Reads = ({ at: { observations } }) => {
  if (observations.groundMended === 'compressor') return 'lifted'
  const { terminalLook } = observations
  return terminalLook && (terminalLook === 'burnt' ? 'holds' : 'lifted')
}

const isBelow = ({ gauge }: Scene) => gauge.some((each) => each < 0)
const isAbove = ({ gauge }: Scene) => gauge.length > 0 && gauge.every((each) => each >= 0)
/** A cold circuit of a low-pressure refrigerant stands below the air around it with all its liquid [physics]. */
const isLiquidBelow = ({ standing }: Scene) =>
  standing !== undefined && standing.sections.every(({ state }) => state === 'liquid')

const workOf = ({ at }: Scene) => at.observations.circuitWork
const charged = (scene: Scene): boolean => workOf(scene) === 'charged'

/** After evacuation the vacuum is meant. */
const standingVacuum: Reads = (scene) => {
  if (charged(scene) || workOf(scene) === 'evacuated') return 'lifted'
  if (isBelow(scene)) return isLiquidBelow(scene) ? 'lifted' : 'holds'
  return isAbove(scene) && !scene.standing?.isLost ? 'lifted' : ranInstead(scene)
}

const noLiquid: Reads = (scene) => {
  if (charged(scene)) return 'lifted'
  const { standing } = scene
  if (standing?.state !== undefined) return standing.isLost ? 'holds' : 'lifted'
  return ranInstead(scene)
}

/** Oil at these places is a leak of the low side [practice]. */
const LOW_SIDE_OIL: readonly string[] = ['evaporator-coil', 'distributor']
const lowSideLeak: Reads = (scene) => {
  const { lowSide } = scene.at.observations
  if (charged(scene)) return 'lifted'
  if (lowSide) return lowSide === 'closed' ? 'lifted' : 'holds'
  return placesOf(scene.set, 'oilStain').some((place) => LOW_SIDE_OIL.includes(place)) ? 'holds' : undefined
}

const rotation: Reads = ({ unit, at }) => {
  if (!isThreePhase(unit) || unit.compressor?.type !== 'scroll') return undefined
  return at.observations.phaseSequence === undefined ? 'holds' : 'lifted'
}

/** How a state that is judged is read from a set; one row a state. The others follow from how the unit stands. */
export const READS = {
  'ground-path': groundPath,
  'terminals-burnt': terminalsBurnt,
  'standing-vacuum': standingVacuum,
  'no-liquid': noLiquid,
  'low-side-leak': lowSideLeak,
  'rotation-unknown': rotation,
} as const satisfies { readonly [V in VetoId]?: Reads }
export type JudgedVeto = keyof typeof READS

/** States that a later set without the word does not bring back: what was read once stays read. */
export const STAYS_LIFTED: readonly JudgedVeto[] = ['rotation-unknown']
