import { hasReversingValve } from '@/core/record/equipment/kinds'
import { canObserve } from '@/core/record/equipment/observable'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { observationRow, type PlacedKey } from '@/core/record/readings/observations'
import { placesOf } from '@/core/record/readings/places'
import type { ReadingSet } from '@/core/record/readings/schema'
import { type PlaceId, SEEN_AT } from '@/ui/circuit/seenPlaces'
import type { Seen } from '@/ui/circuit/PlaceButtons'

/** Places that only some units have. */
const has = (unit: UnitPlate, place: PlaceId): boolean => {
  if (place === 'accumulator') return unit.accumulator !== false
  if (place === 'rvIn') return hasReversingValve(unit)
  return true
}

/** A question of what is seen, laid on the drawing of a unit. */
export function seenOnDrawing(
  unit: UnitPlate,
  key: PlacedKey,
  set: Pick<ReadingSet, 'observations' | 'also'>,
  onAnswer: (word: string) => void,
): Seen | undefined {
  if (!canObserve(unit, key)) return undefined
  const places = Object.entries(SEEN_AT[key]) as [string, PlaceId][]
  return {
    question: observationRow(key).label,
    answers: places
      .filter(([, place]) => has(unit, place))
      .map(([value, place]) => ({ value, place, chosen: (placesOf(set, key) as string[]).includes(value) })),
    onAnswer,
  }
}
