import { gaussian, type RandomSource } from '../../src/core/base/numeric/random'

/** Draws that the models of the benches share, and how their figures are written. */

export const between = (random: RandomSource, from: number, to: number): number =>
  from + (to - from) * random()
export const logBetween = (random: RandomSource, from: number, to: number): number =>
  Math.exp(between(random, Math.log(from), Math.log(to)))
/** A factor about one. @param spread of its logarithm, one standard deviation */
export const factor = (random: RandomSource, spread: number): number => Math.exp(spread * gaussian(random))
export const pick = <T>(random: RandomSource, all: readonly T[]): T =>
  all[Math.floor(random() * all.length)] as T

export const percent = (part: number, whole: number): string =>
  `${((100 * part) / Math.max(whole, 1)).toFixed(1)} %`
export const median = (all: readonly number[]): number =>
  [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? NaN
