import { hasReversingValve } from '../record/equipment/kinds'
import { OrzoError } from '../base/errors/orzoError'
import type { UnitPlate } from '../record/equipment/unit'
import { siteAtmosphere } from '../record/equipment/circumstances'
import { circuitAt, type CircuitState, streamsOf } from './circuitState'
import {
  CHANGES,
  type Faulty,
  NEARLY,
  refrigerantInside,
  type Scale,
  type SimulatedFault,
} from './circuitFaults'
import { attempt } from '../base/errors/orzoError'
import {
  type Conditions,
  fillConditions,
  type FullConditions,
  isPool,
  type RunningMode,
  surroundingsOf,
} from './conditions'
import type { Circuit, Surroundings } from './hardware'
import { type Physics, USUAL_PHYSICS } from './physics'
import { heatingCircuit } from './heating'
import { ratingPoint } from './ratingPoint'
import { type SizedUnit, sizeUnit } from './sizing'
import { type Anchor, solveCircuit } from './solve'

export type FaultNow = { readonly fault: SimulatedFault; readonly severity: number }

export type SteadyQuestion = {
  readonly unit: UnitPlate
  readonly mode: RunningMode
  readonly conditions?: Conditions
  readonly faults?: readonly FaultNow[]
}

/** A unit that runs steadily, with what it was asked and what it was built from. */
export type Steady = {
  readonly question: SteadyQuestion
  readonly sized: SizedUnit
  readonly mode: RunningMode
  readonly conditions: FullConditions
  readonly atmosphere: number
  readonly circuit: Circuit
  readonly around: Surroundings
  readonly state: CircuitState
}

/** A unit ready to be simulated many times: sized once, one anchor a mode. */
export type Simulator = {
  readonly sized: SizedUnit
  readonly anchors: { readonly [K in RunningMode]?: Anchor }
}

/**
 * Builds the simulator of a unit; its refrigerant's table must be loaded, and for a wrong charge the others (CONFUSIONS).
 * @param physics the choices that a plate does not tell
 * @throws OrzoError not-simulated for kinds without a model or plates that cannot be met
 */
export function simulatorOf(unit: UnitPlate, physics: Physics = USUAL_PHYSICS): Simulator {
  const sized = sizeUnit(unit, physics)
  const { around } = ratingPoint(unit, sized.row)
  const rating: Anchor = { circuit: sized.cooling, around, unknowns: sized.rated }
  if (isPool(unit)) return { sized, anchors: { heating: rating } }
  if (!hasReversingValve(unit)) return { sized, anchors: { cooling: rating } }
  return { sized, anchors: { cooling: rating, heating: heatingCircuit(sized, rating) } }
}

function scaleOf({ circuit, around, unknowns }: Anchor): Scale {
  const state = circuitAt(circuit, around, streamsOf(circuit, around), unknowns)
  return {
    highPressure: state.highPressure,
    lowPressure: state.beforeCompressor.pressure,
    suctionDensity: state.afterCoil.density,
    dischargeDensity: state.compressor.dischargeDensity,
    liquidDensity: state.liquid.leaving.density,
    massFlow: unknowns.massFlow,
    gasVolume: circuit.condenser.volume * 0.6 + circuit.receiverVolume * 0.5,
    gasTemperature: unknowns.condensing,
  }
}

function anchorFor(simulator: Simulator, mode: RunningMode): Anchor {
  const anchor = simulator.anchors[mode]
  if (anchor) return anchor
  throw new OrzoError(
    'not-simulated',
    `A unit of kind "${simulator.sized.plate.kind}" does not run in ${mode}.`,
  )
}

const severityOf = (faults: readonly FaultNow[], fault: SimulatedFault): number =>
  faults.find((each) => each.fault === fault)?.severity ?? 0

/**
 * The steady state of a unit in given conditions with given faults.
 * @throws OrzoError not-simulated where there is none (a trip would have come first), out-of-range for impossible air
 */
export function simulateSteady(simulator: Simulator, question: SteadyQuestion): Steady {
  const { sized } = simulator
  const { unit, mode, faults = [] } = question
  const anchor = anchorFor(simulator, mode)
  const conditions = fillConditions(unit, mode, question.conditions ?? {})
  const atmosphere = siteAtmosphere(unit)
  const healthy: Faulty = {
    circuit: anchor.circuit,
    around: surroundingsOf(unit, mode, conditions, atmosphere),
  }
  const scale = scaleOf(anchor)
  const inside = refrigerantInside(unit.refrigerant, severityOf(faults, 'wrong-or-mixed-refrigerant'))
  const solved = (way: number) => {
    const { circuit, around } = faults.reduce((faulty, { fault, severity }) => {
      const change = (way > 0 && NEARLY[fault]?.[way - 1]) || CHANGES[fault]
      return change(faulty, severity, scale)
    }, healthy)
    const filled = { ...circuit, refrigerant: inside }
    const state = solveCircuit(filled, around, inside === unit.refrigerant ? anchor : undefined)
    return { circuit: filled, around, state }
  }
  const found = firstOf(solved, Math.max(0, ...faults.map(({ fault }) => NEARLY[fault]?.length ?? 0)))
  return { question, sized, mode, conditions, atmosphere, ...found }
}

/** The first way that has an answer; the last one's error where none has. */
function firstOf<T>(solved: (way: number) => T, last: number): T {
  for (let way = 0; way < last; way++) {
    const found = attempt(() => solved(way))
    if (found.ok) return found.value
  }
  return solved(last)
}
