import { plateDoubts } from './plausible'
import type { UnitPlate } from './unit'

const SOUND: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 6.4, unit: 'lb' },
  targetSubcooling: { value: 10, unit: 'F' },
  power: { phase: 1, volts: 230, rla: 15.4, lra: 83 },
  designPressures: { high: { value: 450, unit: 'psig' }, low: { value: 250, unit: 'psig' } },
  crankcaseHeater: { watts: 40 },
}

test('a sound plate, and one with nothing on it, raise nothing', () => {
  expect(plateDoubts(SOUND)).toEqual([])
  expect(plateDoubts({ kind: 'other', refrigerant: 'R-22', metering: 'txv' })).toEqual([])
})

test.each([
  ['lra-rla', { power: { ...SOUND.power, rla: 83, lra: 15.4 }, nominalTons: undefined }, /swapped/],
  ['charge-tons', { factoryCharge: { value: 102, unit: 'lb' } }, /102 lb for 3 tons/],
  ['charge-tons', { factoryCharge: { value: 6.4, unit: 'oz' } }, /oz, lb, kg/],
  ['amps-tons', { nominalTons: 30 }, /kW for 30 tons/],
  ['volts', { power: { phase: 1, volts: 460 } }, /460 V on 1 phase/],
  ['subcooling', { targetSubcooling: { value: 40, unit: 'F' } }, /subcooling of 40 F/],
  ['subcooling', { targetSubcooling: { value: 18, unit: 'K' } }, /18 K/],
  ['heater-watts', { crankcaseHeater: { watts: 4000 } }, /4000 W/],
  [
    'design-pressures',
    { designPressures: { high: { value: 250, unit: 'psig' }, low: { value: 450, unit: 'psig' } } },
    /swapped/,
  ],
] as const)('%s: %j', (id, change, sentence) => {
  const doubts = plateDoubts({ ...SOUND, ...change } as UnitPlate)
  expect(doubts.find((doubt) => doubt.id === id)?.sentence).toMatch(sentence)
})

test('a box with a receiver may hold far more a ton', () => {
  const charge = { factoryCharge: { value: 24, unit: 'lb' }, nominalTons: 1.5, power: undefined } as const
  expect(plateDoubts({ ...SOUND, ...charge, kind: 'walk-in-cooler' })).toEqual([])
  expect(plateDoubts({ ...SOUND, ...charge }).map(({ id }) => id)).toEqual(['charge-tons'])
})
