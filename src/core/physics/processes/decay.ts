import { anneal } from '../../base/numeric/annealing'
import { logBetween, mixed, named, quantile, shareBelow } from '../../base/numeric/draws'
import { seededRandom } from '../../base/numeric/random'
import { UNITS } from '../../base/units/units'

/** One look at the vacuum gauge with the valve to the pump shut. s from the shutting, Pa. */
export type DecayPoint = { readonly seconds: number; readonly pascals: number }

/** What makes a vacuum rise, as far as a curve can show it. */
export const DECAY_CAUSES = ['tight', 'leak', 'moisture', 'both'] as const
export type DecayCause = (typeof DECAY_CAUSES)[number]

/** A curve: P0 + rate t + amount (1 - e^(-t / settling)) + gas of the oil, oil (1 - e^(-t / fading)). Pa, Pa/s, s. */
export type DecayCurve = {
  readonly start: number
  readonly rate: number
  readonly amount: number
  readonly settling: number
  readonly oil: number
  readonly fading: number
}

export type DecayFit = {
  /** what it is; undefined where the log does not tell */
  readonly cause: DecayCause | undefined
  readonly likeliest: DecayCause
  /** of one */
  readonly chances: Readonly<Record<DecayCause, number>>
  /** the middle of the curves that fit */
  readonly curve: DecayCurve
  readonly seconds: number
}

const MICRON = UNITS.micron.si
const PER_MINUTE = MICRON / 60

/** Looks that a shape needs, and the time: with less none is seen. */
const LEAST_POINTS = 6
const LEAST_SECONDS = 150

export const decayAt = (
  { start, rate, amount, settling, oil, fading }: DecayCurve,
  seconds: number,
): number =>
  start +
  rate * seconds +
  amount * (1 - Math.exp(-seconds / settling)) +
  oil * (1 - Math.exp(-seconds / fading))

/** What is not known of a decay, each a normal deviate of its own. */
const UNKNOWNS = ['start', 'leak', 'water', 'settling', 'oil', 'fading', 'scatter'] as const

/** The first look is off the curve by about this share. */
const START_SPREAD = 0.05
/** [practice] most circuits let nothing in that a decay could show; a leak that does lets in from a few microns a minute on. */
const LEAK = { none: 0.6, least: 0.02, from: 4, to: 3000 } as const
/** [practice] what settles: a trace, or water that stands at its vapour pressure, microns. */
const WATER = { none: 0.55, least: 1, from: 120, to: 25_000 } as const
/** [practice] a wet film settles in one to several minutes, a cold or covered one in a quarter of an hour. s */
const SETTLING = { usual: 170, spread: 0.75 } as const
/** [practice] oil gives off some microns a minute at first (handbook 08: up to 30), and fades in ten minutes to an hour. */
const OIL = { from: 0.3, to: 40 } as const
const FADING = { from: 450, to: 3000 } as const
/** [practice] a vacuum gauge scatters by about one in a hundred of its reading. */
const SCATTER = { usual: 0.009, spread: 0.7, least: 0.004 } as const

/** [practice] a leak of this many microns a minute is never taken for a dry circuit. */
const SHOWN_LEAK = 9
/** It is dry where the best curve that leaks fits worse than the best of all by this, of the log of the likelihood (docs/work.md). */
const FITS_WORSE = 4
/** A leak that certainly is one, a slow one rather than a fast one. Microns a minute */
const shownLeak = (deviate: number): number => logBetween(SHOWN_LEAK, LEAK.to, shareBelow(deviate) ** 2)

type Drawn = { readonly curve: DecayCurve; readonly scatter: number }

function drawnCurve(first: number, deviates: readonly number[], leakOf: (deviate: number) => number): Drawn {
  const { start, leak, water, settling, oil, fading, scatter } = named(UNKNOWNS, deviates)
  const fades = logBetween(FADING.from, FADING.to, shareBelow(fading))
  const curve = {
    start: first * Math.exp(START_SPREAD * start),
    rate: leakOf(leak) * PER_MINUTE,
    amount: mixed(WATER, water) * MICRON,
    settling: SETTLING.usual * Math.exp(SETTLING.spread * settling),
    oil: logBetween(OIL.from, OIL.to, shareBelow(oil)) * PER_MINUTE * fades,
    fading: fades,
  }
  return { curve, scatter: Math.max(SCATTER.usual * Math.exp(SCATTER.spread * scatter), SCATTER.least) }
}

/** Looks of a long log brought together: this many are enough for a shape, and no more are independent of each other. */
const MOST_POINTS = 24

type Bin = { readonly seconds: number; readonly log: number }

/** Logarithms of the readings at their times: a vacuum gauge errs by a share of what it shows. */
function binned(points: readonly DecayPoint[]): Bin[] {
  const known = points.filter(({ pascals, seconds }) => pascals > 0 && Number.isFinite(seconds))
  const width = Math.max(1, Math.ceil(known.length / MOST_POINTS))
  const first = known[0]?.seconds ?? 0
  const mean = (bin: readonly DecayPoint[], of: (point: DecayPoint) => number) =>
    bin.reduce((sum, point) => sum + of(point), 0) / bin.length
  return Array.from({ length: Math.ceil(known.length / width) }, (_bin, i) => {
    const bin = known.slice(i * width, (i + 1) * width)
    return {
      seconds: mean(bin, ({ seconds }) => seconds - first),
      log: mean(bin, ({ pascals }) => Math.log(pascals)),
    }
  })
}

