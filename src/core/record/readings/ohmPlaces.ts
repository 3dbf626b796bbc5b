import { WINDING_KEYS } from './lasting'
import type { ObservationKey } from './observations'
import type { Observations, OhmPlace, Reading, Readings } from './schema'
import type { ReadingKey } from './vocabulary'

type PlaceWord = Extract<ObservationKey, 'groundMeasuredAt' | 'windingsMeasuredAt'>

const WORD_OF: Readonly<Record<string, PlaceWord>> = {
  ohmsToGround: 'groundMeasuredAt',
  ...Object.fromEntries(WINDING_KEYS.map((key) => [key, 'windingsMeasuredAt' as const])),
}

/** The word that says where a reading is measured; undefined where the place tells nothing. */
export const placeWordOf = (key: ReadingKey): PlaceWord | undefined => WORD_OF[key]

/** The readings whose place a word says. */
export const readingsOfPlaceWord = (word: string): ReadingKey[] =>
  (Object.keys(WORD_OF) as ReadingKey[]).filter((key) => WORD_OF[key] === word)

const placeOr = (place: OhmPlace | undefined, word: OhmPlace | undefined): OhmPlace =>
  place ?? word ?? 'contactor'

/** Where the ohms of a reading were measured: as it was said when they were, else by the word of their set, else the contactor. */
export function ohmPlaceOf(
  key: ReadingKey,
  reading: Reading | undefined,
  observations: Observations,
): OhmPlace {
  const word = placeWordOf(key)
  return placeOr(reading?.place, word && observations[word])
}

/**
 * Readings with the place at which each was measured, so that the word of a later set does not move it.
 * @param until words that were said until then
 * @param later words of later sets too: what nobody had placed came from the contactor, whatever is said afterwards
 */
export function withPlaces(readings: Readings, until: Observations, later: Observations = {}): Readings {
  const placed = (Object.keys(WORD_OF) as ReadingKey[]).flatMap((key) => {
    const [reading, word] = [readings[key], placeWordOf(key)]
    const isSaid = word !== undefined && (until[word] ?? later[word]) !== undefined
    return reading && !reading.place && isSaid
      ? [[key, { ...reading, place: ohmPlaceOf(key, reading, until) }]]
      : []
  })
  return placed.length === 0 ? readings : { ...readings, ...(Object.fromEntries(placed) as Readings) }
}

/** Where the winding pairs of a set were measured: the terminals only where every one of them was. */
export function windingsPlace(readings: Readings, observations: Observations): OhmPlace | undefined {
  const taken = WINDING_KEYS.filter((key) => readings[key] !== undefined)
  if (taken.length === 0) return undefined
  const isThere = taken.every((key) => ohmPlaceOf(key, readings[key], observations) === 'terminals')
  return isThere ? 'terminals' : 'contactor'
}
