import { toKelvin } from '../../base/units/convert'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Measured, Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'

/** Where liquid can lie while the circuit stands: the surroundings of coils and receiver, and clamps on the circuit itself. */
const PLACES: readonly ReadingKey[] = [
  'outdoorAirTemp',
  'boxTemp',
  'returnAirTemp',
  'waterInTemp',
  'waterOutTemp',
  'compressorShellTemp',
  'evaporatorOutletTemp',
  'suctionLineTemp',
  'liquidLineTemp',
  'dryerInTemp',
  'dryerOutTemp',
  'meteringInletTemp',
]

/** Places of the side that is cooled: where none of them was read, liquid may lie there, colder than the rest. */
const INSIDE: readonly ReadingKey[] = ['boxTemp', 'returnAirTemp', 'evaporatorOutletTemp', 'suctionLineTemp']
/** [practice] the coldest that the cooled side may be where nobody read it: a box as it is kept, a room that was cooled. F */
const COLD_BOXES: { readonly [K in UnitPlate['kind']]?: number } = {
  'walk-in-cooler': 32,
  'walk-in-freezer': -10,
  'reach-in': 32,
}
const COLD_ROOM = 60

/** The coldest that the cooled side may be, K; undefined where one of its places was read, and so is known. */
export function coldestUnread(unit: Pick<UnitPlate, 'kind'>, { values }: Snapshot): number | undefined {
  if (INSIDE.some((key) => values[key])) return undefined
  return toKelvin({ value: COLD_BOXES[unit.kind] ?? COLD_ROOM, unit: 'F' })
}

export type Place = { readonly key: ReadingKey; readonly at: Measured }

/** The coldest and the warmest place that were measured; undefined where none was. */
export function placesAtRest({ values }: Snapshot): { coldest: Place; warmest: Place } | undefined {
  const found = PLACES.flatMap((key): Place[] => {
    const at = values[key]
    return at ? [{ key, at }] : []
  }).sort((a, b) => a.at.value - b.at.value)
  const [coldest, warmest] = [found[0], found.at(-1)]
  return coldest && warmest ? { coldest, warmest } : undefined
}
