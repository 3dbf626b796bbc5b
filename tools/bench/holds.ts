import { between, pick } from './draws'
import { gaussian, type RandomSource, seededRandom } from '../../src/core/base/numeric/random'
import { type HoldPoint, judgeHold, type WarmthPoint } from '../../src/core/physics/processes/hold'

/**
 * Holds of nitrogen by a model that is not the judge's own: gas in two parts that warm by different courses, a clamp on one of them
 * that lags, a gauge with noise in steps, a leak through a capillary or none; looks as a stream, a few, or at start and end.
 */

const HOLDS = Number(process.argv[2] ?? 100)
const SEEDS = (process.argv[3] ?? '71,72,73').split(',').map(Number)
const PSI = 6894.757
const AIR = 101_325
const STEP = 5

type Course = (seconds: number) => number
/** K that the air around does over a hold: steady, a drift, the sun that comes out, a cloud. */
function weather(random: RandomSource, seconds: number): Course {
  const size = between(random, -6, 6) / 1.8
  const at = between(random, 0.1, 0.7) * seconds
  return pick<Course>(random, [
    () => 0,
    (now) => (size * now) / seconds,
    (now) => (now > at ? size * (1 - Math.exp(-(now - at) / 300)) : 0),
    (now) => (size / 2) * Math.sin((2 * Math.PI * now) / seconds),
  ])
}

type Drawn = {
  readonly points: readonly HoldPoint[]
  readonly warmth: readonly WarmthPoint[]
  /** Pa that leaked, by what was inside */
  readonly lost: number
}

const moments = (random: RandomSource, seconds: number): number[] =>
  pick(random, [
    () => Array.from({ length: seconds / STEP + 1 }, (_look, i) => i * STEP),
    () => [0, seconds],
    () => [0, between(random, 0.2, 0.5) * seconds, between(random, 0.5, 0.9) * seconds, seconds],
  ])()

function drawnHold(random: RandomSource): Drawn {
  const seconds = pick(random, [900, 1800, 3600])
  const fill = between(random, 140, 500) * PSI + AIR
  const outside = weather(random, seconds)
  // the part indoors follows a share of it
  const indoors = between(random, 0, 0.3)
  const share = between(random, 0.6, 0.9)
  const kelvin = between(random, 285, 305)
  const gas: Course = (now) => kelvin + outside(now) * (share + (1 - share) * indoors)
  const leaks = random() < 0.5
  const constant = leaks ? (between(random, 0.05, 4) * PSI) / seconds / fill : 0
  const inside: Course = (now) => (fill * Math.exp(-constant * now) * gas(now)) / kelvin
  const noise = between(random, 0.01, 0.05) * PSI
  const tick = pick(random, [0.1, 0.1, 0.01]) * PSI
  const points = moments(random, seconds).map((at) => ({
    seconds: at,
    pascals: Math.round((inside(at) + noise * gaussian(random)) / tick) * tick,
  }))
  const lag = between(random, 10, 60)
  const clamp = (at: number) => kelvin + outside(Math.max(at - lag, 0)) + 0.05 * gaussian(random)
  const warmth = pick<() => number[]>(random, [
    () => [],
    () => [0],
    () => [0, seconds],
    () => Array.from({ length: seconds / 60 + 1 }, (_l, i) => i * 60),
  ])().map((at) => ({ seconds: at, kelvin: Math.round(clamp(at) * 18) / 18 }))
  return { points, warmth, lost: fill * (1 - Math.exp(-constant * seconds)) }
}

for (const seed of SEEDS) {
  const random = seededRandom(seed)
  const all = Array.from({ length: HOLDS }, () => drawnHold(random)).map((drawn) => ({
    ...drawn,
    hold: judgeHold(drawn.points, drawn.warmth)!,
  }))
  const off = all.map(({ hold, lost }) => Math.abs(hold.change + lost) / hold.error)
  const missed = all.filter(({ hold, lost }) => hold.verdict !== 'falls' && lost > 2 * hold.error)
  const accused = all.filter(({ hold, lost }) => hold.verdict === 'falls' && lost === 0)
  const measured = all.filter(({ hold }) => hold.isTemperatureMeasured)
  console.log(
    `seed ${seed}: ${HOLDS} holds, ${measured.length} with their temperature; off by more than the stated error ${off.filter((each) => each > 1).length}, than twice ${off.filter((each) => each > 2).length}, at most ${Math.max(...off).toFixed(2)} errors; leaks over twice the error not seen ${missed.length}; tight ones that fall ${accused.length}`,
  )
}
