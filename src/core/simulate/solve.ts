import { attempt, OrzoError } from '../base/errors/orzoError'
import { temperatureRange } from '../physics/refrigerants/saturation'
import { type CircuitState, circuitAt, insideTable, streamsOf, type Unknowns } from './circuitState'
import type { Circuit, Surroundings } from './hardware'
import { cornersAtDew } from './saturations'

/** What must vanish, each scaled to about one: compressor flow, device flow, evaporator heat, discharge, charge. */
export type Closure = (circuit: Circuit, state: CircuitState) => readonly number[]

const ENTHALPY_SCALE = 20_000

/** A running unit: the compressor moves what the device lets through, the coil heats it, the charge is what it is. */
export const RUNNING: Closure = (circuit, state) => {
  const { massFlow, enthalpy } = state.unknowns
  return [
    (state.compressor.massFlow - massFlow - state.valveLeak) / circuit.nominalFlow,
    (state.flowThroughDevice - massFlow) / circuit.nominalFlow,
    (state.evaporator.enthalpyOut - enthalpy) / ENTHALPY_SCALE,
    (state.compressor.dischargeEnthalpy - state.unknowns.discharge) / ENTHALPY_SCALE,
    (state.mass - circuit.charge) / circuit.charge,
  ]
}

type Vector = [number, number, number, number, number]
const SIZE = 5
/** What one unit of each scaled unknown is: K, K, share of nominal flow, J/kg. */
const scaleOf = (circuit: Circuit): Vector => [10, 10, circuit.nominalFlow, ENTHALPY_SCALE, ENTHALPY_SCALE]
/** Longest step of each scaled unknown. */
const LONGEST: Vector = [0.8, 0.8, 0.3, 1, 2]
const DIFFERENCE = 1e-5
const CONVERGED = 1e-9
const GOOD_ENOUGH = 1e-6
const MOST_ITERATIONS = 60
const SHORTEST_STEP = 1 / 64

const toVector = (unknowns: Unknowns, scale: Vector): Vector => [
  unknowns.evaporating / scale[0],
  unknowns.condensing / scale[1],
  unknowns.massFlow / scale[2],
  unknowns.enthalpy / scale[3],
  unknowns.discharge / scale[4],
]
const toUnknowns = (x: Vector, scale: Vector): Unknowns => ({
  evaporating: x[0] * scale[0],
  condensing: x[1] * scale[1],
  massFlow: x[2] * scale[2],
  enthalpy: x[3] * scale[3],
  discharge: x[4] * scale[4],
})

/** Solves a small linear system by elimination with pivoting; undefined where it is singular. */
function solveLinear(matrix: number[][], right: number[]): Vector | undefined {
  const rows = matrix.map((row, i) => [...row, right[i] as number])
  const at = (i: number, j: number) => (rows[i] as number[])[j] as number
  for (let column = 0; column < SIZE; column++) {
    let pivot = column
    for (let i = column + 1; i < SIZE; i++)
      if (Math.abs(at(i, column)) > Math.abs(at(pivot, column))) pivot = i
    if (Math.abs(at(pivot, column)) < 1e-14) return undefined
    ;[rows[column], rows[pivot]] = [rows[pivot] as number[], rows[column] as number[]]
    for (let i = column + 1; i < SIZE; i++) {
      const factor = at(i, column) / at(column, column)
      for (let j = column; j <= SIZE; j++) (rows[i] as number[])[j] = at(i, j) - factor * at(column, j)
    }
  }
  const x: Vector = [0, 0, 0, 0, 0]
  for (let i = SIZE - 1; i >= 0; i--) {
    let sum = at(i, SIZE)
    for (let j = i + 1; j < SIZE; j++) sum -= at(i, j) * (x[j] as number)
    x[i] = sum / at(i, i)
  }
  return x
}

const norm = (r: readonly number[]) => Math.hypot(...r)

type Problem = {
  readonly circuit: Circuit
  readonly scale: Vector
  readonly evaluate: (x: Vector) => Point | undefined
}

