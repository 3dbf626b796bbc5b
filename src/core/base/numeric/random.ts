/** A source of numbers in [0, 1); the same seed gives the same numbers. */
export type RandomSource = () => number

/** Seeded generator (mulberry32): small, fast, good enough for simulated readings and tests, not for secrets. */
export function seededRandom(seed: number): RandomSource {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}

/** A normal deviate with mean 0 and standard deviation 1 (Box-Muller). */
export function gaussian(random: RandomSource): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()))
  return radius * Math.cos(2 * Math.PI * random())
}
