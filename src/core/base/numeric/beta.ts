import { gaussian, type RandomSource } from './random'

const MOST_TRIES = 1000

/**
 * A gamma deviate of scale 1.
 * @param shape 1 or more
 * @see Marsaglia and Tsang, A simple method for generating gamma variables, 2000
 */
function gamma(shape: number, random: RandomSource): number {
  const d = shape - 1 / 3
  const c = 1 / Math.sqrt(9 * d)
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const x = gaussian(random)
    const v = (1 + c * x) ** 3
    if (v <= 0) continue
    if (Math.log(1 - random()) < x * x * 0.5 + d - d * v + d * Math.log(v)) return d * v
  }
  throw new Error('The gamma deviate did not come out.')
}

/** A beta deviate in 0 to 1. @param a @param b shapes, 1 or more */
function betaDeviate(a: number, b: number, random: RandomSource): number {
  const x = gamma(a, random)
  return x / (x + gamma(b, random))
}

/** Weight of the likely value. [std: three-point estimate as in PERT] */
const LIKELY = 4

/** A deviate of a three-point estimate (PERT): mean (low + 4 likely + high) / 6. */
export function threePoint(low: number, likely: number, high: number, random: RandomSource): number {
  const width = high - low
  if (width <= 0) return low
  const a = 1 + (LIKELY * (likely - low)) / width
  const b = 1 + (LIKELY * (high - likely)) / width
  return low + width * betaDeviate(a, b, random)
}
