import { OrzoError } from '../errors/orzoError'

const MOST_STEPS = 80

/**
 * Root of a continuous function between two arguments at which it has opposite signs (false position, Illinois form).
 * @param tolerance on the argument
 * @throws OrzoError not-converged where the signs are equal
 */
export function bracketedRoot(f: (x: number) => number, from: number, to: number, tolerance: number): number {
  let [low, high] = [from, to]
  let [atLow, atHigh] = [f(low), f(high)]
  if (atLow === 0) return low
  if (atHigh === 0) return high
  if (!(atLow * atHigh < 0)) {
    throw new OrzoError('not-converged', 'The computation found no solution between its limits.', {
      from,
      to,
    })
  }
  let side = 0
  for (let step = 0; step < MOST_STEPS && Math.abs(high - low) > tolerance; step++) {
    const secant = (low * atHigh - high * atLow) / (atHigh - atLow)
    const x = step % 4 === 3 ? (low + high) / 2 : secant
    const atX = f(x)
    if (atX === 0) return x
    if (atX * atHigh > 0) {
      ;[high, atHigh] = [x, atX]
      if (side === 1) atLow /= 2
      side = 1
    } else {
      ;[low, atLow] = [x, atX]
      if (side === -1) atHigh /= 2
      side = -1
    }
  }
  return Math.abs(atLow) < Math.abs(atHigh) ? low : high
}
