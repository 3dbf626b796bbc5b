import { firstAsked } from './plateFields'
import { SHOWN_TAPS, tapsOf } from './taps'
import { UNIT_KINDS, type UnitPlate } from './unit'

const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({
  kind: 'split-ac',
  refrigerant: 'R-22',
  metering: 'txv',
  ...part,
})

test('at rest what a standing circuit tells comes first, and each side has its tap', () => {
  const taps = tapsOf(plate({ kind: 'walk-in-cooler' }), 'off')
  expect(taps.slice(0, 5)).toEqual([
    'standingPressure',
    'standingSuctionPressure',
    'standingLiquidPressure',
    'outdoorAirTemp',
    'boxTemp',
  ])
  expect(new Set(taps).size).toBe(taps.length)
})

test.each(UNIT_KINDS)('%s: running, the sides at rest are not walked; no tap is lost at rest', (kind) => {
  const running = tapsOf(plate({ kind }))
  expect(running).not.toContain('standingLiquidPressure')
  expect(tapsOf(plate({ kind }), 'off')).toEqual(expect.arrayContaining(running))
  expect(running.filter((key) => SHOWN_TAPS.includes(key))).toEqual([])
  // five things are asked first: kind, refrigerant, metering device and two more
  expect(new Set(firstAsked({ kind })).size).toBe(2)
})