/** Log of the likelihood of what was seen on one curve. @param ceiling Pa: water stands no higher */
function fitOf(bins: readonly Bin[], { curve, scatter }: Drawn, ceiling: number): number {
  if (curve.start + curve.amount > ceiling && curve.amount > WATER.from * MICRON) return -Infinity
  let sum = 0
  for (const { seconds, log } of bins) sum += ((log - Math.log(decayAt(curve, seconds))) / scatter) ** 2
  return -sum / 2 - bins.length * Math.log(scatter)
}

/** [practice] what stands this share under its highest look falls: no curve of a closed circuit does, nothing is said of it. */
const FALLS = 0.06

/** Whether it falls after it stood higher, the first look counted. */
function isFalling(bins: readonly Bin[]): boolean {
  const highest = bins.reduce((most, { log }) => Math.max(most, log), -Infinity)
  return (bins.at(-1) as Bin).log < highest + Math.log(1 - FALLS)
}

/** Curves that are drawn, and how often each is moved: more take longer and judge no better (docs/work.md). */
const MEMBERS = 300
const MOVES = 2
const SEED = 2708

/** [practice] air that comes in this fast is a leak, Pa/s: slower than what oil gives off it is not looked for. */
const IS_LEAK = 6 * PER_MINUTE
/** [practice] handbook 08: water levels off from about 1,500 microns on; under a thousand it is a trace. Pa */
const IS_WATER = 1000 * MICRON
/** It is said that there is a leak, or water, from this chance on, and that there is none up to the other (docs/work.md). */
const SURE = { leak: 0.85, noLeak: 0.03, water: 0.85, noWater: 0.15, noLeakBeside: 0.25 } as const

/** Beside water a leak shows from this share of what the water makes on: less hides in it. */
const BESIDE_WATER = 0.2

const isWet = ({ start, amount }: DecayCurve) => start + amount >= IS_WATER && amount > WATER.from * MICRON
function causeOfCurve(curve: DecayCurve, seconds: number): DecayCause {
  const { rate, amount } = curve
  if (isWet(curve)) return rate >= Math.max(IS_LEAK, (BESIDE_WATER * amount) / seconds) ? 'both' : 'moisture'
  return rate >= IS_LEAK ? 'leak' : 'tight'
}

/** [practice] handbook 08: oil gives off nearly straight for ten minutes: as slow a rise is no leak before this, s. */
const OIL_BENDS = 900
const isAsOil = ({ rate }: DecayCurve, seconds: number) => seconds < OIL_BENDS && rate <= OIL.to * PER_MINUTE

/** What is sure of the chances; undefined where it is not. */
function sureOf({ leak, moisture, both }: DecayFit['chances']): DecayCause | undefined {
  const [leaks, wets] = [leak + both, moisture + both]
  if (wets >= SURE.water)
    return both >= SURE.leak ? 'both' : both <= SURE.noLeakBeside ? 'moisture' : undefined
  if (wets > SURE.noWater) return undefined
  if (leaks >= SURE.leak) return 'leak'
  return leaks <= SURE.noLeak ? 'tight' : undefined
}

const middle = (all: readonly number[]): number =>
  quantile(
    [...all].sort((a, b) => a - b),
    0.5,
  )

function middleCurve(curves: readonly DecayCurve[]): DecayCurve {
  const of = (key: keyof DecayCurve) => middle(curves.map((curve) => curve[key]))
  return {
    start: of('start'),
    rate: of('rate'),
    amount: of('amount'),
    settling: of('settling'),
    oil: of('oil'),
    fading: of('fading'),
  }
}

/**
 * Leak, moisture, both or neither: curves that may be, of air that comes in, water that settles and gas that fades out of oil,
 * are drawn and brought to what was seen; how many of them leak, and how many are wet, are the chances (handbook 08) [physics].
 * @param points in order of time; silent ones left out
 * @param ceiling vapour pressure of water at the coldest place, Pa: no moisture stands above it
 * @returns undefined for too few looks
 */
export function fitDecay(points: readonly DecayPoint[], ceiling = Infinity): DecayFit | undefined {
  const bins = binned(points)
  const first = bins[0]
  const seconds = (bins.at(-1)?.seconds ?? 0) - (first?.seconds ?? 0)
  if (!first || bins.length < LEAST_POINTS || !(seconds > 0)) return undefined
  const from = points.find(({ pascals }) => pascals > 0)?.pascals ?? Math.exp(first.log)
  const annealed = (leakOf: (deviate: number) => number) => {
    const evaluate = (deviates: readonly number[]) => {
      const drawn = drawnCurve(from, deviates, leakOf)
      return { of: drawn.curve, log: fitOf(bins, drawn, ceiling) }
    }
    const annealing = { dimensions: UNKNOWNS.length, members: MEMBERS, moves: MOVES, evaluate }
    return anneal(annealing, seededRandom(SEED))
  }
  const all = annealed((deviate) => mixed(LEAK, deviate))
  const best = (of: typeof all) => of.reduce((most, { log }) => Math.max(most, log), -Infinity)
  const curves = all.map(({ of }) => of)
  const causes = curves.map((curve) => causeOfCurve(curve, seconds))
  const chances = Object.fromEntries(
    DECAY_CAUSES.map((cause) => [cause, causes.filter((each) => each === cause).length / causes.length]),
  ) as Record<DecayCause, number>
  const likeliest = DECAY_CAUSES.reduce((a, b) => (chances[b] > chances[a] ? b : a))
  const curve = middleCurve(curves.filter((_curve, i) => causes[i] === likeliest))
  const said = seconds >= LEAST_SECONDS && !isFalling(bins) ? sureOf(chances) : undefined
  const isLeakOrOil =
    (said === 'leak' && isAsOil(curve, seconds)) ||
    (said === 'tight' && best(annealed(shownLeak)) >= best(all) - FITS_WORSE)
  return { cause: isLeakOrOil ? undefined : said, likeliest, chances, curve, seconds }
}
