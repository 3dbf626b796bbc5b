import fc from 'fast-check'
import { localAtmosphere } from './atmosphere'
import {
  differenceFromKelvin,
  differenceToKelvin,
  fromKelvin,
  fromPascals,
  fromSI,
  toKelvin,
  toPascals,
  toSI,
} from './convert'
import { parseQuantity } from './parseQuantity'
import { type PressureUnit, type TemperatureUnit, UNITS, type Unit, unitsOf } from './units'

describe('published equivalents', () => {
  test.each([
    ['1 psia', toPascals({ value: 1, unit: 'psia' }), 6894.757293168], // [std: NIST SP 811 table B.8]
    ['1 inHg below sea level', 101325 - toPascals({ value: 1, unit: 'inHgVac' }), 3386.389], // [std: NIST SP 811]
    ['760,000 microns', toPascals({ value: 760_000, unit: 'micron' }), 101325.0144], // [std: NIST SP 811, mmHg conventional]
    ['1 bar', toPascals({ value: 1, unit: 'bar' }), 1e5],
    ['32 F', toKelvin({ value: 32, unit: 'F' }), 273.15],
    ['212 F', toKelvin({ value: 212, unit: 'F' }), 373.15],
    ['-40 F is -40 C', toKelvin({ value: -40, unit: 'F' }), toKelvin({ value: -40, unit: 'C' })],
    ['1 lb', toSI({ value: 1, unit: 'lb' }), 0.45359237],
    ['16 oz', toSI({ value: 16, unit: 'oz' }), 0.45359237],
    ['1 fl oz', toSI({ value: 1, unit: 'floz' }), 29.5735295625e-6], // [std: NIST SP 811]
    ['1 cfm', toSI({ value: 1, unit: 'cfm' }), 4.719474432e-4], // [std: NIST SP 811]
    ['9 F difference', differenceToKelvin(9, 'F'), 5],
  ])('%s', (_name, actual, expected) => {
    expect(Math.abs(actual / expected - 1)).toBeLessThan(1e-6)
  })
})

describe('ICAO standard atmosphere', () => {
  // [std: ICAO Doc 7488 table, geopotential altitude]
  test.each([
    [0, 101325],
    [500, 95461],
    [1000, 89875],
    [2000, 79495],
    [5000, 54020],
  ])('%i m is %i Pa', (metres, pascals) => {
    expect(Math.abs(localAtmosphere(metres) - pascals)).toBeLessThan(1)
  })
  test('about 82 kPa at 1,750 m', () => expect(localAtmosphere(1750) / 1000).toBeCloseTo(82.0, 1))
  test.each([Number.NaN, -1001, 11001])('refuses %p m', (metres) => {
    expect(() => localAtmosphere(metres)).toThrow(/11,000 m/)
  })
})

const finite = fc.double({ min: -50, max: 5000, noNaN: true })

test('every unit survives a round trip', () => {
  fc.assert(
    fc.property(fc.constantFrom(...(Object.keys(UNITS) as Unit[])), finite, (unit, value) => {
      const kind = UNITS[unit].kind
      if (kind === 'temperature') {
        fc.pre(unit !== 'K' || value > 0)
        expect(
          fromKelvin(toKelvin({ value, unit: unit as TemperatureUnit }), unit as TemperatureUnit),
        ).toBeCloseTo(value, 8)
        expect(
          differenceFromKelvin(differenceToKelvin(value, unit as TemperatureUnit), unit as TemperatureUnit),
        ).toBeCloseTo(value, 8)
      } else if (kind === 'pressure') {
        const shown = unit === 'inHgVac' ? value / 200 : Math.abs(value) + 1
        const pascals = toPascals({ value: shown, unit: unit as PressureUnit }, 82_000)
        expect(fromPascals(pascals, unit as PressureUnit, 82_000)).toBeCloseTo(shown, 6)
      } else expect(fromSI(toSI({ value, unit }), unit)).toBeCloseTo(value, 8)
    }),
    { seed: 22, numRuns: 500 },
  )
})

test('a gauge reads against the local air', () => {
  const high = toPascals({ value: 118, unit: 'psig' }, localAtmosphere(1750))
  expect(toPascals({ value: 118, unit: 'psig' }) - high).toBeCloseTo(101325 - localAtmosphere(1750), 6)
})

test.each([
  ['below a perfect vacuum', () => toPascals({ value: -20, unit: 'psig' }), 'perfect vacuum'],
  ['no number', () => toPascals({ value: Number.NaN, unit: 'psig' }), 'not a number'],
  ['below absolute zero', () => toKelvin({ value: -500, unit: 'F' }), 'absolute zero'],
  ['a pressure as plain SI', () => toSI({ value: 1, unit: 'psig' }), 'pressure or temperature'],
])('%s is refused', (_name, act, message) => expect(act).toThrow(message))

describe('quantities typed as text', () => {
  test.each([
    ['40F', 'temperature', 40, 'F'],
    [' -12.5 C ', 'temperature', -12.5, 'C'],
    ['118psig', 'pressure', 118, 'psig'],
    ['1750m', 'length', 1750, 'm'],
    ['400 m3/h', 'flow', 400, 'm3/h'],
  ] as const)('%s', (text, kind, value, unit) => expect(parseQuantity(text, kind)).toEqual({ value, unit }))
  test.each([
    ['forty F', 'temperature', 'bad-number'],
    ['40', 'temperature', 'bad-number'],
    ['40 parsec', 'length', 'unknown-unit'],
    ['40 psig', 'temperature', 'wrong-unit'],
    ['1,000 psig', 'pressure', 'bad-number'],
  ] as const)('%s is refused', (text, kind, code) => {
    expect(() => parseQuantity(text, kind)).toThrow(expect.objectContaining({ code }))
  })
  test('differences use the temperature units', () => {
    expect(unitsOf('temperatureDifference')).toEqual(['F', 'C', 'K'])
  })
})
