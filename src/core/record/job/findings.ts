import { LASTING_FINDINGS, LASTING_READINGS } from '../readings/lasting'
import { instantOf } from '../../base/units/instants'
import { isCircuitWord } from '../readings/observations'
import { readingRow } from '../readings/vocabulary'
import { latestWords } from './words'
import { withEarlier } from '../readings/merge'
import { withPlaces } from '../readings/ohmPlaces'
import type { ReadingSet } from '../readings/schema'

/** What of an object stands under some keys. */
export const picked = <T extends object>(from: T | undefined, keys: readonly string[]): Partial<T> =>
  Object.fromEntries(Object.entries(from ?? {}).filter(([key]) => keys.includes(key))) as Partial<T>

/** The sets before one of them, as far as nothing was repaired in between. */
function earlierSets<S extends ReadingSet>(
  set: S,
  all: readonly S[],
  repairedAt: number | undefined,
): readonly S[] {
  const before = all.slice(0, Math.max(all.indexOf(set), 0))
  const own = instantOf(set.at)
  if (repairedAt === undefined || own === undefined || own < repairedAt) return before
  return before.filter(({ at }) => (instantOf(at) ?? -Infinity) >= repairedAt)
}

/** Whether the readings of a set show that the compressor ran: then nothing electrical is as it was found before. */
function ran({ mode, readings, observations = {} }: ReadingSet): boolean {
  if (observations.compressorState !== undefined) return observations.compressorState === 'running'
  const hasBoth = readings.suctionPressure !== undefined && readings.liquidPressure !== undefined
  return mode !== 'off' && ((readings.compressorAmps?.value ?? 0) > 0 || hasBoth)
}

/** What is carried to a set: all that lasts, but nothing electrical to one that ran. */
function carriedTo(set: ReadingSet): {
  readonly readings: readonly string[]
  readonly words: readonly string[]
} {
  if (!ran(set)) return { readings: LASTING_READINGS, words: LASTING_FINDINGS }
  return {
    readings: LASTING_READINGS.filter((key) => readingRow(key).place !== 'electrical'),
    words: LASTING_FINDINGS.filter(isCircuitWord),
  }
}

/**
 * A set with what earlier sets found and nobody repaired since: windings, ground, parts that were seen. What it says itself
 * stands over what they say; a reading taken again keeps the earlier ones as its history.
 * @param all sets of the repair, in the order in which they were taken
 * @param repairedAt when something was last repaired, ms; undefined where nothing was
 * @returns the set itself where nothing is added
 */
export function withFindings<S extends ReadingSet>(set: S, all: readonly S[], repairedAt?: number): S {
  const earlier = earlierSets(set, all, repairedAt)
  if (earlier.length === 0) return set
  const carried = carriedTo(set)
  const found = earlier
    .map(({ readings }, i) =>
      withPlaces(picked(readings, carried.readings), latestWords(earlier.slice(0, i + 1)), {
        ...latestWords(earlier),
        ...set.observations,
      }),
    )
    .reduce(withEarlier, {})
  const words = Object.assign({}, ...earlier.map(({ observations }) => picked(observations, carried.words)))
  if (Object.keys(found).length + Object.keys(words).length === 0) return set
  return {
    ...set,
    readings: withEarlier(found, withPlaces(set.readings, { ...words, ...set.observations })),
    observations: { ...words, ...set.observations },
  }
}
