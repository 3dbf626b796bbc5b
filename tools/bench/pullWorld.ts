import { between, factor, logBetween, pick } from './draws'
import { gaussian, type RandomSource } from '../../src/core/base/numeric/random'
import type { DrawnPull } from './pulls'
import type { PullGuess, PullPoint } from '../../src/core/physics/processes/forecast'

const MICRON = 0.133322
const AIR = 101_325
const LONGEST = 5 * 3600
const WATER_GAS = 461.5
const LEAST = 180

/** Saturation of water over liquid and ice, Pa. [std: Buck 1981] */
const buck = (celsius: number) =>
  celsius >= 0
    ? 611.21 * Math.exp((18.678 - celsius / 234.5) * (celsius / (257.14 + celsius)))
    : 611.15 * Math.exp((23.036 - celsius / 333.7) * (celsius / (279.82 + celsius)))

/** A hose for air: viscous and molecular parts added. [physics: Dushman] */
const dushman = (bore: number, length: number, mean: number) =>
  (1.34e3 * bore ** 4 * mean) / length + (121 * bore ** 3) / (length + 1.33 * bore)

type Way = { readonly bore: number; readonly length: number } | undefined
type Truth = {
  readonly near: number
  readonly far: number
  readonly ways: readonly [Way, Way]
  /** what the valve between the sides passes, m3/s per Pa of the mean, and at least */
  readonly valve: readonly [number, number]
  readonly speed: number
  readonly ultimate: number
  readonly ballast: number
  readonly kelvin: number
  readonly free: number
  readonly heat: number
  /** water and gas that oil holds, Pa m3, and its time, s */
  readonly oil: { readonly holds: number; readonly slow: number }
  readonly leak: number
}

/** Speed of the pump: full from a few hundred pascals up, less where ballast and its ultimate tell. */
function pumpSpeed({ speed, ultimate, ballast }: Truth, inlet: number, seconds: number): number {
  const least = ultimate * (seconds < 600 ? ballast : 1)
  const high = inlet > 20_000 ? 0.85 : 1
  return inlet <= least ? 0 : speed * high * (1 - least / inlet)
}

/** Pressure at the pump where it takes what the ways bring. */
function inletOf(truth: Truth, sides: readonly [number, number], seconds: number): number {
  let [low, high] = [0.1, Math.max(...sides)]
  for (let round = 0; round < 24; round += 1) {
    const at = Math.sqrt(low * high)
    const brought = truth.ways.reduce((sum, way, i) => {
      const from = sides[i] as number
      return way ? sum + dushman(way.bore, way.length, (from + at) / 2) * (from - at) : sum
    }, 0)
    if (brought > pumpSpeed(truth, at, seconds) * at) low = at
    else high = at
  }
  return Math.sqrt(low * high)
}

/** What diffusion lets out of the oil a second, as a share of what it holds. */
const release = (seconds: number, slow: number) =>
  [1, 9, 25, 49].reduce((sum, n) => sum + Math.exp((-n * seconds) / slow), 0) * (8 / Math.PI ** 2 / slow)

type State = { gas: [number, number]; vapour: [number, number]; free: number; celsius: number }

function advance(truth: Truth, state: State, seconds: number, step: number): void {
  const volumes = [truth.near, truth.far] as const
  const sides: [number, number] = [state.gas[0] + state.vapour[0], state.gas[1] + state.vapour[1]]
  const inlet = inletOf(truth, sides, seconds)
  const taken = truth.ways.map((way, i) => {
    const from = sides[i] as number
    return way && from > inlet
      ? (dushman(way.bore, way.length, (from + inlet) / 2) * (from - inlet)) / from
      : 0
  })
  const through = truth.valve[0] * ((sides[0] + sides[1]) / 2) + truth.valve[1]
  for (const kind of ['gas', 'vapour'] as const) {
    const both = state[kind]
    for (const i of [0, 1] as const) both[i] *= Math.exp((-(taken[i] as number) * step) / volumes[i])
    const mean = (both[0] * volumes[0] + both[1] * volumes[1]) / (volumes[0] + volumes[1])
    const even = 1 - Math.exp(-through * step * (1 / volumes[0] + 1 / volumes[1]))
    for (const i of [0, 1] as const) both[i] += (mean - both[i]) * even
  }
  const given = truth.oil.holds * release(seconds, truth.oil.slow) * step
  state.gas[1] += (given * 0.5 + truth.leak * step) / truth.far
  state.gas[0] += (given * 0.5) / truth.near
  // free water lies on the near side; it boils where the total lets it, and gives vapour slowly below that
  const over = buck(state.celsius)
  const eager = sides[0] < over * 1.05 ? 1.5e-6 : 2e-8
  const wanted = Math.max(over - state.vapour[0], 0) * eager * step
  // it cools no further than what it gives up
  const most = Math.max(((state.celsius + 25) * 4186 * Math.max(state.free, 0.002)) / 2.5e6, 0)
  const boiled = Math.min(wanted, state.free, most)
  state.free -= boiled
  state.vapour[0] += (boiled * WATER_GAS * truth.kelvin) / truth.near
  const warm = truth.heat * (truth.kelvin - 273.15 - state.celsius) * step
  state.celsius += (warm - boiled * 2.5e6) / (4186 * Math.max(state.free, 0.002))
}