function problemOf(circuit: Circuit, around: Surroundings, closure: Closure): Problem {
  const streams = streamsOf(circuit, around)
  const scale = scaleOf(circuit)
  const least = 0.002 * circuit.nominalFlow
  const evaluate: Problem['evaluate'] = (x) => {
    const unknowns = toUnknowns(x, scale)
    if (!insideTable(circuit, unknowns) || unknowns.massFlow < least) return undefined
    const result = attempt(() => circuitAt(circuit, around, streams, unknowns))
    if (!result.ok) return undefined
    const residual = closure(circuit, result.value)
    return residual.every(Number.isFinite) ? { state: result.value, residual } : undefined
  }
  return { circuit, scale, evaluate }
}

function jacobian(problem: Problem, x: Vector, residual: readonly number[]): number[][] | undefined {
  const matrix = residual.map(() => new Array<number>(SIZE).fill(0))
  for (let j = 0; j < SIZE; j++) {
    const moved: Vector = [...x]
    moved[j] = (moved[j] as number) + DIFFERENCE
    let step = DIFFERENCE
    let there = problem.evaluate(moved)
    if (!there) {
      moved[j] = (x[j] as number) - DIFFERENCE
      step = -DIFFERENCE
      there = problem.evaluate(moved)
    }
    if (!there) return undefined
    for (let i = 0; i < SIZE; i++)
      (matrix[i] as number[])[j] = ((there.residual[i] as number) - (residual[i] as number)) / step
  }
  return matrix
}

/** Rank-one correction of the Jacobian after a step (Broyden): cheaper than five evaluations. */
function corrected(matrix: number[][], step: Vector, change: readonly number[]): number[][] {
  const length = step.reduce((sum, d) => sum + d * d, 0)
  return matrix.map((row, i) => {
    const predicted = row.reduce((sum, value, j) => sum + value * (step[j] as number), 0)
    const factor = ((change[i] as number) - predicted) / length
    return row.map((value, j) => value + factor * (step[j] as number))
  })
}

type Point = { readonly state: CircuitState; readonly residual: readonly number[] }

/** The longest share of a step that makes the residual smaller; undefined where none does. */
function shorten(
  problem: Problem,
  x: Vector,
  here: Point,
  full: Vector,
): { x: Vector; point: Point; step: Vector; share: number } | undefined {
  const size = norm(here.residual)
  const over = Math.max(1, ...full.map((d, j) => Math.abs(d) / (LONGEST[j] as number)))
  for (let share = 1 / over; share > SHORTEST_STEP / over; share /= 2) {
    const step = full.map((d) => share * d) as Vector
    const next = x.map((value, j) => value + (step[j] as number)) as Vector
    const point = problem.evaluate(next)
    if (point && norm(point.residual) < size * (1 - 0.1 * share)) return { x: next, point, step, share }
  }
  return undefined
}

/** A corrected Jacobian serves on as long as the residual falls at least by this factor. */
const FAST_ENOUGH = 0.55

/** Damped quasi-Newton from one start; undefined where it stalls. */
function newton(problem: Problem, start: Vector): CircuitState | undefined {
  let x = start
  let here = problem.evaluate(x)
  let matrix = here && jacobian(problem, x, here.residual)
  let exact = true
  for (let iteration = 0; here && matrix && iteration < MOST_ITERATIONS; iteration++) {
    const size = norm(here.residual)
    if (size < CONVERGED) return here.state
    const full = solveLinear(
      matrix,
      here.residual.map((r) => -r),
    )
    const moved = full && shorten(problem, x, here, full)
    if (!moved) {
      if (exact) break
      matrix = jacobian(problem, x, here.residual)
      exact = true
      continue
    }
    const before = here.residual
    x = moved.x
    here = moved.point
    exact = norm(here.residual) > FAST_ENOUGH * size
    matrix = exact
      ? jacobian(problem, x, here.residual)
      : corrected(
          matrix,
          moved.step,
          here.residual.map((r, i) => r - (before[i] as number)),
        )
  }
  return here && norm(here.residual) < GOOD_ENOUGH ? here.state : undefined
}

