/** What can be written down so that a figure need not be assumed, in words that go into a sentence. */
export const ENTRIES = {
  nominalTons: 'the tons of the plate',
  factoryCharge: 'the plate charge',
  oilCharge: 'the oil charge of the plate',
  oilKind: 'the kind of oil',
  lineLength: 'the length of the lines',
  lineLiquid: 'the size of the liquid line',
  lineVapour: 'the size of the vapour line',
  lineIncluded: 'the length of line that the plate charge includes',
  oldDryer: 'the cubic inches of the old dryer',
  designPressures: 'the design pressures of the plate',
  coldestOutdoor: 'the coldest outdoor air of the site',
  hoursOpen: 'how long it was open',
  weather: 'the weather while it was open',
  oilOut: 'the oil that came out',
  newOil: 'the oil on the box of the new compressor',
  oilPorts: 'whether the compressor has oil ports',
  headControl: 'whether head pressure is held by the fan or by flooding',
  oilTest: 'a test of the oil',
  cylinder: 'the water capacity of the cylinder',
  feederTubes: 'the number of feeder tubes',
  pumpSetup: 'hoses and pump',
} as const satisfies Record<string, string>
export type EntryId = keyof typeof ENTRIES

/** "the plate charge and the length of the lines"; empty for nothing. */
export function entriesText(ids: readonly EntryId[]): string {
  const words = ids.map((id) => ENTRIES[id])
  const last = words.at(-1)
  return words.length < 2 ? (last ?? '') : `${words.slice(0, -1).join(', ')} and ${last}`
}
