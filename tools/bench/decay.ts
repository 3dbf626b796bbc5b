import { gaussian, type RandomSource, seededRandom } from '../../src/core/base/numeric/random'
import {
  DECAY_CAUSES,
  type DecayCause,
  decayAt,
  type DecayPoint,
  fitDecay,
} from '../../src/core/physics/processes/decay'

/** Noisy decay tests of each kind, and what is said of them: wrong, not yet clear, right, by length in time constants. */

const LOGS = 800
const SAMPLES = 30
const NOISE = 0.1
const MICRON = 0.133322

const between = (random: RandomSource, from: number, to: number) => from + (to - from) * random()
const logBetween = (random: RandomSource, from: number, to: number) =>
  Math.exp(between(random, Math.log(from), Math.log(to)))

type Drawn = {
  readonly cause: DecayCause
  readonly constants: number
  readonly points: readonly DecayPoint[]
}

/** A log of a known cause. What a leak lets in and what water gives are one to ten times the vacuum that was pulled. */
export function drawnLog(cause: DecayCause, constants: number, random: RandomSource): Drawn {
  const settling = between(random, 60, 200)
  const seconds = constants * settling
  const start = logBetween(random, 150, 500) * MICRON
  const rises = cause === 'leak' || cause === 'both'
  const settles = cause === 'moisture' || cause === 'both'
  const rise = start * logBetween(random, 1.5, 10)
  // of both each makes a third of the rise at least
  const byLeak = !rises ? 0 : settles ? between(random, 1 / 3, 2 / 3) : 1
  const curve = {
    start,
    rate: (rise * byLeak) / seconds,
    amount: settles ? rise * (1 - byLeak) : rises ? 0 : start * between(random, 0, 0.1),
    settling,
  }
  const points = Array.from({ length: SAMPLES }, (_sample, i) => {
    const at = (seconds * i) / (SAMPLES - 1)
    return { seconds: at, pascals: decayAt(curve, at) * Math.max(1 + NOISE * gaussian(random), 0.05) }
  })
  return { cause, constants, points }
}

type Count = { wrong: number; unclear: number; right: number }
const percent = (part: number, whole: number) =>
  `${((100 * part) / Math.max(whole, 1)).toFixed(1)} %`.padStart(8)

function tally(name: string, from: number, to: number, seed: number, byCause = true): void {
  const random = seededRandom(seed)
  const counts = new Map<DecayCause, Count>(
    DECAY_CAUSES.map((cause) => [cause, { wrong: 0, unclear: 0, right: 0 }]),
  )
  const mistaken = new Map<string, number>()
  for (let i = 0; i < LOGS; i += 1) {
    const cause = DECAY_CAUSES[i % DECAY_CAUSES.length] as DecayCause
    const { points } = drawnLog(cause, between(random, from, to), random)
    const said = fitDecay(points)?.cause
    const count = counts.get(cause)!
    if (said === undefined) count.unclear += 1
    else if (said === cause) count.right += 1
    else {
      count.wrong += 1
      mistaken.set(`${cause} as ${said}`, (mistaken.get(`${cause} as ${said}`) ?? 0) + 1)
    }
  }
  const sum = (of: keyof Count) => [...counts.values()].reduce((total, count) => total + count[of], 0)
  console.log(
    `${name}: wrong${percent(sum('wrong'), LOGS)}  not yet clear${percent(sum('unclear'), LOGS)}  right${percent(sum('right'), LOGS)}`,
  )
  if (!byCause) return
  for (const [cause, { wrong, unclear, right }] of counts)
    console.log(
      `  ${cause.padEnd(9)} wrong${percent(wrong, 200)}  not yet clear${percent(unclear, 200)}  right${percent(right, 200)}`,
    )
  if (mistaken.size > 0)
    console.log(`  ${[...mistaken].map(([what, times]) => `${what} ${times}`).join(', ')}`)
}

console.log(`${LOGS} logs a row, ${SAMPLES} samples each, ${NOISE * 100} % noise`)
const began = performance.now()
tally('3 to 8 time constants', 3, 8, 1508)
tally('1 to 3 time constants', 1, 3, 1509)
tally('up to half a time constant', 0.1, 0.5, 1510)
const FRESH = [2001, 2002, 2003, 2004, 2005]
FRESH.forEach((seed) => tally(`3 to 8 time constants, seed ${seed}`, 3, 8, seed, false))
console.log(`${((performance.now() - began) / LOGS / (3 + FRESH.length)).toFixed(2)} ms a fit`)
