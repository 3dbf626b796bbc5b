import type { ReadingSet } from '../readings/schema'
import { asksOf, drawnUnit, knownUnit, understood, unknownOf } from './asked'
import type { Plate } from './unit'

const FULL: Plate = { kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' }
const set = (part: Partial<ReadingSet>): ReadingSet => ({ mode: 'cooling', readings: {}, ...part })
const PRESSURE = set({ readings: { suctionPressure: { value: 68, unit: 'psig' } } })
const AIR = set({ readings: { outdoorAirTemp: { value: 95, unit: 'F' } } })
const OHMS = set({ readings: { ohmsCR: { value: 1, unit: 'ohm' } }, observations: { breaker: 'trips' } })

test.each([
  ['nothing read yet', {}, [], ['kind']],
  ['windings alone', {}, [OHMS], ['kind']],
  ['an air temperature', {}, [AIR], ['metering', 'kind']],
  ['frost seen', {}, [set({ observations: { frostPattern: 'whole-coil' } })], ['metering', 'kind']],
  ['a pressure', {}, [OHMS, PRESSURE], ['refrigerant', 'metering', 'kind']],
  ['a pressure, the refrigerant known', { refrigerant: 'R-22' }, [PRESSURE], ['metering', 'kind']],
  ['everything known', FULL, [PRESSURE, AIR, OHMS], []],
] as const)('%s: %j asks for %j', (_name, plate, sets, asked) => {
  expect(asksOf(plate as Plate, sets)).toEqual(asked)
})

test('a full plate is drawn as it is; a silent one is filled up and still known to be silent', () => {
  expect(drawnUnit(FULL)).toBe(FULL)
  const plate: Plate = { name: 'Dome', metering: 'capillary' }
  expect(drawnUnit(plate)).toMatchObject({ name: 'Dome', metering: 'capillary', kind: 'other' })
  expect(unknownOf(plate)).toEqual(['refrigerant', 'kind'])
})

test('pressures of an unknown refrigerant are left out of what is computed, nothing else', () => {
  const both = set({ readings: { ...PRESSURE.readings, ...AIR.readings } })
  expect(Object.keys(understood({}, both).readings)).toEqual(['outdoorAirTemp'])
  expect(understood({ refrigerant: 'R-22' }, both)).toBe(both)
  expect(understood({}, AIR)).toBe(AIR)
})

test('a computation that needs the plate says what to write', () => {
  expect(knownUnit(FULL)).toBe(FULL)
  expect(() => knownUnit({ kind: 'split-ac' })).toThrow(
    /does not tell refrigerant, metering: write unit.refrigerant/,
  )
})