function run(truth: Truth, target: number, random: RandomSource): Pick<DrawnPull, 'points' | 'arrival'> {
  const state: State = {
    gas: [AIR, AIR],
    vapour: [0, 0],
    free: truth.free,
    celsius: truth.kelvin - 273.15,
  }
  const noise = between(random, 0.01, 0.04)
  const points: PullPoint[] = []
  for (let at = 0, due = 0; at < LONGEST;) {
    // the gauge stands far from the pump
    const shown = truth.ways[1] ? state.gas[0] + state.vapour[0] : state.gas[1] + state.vapour[1]
    const deepest = Math.max(state.gas[0] + state.vapour[0], state.gas[1] + state.vapour[1])
    if (at >= due) {
      const read = shown * Math.max(1 + noise * gaussian(random), 0.5)
      const grid = (read < 1000 * MICRON ? 1 : read < 10_000 * MICRON ? 10 : 250) * MICRON
      points.push({ seconds: at, pascals: Math.max(Math.round(read / grid) * grid, grid) })
      due += 10
    }
    if (deepest <= target) return { points, arrival: at }
    const step = at < 120 ? 0.25 : at < 900 ? 0.5 : 1
    advance(truth, state, at, step)
    at += step
  }
  return { points, arrival: undefined }
}

const INCH = 0.0254
const HOSES = [
  { bore: 0.19 * INCH, length: 1.5 },
  { bore: 0.31 * INCH, length: 1.5 },
  { bore: 0.44 * INCH, length: 1.2 },
] as const
const PUMPS = [0.0019, 0.0024, 0.0038] as const

/**
 * Pulls by a third model, neither the forecast's nor that of `pulls.ts`: a pump with a curve of its own and ballast, a hose at each
 * side or at one, a near and a far side joined by a valve that is nearly shut, water that lies free and cools as it boils, water
 * and refrigerant that come out of oil by diffusion, a gauge in steps. What is written of it errs as a technician's notes do.
 * m3, s, Pa, kg, K. Wet in half of the cases; one in eight never gets there.
 */
export function worldPull(random: RandomSource): DrawnPull {
  const volume = logBetween(random, 0.005, 0.035)
  const hose = pick(random, HOSES)
  const speed = pick(random, PUMPS)
  const isTwo = random() < 0.5
  const isWet = random() < 0.5
  const water = isWet ? logBetween(random, 0.0008, 0.01) : 0
  const real = volume * factor(random, 0.2)
  const split = between(random, 0.35, 0.65)
  const own = { bore: hose.bore * factor(random, 0.04), length: hose.length * factor(random, 0.05) }
  const target = 500 * MICRON
  const truth: Truth = {
    near: real * split,
    far: real * (1 - split),
    ways: [own, isTwo ? { ...own, length: own.length * 1.2 } : undefined],
    valve: [logBetween(random, 1e-6, 8e-6), logBetween(random, 2e-5, 8e-5)],
    speed: speed * factor(random, 0.15),
    ultimate: logBetween(random, 1.5, 5),
    ballast: between(random, 1, 4),
    kelvin: between(random, 288, 303),
    free: water * factor(random, 0.25),
    heat: 0.6 * factor(random, 0.35),
    oil: { holds: logBetween(random, 0.2, 6) * (isWet ? 2 : 1), slow: logBetween(random, 600, 5000) },
    leak: random() < 0.125 ? target * logBetween(random, 1.2, 4) * 8e-4 : 0,
  }
  const guess: PullGuess = {
    volume,
    temperature: 295,
    pump: { speed, ultimate: 2 },
    ways: isTwo ? [[hose], [hose]] : [[hose]],
    water,
    waterFactor: 1.5,
  }
  const { points, arrival } = run(truth, target, random)
  if (arrival !== undefined && arrival < LEAST) return worldPull(random)
  return { guess, points, arrival, target, isWet }
}
