import type { Observations, ReadingSet } from '../readings/schema'

/**
 * The latest word for each observation over sets; what a later set says replaces what an earlier one said.
 * @param sets in the order in which they were taken
 */
export const latestWords = (sets: readonly Pick<ReadingSet, 'observations'>[]): Observations =>
  Object.assign({}, ...sets.map(({ observations }) => observations ?? {}))
