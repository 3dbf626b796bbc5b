import { LASTING_FINDINGS, LASTING_READINGS } from '../readings/lasting'
import { instantOf } from '../../base/units/instants'
import { latestWords } from './words'
import { withEarlier } from '../readings/merge'
import { withPlaces } from '../readings/ohmPlaces'
import type { ReadingSet } from '../readings/schema'

const picked = <T extends object>(from: T | undefined, keys: readonly string[]): Partial<T> =>
  Object.fromEntries(Object.entries(from ?? {}).filter(([key]) => keys.includes(key))) as Partial<T>

/** The sets before one of them, as far as nothing was repaired in between. */
function earlierSets<S extends ReadingSet>(
  set: S,
  all: readonly S[],
  mendedAt: number | undefined,
): readonly S[] {
  const before = all.slice(0, Math.max(all.indexOf(set), 0))
  const own = instantOf(set.at)
  if (mendedAt === undefined || own === undefined || own < mendedAt) return before
  return before.filter(({ at }) => (instantOf(at) ?? -Infinity) >= mendedAt)
}

/**
 * A set with what earlier sets found and nobody repaired since: windings, ground, parts that were seen. What it says itself
 * stands over what they say; a reading taken again keeps the earlier ones as its history.
 * @param all sets of the repair, in the order in which they were taken
 * @param mendedAt when something was last repaired, ms; undefined where nothing was
 * @returns the set itself where nothing is added
 */
export function withFindings<S extends ReadingSet>(set: S, all: readonly S[], mendedAt?: number): S {
  const earlier = earlierSets(set, all, mendedAt)
  if (earlier.length === 0) return set
  const found = earlier
    .map(({ readings }, i) =>
      withPlaces(picked(readings, LASTING_READINGS), latestWords(earlier.slice(0, i + 1)), {
        ...latestWords(earlier),
        ...set.observations,
      }),
    )
    .reduce(withEarlier, {})
  const words = Object.assign(
    {},
    ...earlier.map(({ observations }) => picked(observations, LASTING_FINDINGS)),
  )
  if (Object.keys(found).length + Object.keys(words).length === 0) return set
  return {
    ...set,
    readings: withEarlier(found, withPlaces(set.readings, { ...words, ...set.observations })),
    observations: { ...words, ...set.observations },
  }
}
