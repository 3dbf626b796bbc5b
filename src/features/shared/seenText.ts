import { type PlacedKey, wordText } from '@/core/record/readings/observations'
import { placesOf } from '@/core/record/readings/places'
import type { ReadingSet } from '@/core/record/readings/schema'

/** "joint and valve stem": every place at which something is seen; empty where nothing was said. */
export const placesText = (set: Pick<ReadingSet, 'observations' | 'also'>, key: PlacedKey): string =>
  placesOf(set, key)
    .map((word) => wordText(key, word))
    .join(' and ')
