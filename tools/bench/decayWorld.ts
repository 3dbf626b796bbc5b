import { between, logBetween } from './draws'
import type { DecayPoint } from '../../src/core/physics/processes/decay'
import { gaussian, type RandomSource } from '../../src/core/base/numeric/random'

/**
 * Decay tests by a model that is not the judge's own: air through a capillary, water that gives vapour by first-order exchange at
 * the coldest place while it lasts, gas that comes out of an oil film by diffusion, and a gauge that drifts, scatters, shows in
 * steps and jumps. Looks come as a stream, or typed: few, uneven, rounded. Microns and s inside, Pa and s outside.
 */
export const WORLD_CAUSES = ['tight', 'outgassing', 'trace', 'leak', 'water', 'both'] as const
export type WorldCause = (typeof WORLD_CAUSES)[number]
export type Cadence = 'stream' | 'typed'

export type WorldLog = {
  readonly cause: WorldCause
  readonly cadence: Cadence
  readonly minutes: number
  readonly points: readonly DecayPoint[]
  /** true pressure at a moment, Pa */
  readonly truth: (seconds: number) => number
  /** what the capillary lets in, microns a minute */
  readonly leakRate: number
}

const MICRON = 0.133322

/** Saturation of water, microns: Magnus over liquid and ice. [std: WMO, Guide to instruments] */
const saturation = (celsius: number) =>
  (celsius >= 0
    ? 611.2 * Math.exp((17.62 * celsius) / (243.12 + celsius))
    : 611.2 * Math.exp((22.46 * celsius) / (272.62 + celsius))) / MICRON

/** Share of what a film of oil holds that has come out: the first three terms of diffusion out of a slab. [physics: Crank] */
function diffused(seconds: number, slow: number): number {
  const terms = [1, 9, 25].map((n) => (8 / Math.PI ** 2 / n) * Math.exp((-n * seconds) / slow))
  return 0.933 - terms.reduce((sum, each) => sum + each, 0)
}

type Circuit = {
  readonly start: number
  /** microns a s */
  readonly leak: number
  readonly oil: { readonly holds: number; readonly slow: number }
  readonly water: { readonly over: number; readonly exchange: number; readonly holds: number }
}

const NO_WATER = { over: 0, exchange: 1, holds: 0 }

/** Pressures each second; the vapour by its own equation, the rest in closed form. */
function course({ start, leak, oil, water }: Circuit, seconds: number): number[] {
  let vapour = 0
  let left = water.holds
  return Array.from({ length: Math.ceil(seconds) + 2 }, (_second, at) => {
    const total = start + leak * at + oil.holds * Math.max(diffused(at, oil.slow), 0) + vapour
    const given = Math.min(Math.max((water.over - vapour) / water.exchange, 0), left)
    vapour += given
    left -= given
    return total
  })
}

const QUIET = { from: 10, to: 90 } as const

function drawnCircuit(cause: WorldCause, random: RandomSource): Circuit {
  const quiet = { holds: logBetween(random, QUIET.from, QUIET.to), slow: between(random, 600, 2000) }
  const dry: Circuit = { start: logBetween(random, 130, 480), leak: 0, oil: quiet, water: NO_WATER }
  // a film over free water stands near its vapour pressure, a wetted wall well below it
  const wet = {
    over: saturation(between(random, -6, 18)) * between(random, 0.5, 1),
    exchange: logBetween(random, 60, 700),
    holds: 1e9,
  }
  const rate = logBetween(random, 10, 300) / 60
  const rows: Readonly<Record<WorldCause, () => Circuit>> = {
    tight: () => dry,
    outgassing: () => ({
      ...dry,
      oil: { holds: logBetween(random, 200, 600), slow: between(random, 1200, 3600) },
    }),
    trace: () => ({
      ...dry,
      water: { over: logBetween(random, 60, 350), exchange: logBetween(random, 60, 400), holds: 1e9 },
    }),
    leak: () => ({ ...dry, leak: rate }),
    water: () => ({ ...dry, start: logBetween(random, 200, 800), water: wet }),
    both: () => ({
      ...dry,
      start: logBetween(random, 200, 800),
      leak: logBetween(random, 40, 300) / 60,
      water: wet,
    }),
  }
  return rows[cause]()
}

/** What the gauge shows in: one micron below a thousand, five to two thousand, fifty above, as such gauges do. */
const stepOf = (microns: number) => (microns < 1000 ? 1 : microns < 2000 ? 5 : 50)

/** Moments of the looks, s. */
function moments(cadence: Cadence, seconds: number, random: RandomSource): number[] {
  if (cadence === 'stream') return Array.from({ length: Math.floor(seconds / 5) + 1 }, (_look, i) => i * 5)
  const count = 6 + Math.floor(random() * 4)
  const inner = Array.from({ length: count - 2 }, () => Math.round((random() * seconds) / 5) * 5)
  return [...new Set([0, ...inner, seconds])].sort((a, b) => a - b)
}

/** A decay test of a known cause. */
export function worldLog(
  cause: WorldCause,
  cadence: Cadence,
  minutes: number,
  random: RandomSource,
): WorldLog {
  const circuit = drawnCircuit(cause, random)
  const seconds = minutes * 60
  const true_ = course(circuit, seconds)
  const at = (when: number) => true_[Math.min(Math.round(when), true_.length - 1)] as number
  const drift = between(random, -0.015, 0.015) / 1800
  const noise = between(random, 0.003, 0.012)
  const jump = random() < 0.15 ? { at: random() * seconds, by: between(random, -0.02, 0.02) } : undefined
  const points = moments(cadence, seconds, random).map((when) => {
    const off = 1 + drift * when + noise * gaussian(random) + (jump && when > jump.at ? jump.by : 0)
    const shown = at(when) * off
    const step = stepOf(shown)
    return { seconds: when, pascals: Math.round(shown / step) * step * MICRON }
  })
  return {
    cause,
    cadence,
    minutes,
    points,
    truth: (when) => at(when) * MICRON,
    leakRate: circuit.leak * 60,
  }
}
