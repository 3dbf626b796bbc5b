import { type ObservationValue, type PlacedKey, SEVERAL_PLACES, wordText } from './observations'
import type { AlsoSeen, Observations } from './schema'

type Seen = { readonly observations?: Observations | undefined; readonly also?: AlsoSeen | undefined }

export const isPlaced = (key: string): key is PlacedKey => (SEVERAL_PLACES as readonly string[]).includes(key)

/** Every place at which something is seen, the first said first; "none" stands alone. */
export const placesOf = <K extends PlacedKey>(
  { observations, also }: Seen,
  key: K,
): ObservationValue<K>[] => {
  const first = observations?.[key] as ObservationValue<K> | undefined
  return first === undefined ? [] : [first, ...((also?.[key] ?? []) as ObservationValue<K>[])]
}

/** The places after one was tapped: put there or taken away; "none" and a place exclude each other. */
export function withPlace<K extends PlacedKey>(
  places: readonly ObservationValue<K>[],
  word: ObservationValue<K>,
): ObservationValue<K>[] {
  if (places.includes(word)) return places.filter((each) => each !== word)
  return word === 'none' ? [word] : [...places.filter((each) => each !== 'none'), word]
}

/** "joint and valve stem": every place at which something is seen; empty where nothing was said. */
export const placesText = (set: Seen, key: PlacedKey): string =>
  placesOf(set, key)
    .map((word) => wordText(key, word))
    .join(' and ')