/** Starting guesses: a usual evaporator and condenser, then a starved, a flooded and a barely pumping one. */
const STARTS: readonly (readonly [belowAir: number, overAir: number, flow: number, superheat: number])[] = [
  [17, 11, 1, 7],
  [10, 7, 0.7, 6],
  [35, 6, 0.4, 25],
  [22, 18, 1.1, 3],
  [50, 3, 0.15, 40],
  [6, 4, 0.5, 4],
  [12, 28, 1.1, 0],
]
const VAPOUR_HEAT = 900
const USUAL_RISE = 42_000

function guess(circuit: Circuit, around: Surroundings, shape: (typeof STARTS)[number]): Unknowns {
  const { coldest, hottest } = temperatureRange(circuit.refrigerant)
  const [belowAir, overAir, flow, superheat] = shape
  const condensing = Math.min(
    Math.max(around.condenser.temperature + overAir, circuit.headFloor ?? 0),
    hottest - 3,
  )
  const evaporating = Math.min(
    Math.max(around.evaporator.temperature - belowAir, coldest + 2),
    condensing - 5,
  )
  const dry = cornersAtDew(circuit.refrigerant, evaporating).vapourEnthalpy
  return {
    evaporating,
    condensing,
    massFlow: flow * circuit.nominalFlow,
    enthalpy: dry + VAPOUR_HEAT * superheat,
    discharge: dry + VAPOUR_HEAT * superheat + USUAL_RISE,
  }
}

/** A steady state that is known, to walk from when no guess leads to the wanted one. */
export type Anchor = {
  readonly circuit: Circuit
  readonly around: Surroundings
  readonly unknowns: Unknowns
}

/** Between two records of the same shape: numbers are mixed, everything else is taken from the second. */
function between<T>(from: T, to: T, share: number): T {
  if (typeof from === 'number' && typeof to === 'number') return (from + share * (to - from)) as T
  if (typeof from !== 'object' || typeof to !== 'object' || from === null || to === null) return to
  const entries = Object.entries(to).map(([key, value]) => [
    key,
    between((from as Record<string, unknown>)[key], value, share),
  ])
  return Object.fromEntries(entries) as T
}

const FIRST_STRIDE = 0.25
const LAST_STRIDE = 1 / 128

/** Walks from the anchor to the wanted circuit and surroundings, each solution the guess for the next. */
function walk(
  circuit: Circuit,
  around: Surroundings,
  anchor: Anchor,
  closure: Closure,
): CircuitState | undefined {
  let [done, stride] = [0, FIRST_STRIDE]
  let { unknowns } = anchor
  while (stride >= LAST_STRIDE) {
    const share = Math.min(done + stride, 1)
    const problem = problemOf(
      between(anchor.circuit, circuit, share),
      between(anchor.around, around, share),
      closure,
    )
    const found = newton(problem, toVector(unknowns, problem.scale))
    if (found && share === 1) return found
    if (found) {
      unknowns = found.unknowns
      done = share
      stride *= 1.5
    } else stride /= 2
  }
  return undefined
}

/**
 * A steady state of a circuit.
 * @param anchor a known steady state of the same refrigerant to begin from
 * @throws OrzoError not-simulated where none is found inside the refrigerant's table
 */
export function solveCircuit(
  circuit: Circuit,
  around: Surroundings,
  anchor?: Anchor,
  closure: Closure = RUNNING,
): CircuitState {
  const problem = problemOf(circuit, around, closure)
  const first = anchor && newton(problem, toVector(anchor.unknowns, problem.scale))
  if (first) return first
  for (const shape of STARTS) {
    const start = attempt(() => guess(circuit, around, shape))
    const found = start.ok && newton(problem, toVector(start.value, problem.scale))
    if (found) return found
  }
  const walked = anchor && walk(circuit, around, anchor, closure)
  if (walked) return walked
  throw new OrzoError('not-simulated', 'The simulator found no steady state for these conditions.')
}
