import { factor, pick } from './draws'
import { gaussian, type RandomSource } from '../../src/core/base/numeric/random'
import type { PullGuess, PullPoint } from '../../src/core/physics/processes/forecast'

/**
 * A pull by a model that is not the forecast's own: two sides of a circuit with a line between them, a hose at each or at one,
 * water as a film that leaves by kinetic theory and cools, gas that comes out of oil by a power of time, a pump whose speed
 * sags towards its ultimate. What is written on volume, hoses, pump and water differs from what they are.
 */
export type DrawnPull = {
  readonly guess: PullGuess
  readonly points: readonly PullPoint[]
  /** s; undefined where the target is never reached */
  readonly arrival: number | undefined
  readonly target: number
  readonly isWet: boolean
}

const MICRON = 0.133322
const KELVIN = 295
const WATER_GAS = 461.5
const HEAT = 2.5e6
const LONGEST = 6 * 3600
const STEP = 0.5
const EVERY = 5
/** A pull that is over before anybody looks is drawn again, s. */
const LEAST = 180

/** Vapour pressure of water, Pa: Magnus over liquid, over ice below 0 C. [std: WMO, Guide to instruments] */
const magnus = (celsius: number) =>
  celsius >= 0
    ? 611.2 * Math.exp((17.62 * celsius) / (243.12 + celsius))
    : 611.2 * Math.exp((22.46 * celsius) / (272.62 + celsius))

/** A round tube by Knudsen's interpolation, m3/s for air. */
function tube(bore: number, length: number, mean: number): number {
  const viscous = (1.35e3 * bore ** 4 * mean) / length
  const x = 1.5e2 * bore * mean
  return viscous + ((121 * bore ** 3) / length) * ((1 + 1.27 * x) / (1 + 1.57 * x))
}

type Truth = {
  readonly volumes: readonly [number, number]
  readonly hoses: readonly { readonly bore: number; readonly length: number; readonly side: 0 | 1 }[]
  readonly line: { readonly bore: number; readonly length: number }
  readonly speed: number
  readonly ultimate: number
  readonly water: number
  readonly heat: number
  readonly oil: number
  readonly leak: number
}

/** Pressure at the pump that takes what the hoses bring. */
function inlet({ hoses, speed, ultimate }: Truth, sides: readonly [number, number]): number {
  let [low, high] = [0, Math.max(...sides)]
  for (let round = 0; round < 30; round += 1) {
    const at = (low + high) / 2
    const brought = hoses.reduce((sum, { bore, length, side }) => {
      const from = sides[side]
      return sum + tube(bore, length, (from + at) / 2) * (from - at)
    }, 0)
    const taken = at > ultimate ? speed * (1 - ultimate / at) ** 0.7 * at : 0
    if (brought > taken) low = at
    else high = at
  }
  return (low + high) / 2
}

