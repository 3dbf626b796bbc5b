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