function run(truth: Truth, target: number, random: RandomSource) {
  const gas: [number, number] = [101_325, 101_325]
  let [vapour, water, celsius, arrival] = [0, truth.water, KELVIN - 273.15, undefined as number | undefined]
  const points: PullPoint[] = []
  for (let at = 0; at < LONGEST; at += STEP) {
    const sides: [number, number] = [gas[0] + vapour, gas[1]]
    const pumpAt = inlet(truth, sides)
    const step = Math.min(STEP, LONGEST)
    const drawn = ([0, 1] as const).map((side) =>
      truth.hoses
        .filter((hose) => hose.side === side)
        .reduce((sum, { bore, length }) => {
          const flow = tube(bore, length, (sides[side] + pumpAt) / 2) * Math.max(sides[side] - pumpAt, 0)
          return sum + flow / Math.max(sides[side], 1e-9)
        }, 0),
    )
    // vapour goes with the gas that it is mixed with
    const between = tube(truth.line.bore, truth.line.length, (sides[0] + sides[1]) / 2)
    const meanSide =
      (sides[0] * truth.volumes[0] + sides[1] * truth.volumes[1]) / (truth.volumes[0] + truth.volumes[1])
    const even = 1 - Math.exp((-between * step) / Math.min(...truth.volumes))
    gas[0] *= Math.exp((-drawn[0]! * step) / truth.volumes[0])
    gas[1] *= Math.exp((-drawn[1]! * step) / truth.volumes[1])
    gas[0] += (meanSide - sides[0]) * even * (sides[0] > meanSide ? gas[0] / Math.max(sides[0], 1e-9) : 1)
    gas[1] += (meanSide - sides[1]) * even
    gas[0] = Math.max(gas[0], 0)
    gas[1] = Math.max(gas[1], 0)
    const outgassing = truth.oil * (1 + at / 60) ** -0.8 + truth.leak
    gas[1] += (outgassing * step) / truth.volumes[1]
    // vapour leaves by its own hose, and by the line and the other one
    const path = drawn[0]! + (drawn[1]! > 0 ? (between * drawn[1]!) / (between + drawn[1]!) : 0)
    const kinetic = 3e-7
    const wanted = water > 0 ? kinetic * Math.max(magnus(celsius) - vapour, 0) : 0
    const room = ((path + 1e-9) * magnus(celsius)) / (WATER_GAS * KELVIN) + 1e-9
    const boiled = gas[0] > magnus(celsius) * 3 ? 0 : Math.min(wanted, room, water / step)
    water -= boiled * step
    const gone = Math.exp((-path * step) / truth.volumes[0])
    vapour = vapour * gone + ((boiled * WATER_GAS * KELVIN) / Math.max(path, 1e-9)) * (1 - gone)
    celsius +=
      ((truth.heat * (KELVIN - 273.15 - celsius) - boiled * HEAT) * step) / (4186 * Math.max(water, 0.003))
    if (at % EVERY === 0) {
      const shown =
        (truth.hoses.some(({ side }) => side === 1) ? sides[0] : Math.max(...sides)) *
        Math.max(1 + 0.05 * gaussian(random), 0.3)
      points.push({ seconds: at, pascals: shown })
    }
    if (arrival === undefined && Math.max(...sides) <= target) {
      arrival = at
      break
    }
  }
  return { points, arrival }
}

const INCH = 0.0254
const HOSES = [
  { bore: 0.19 * INCH, length: 0.9 },
  { bore: 0.3 * INCH, length: 1.2 },
  { bore: 0.44 * INCH, length: 1.5 },
] as const
const PUMPS = [0.0014, 0.0024, 0.0038] as const

/** One pull: dry in half of the cases, one to fifteen grams of water in the others; a tenth never gets there. */
export function drawnPull(random: RandomSource): DrawnPull {
  const volume = 0.006 * (0.04 / 0.006) ** random()
  const hose = pick(random, HOSES)
  const speed = pick(random, PUMPS)
  const isTwo = random() < 0.5
  const water = random() < 0.5 ? 0 : 0.001 * 15 ** random()
  const isLost = random() < 0.15
  const own = { bore: hose.bore * factor(random, 0.04), length: hose.length }
  const target = 500 * MICRON
  const split = 0.35 + 0.3 * random()
  const real = volume * factor(random, 0.15)
  const truth: Truth = {
    volumes: [real * split, real * (1 - split)],
    hoses: isTwo
      ? [
          { ...own, side: 0 },
          { ...own, side: 1 },
        ]
      : [{ ...own, side: 0 }],
    line: { bore: 0.0095, length: 4 },
    speed: speed * factor(random, 0.15),
    ultimate: 2 * factor(random, 0.4),
    water: water * factor(random, 0.12),
    heat: 0.6 * factor(random, 0.25),
    oil: 4e-3 * factor(random, 0.6),
    leak: isLost ? target * 1e-4 * (1.5 + 3 * random()) * (isTwo ? 2 : 1) * 8 : 0,
  }
  const guess: PullGuess = {
    volume,
    temperature: KELVIN,
    pump: { speed, ultimate: 2 },
    ways: isTwo ? [[hose], [hose]] : [[hose]],
    water,
    waterFactor: 1.15,
  }
  const { points, arrival } = run(truth, target, random)
  if (arrival !== undefined && arrival < LEAST) return drawnPull(random)
  return { guess, points, arrival, target, isWet: water > 0 }
}
