import { seededRandom } from '../../base/numeric/random'
import { fromKelvin, toKelvin, toPascals } from '../../base/units/convert'
import { localAtmosphere } from '../../base/units/atmosphere'
import { parseRefrigerant, REFRIGERANT_NAMES, type RefrigerantName } from './catalogue'
import { dischargeTemperature } from './compression'
import fixture from './fixtures/reference.json'
import { meanCondensing, meanEvaporating } from './meanTemperature'
import {
  glide,
  pressureRange,
  saturatedState,
  saturationPressure,
  saturationTemperature,
  temperatureRange,
} from './saturation'
import { tableOf } from './tables'

const LINES = ['bubble', 'dew'] as const
const fahrenheit = (value: number) => toKelvin({ value, unit: 'F' })
type Saturated = { T: number; bubble: number[]; dew: number[] }
type Fixture = { saturation: Saturated[]; vapour: number[][]; liquid: number[][]; cycles: number[][] }
const fixtures = fixture.points as unknown as Record<RefrigerantName, Fixture>
const points = Object.fromEntries(
  REFRIGERANT_NAMES.map((name) => [name, fixtures[name].saturation]),
) as Record<RefrigerantName, Saturated[]>

describe.each(REFRIGERANT_NAMES)('%s against the reference library between the nodes', (name) => {
  test('holds enough points, none of them a node', () => {
    expect(points[name].length).toBeGreaterThanOrEqual(40)
    for (const { T } of points[name]) expect(tableOf(name).temperature).not.toContain(T)
  })
  test.each(LINES)('%s temperature within 0.05 K, pressure within 0.1 %%', (line) => {
    for (const point of points[name]) {
      const pascals = point[line][0]!
      expect(Math.abs(saturationTemperature(name, line, pascals) - point.T)).toBeLessThan(0.05)
      expect(Math.abs(saturationPressure(name, line, point.T) / pascals - 1)).toBeLessThan(0.001)
    }
  })
  test.each(LINES)('%s density, enthalpy, entropy and heat capacity', (line) => {
    for (const { T, ...point } of points[name]) {
      const state = saturatedState(name, line, T)
      const [, density, enthalpy, entropy, heatCapacity] = point[line] as [
        number,
        number,
        number,
        number,
        number,
      ]
      expect(Math.abs(state.density / density - 1)).toBeLessThan(0.001)
      expect(Math.abs(state.enthalpy - enthalpy)).toBeLessThan(100)
      expect(Math.abs(state.entropy - entropy)).toBeLessThan(0.5)
      expect(Math.abs(state.heatCapacity / heatCapacity - 1)).toBeLessThan(0.005)
    }
  })
  test('starts at -73 C or below and reaches at least 65 C', () => {
    const { coldest, hottest } = temperatureRange(name)
    expect(coldest).toBeLessThanOrEqual(200.15)
    expect(hottest).toBeGreaterThan(338)
  })
  test('round trip and monotone over the whole range', () => {
    const { coldest, hottest } = temperatureRange(name)
    let before = 0
    for (let i = 0; i <= 400; i++) {
      const kelvin = coldest + ((hottest - coldest) * i) / 400
      const pascals = saturationPressure(name, 'dew', kelvin)
      expect(pascals).toBeGreaterThan(before)
      expect(saturationTemperature(name, 'dew', pascals)).toBeCloseTo(kelvin, 6)
      before = pascals
    }
  })
  test('5,000 random pressures all converge and come back within 1e-6 of themselves', () => {
    const random = seededRandom(1750)
    for (const line of LINES) {
      const { lowest, highest } = pressureRange(name, line)
      for (let i = 0; i < 5000; i++) {
        const pascals = lowest * (highest / lowest) ** random()
        const back = saturationPressure(name, line, saturationTemperature(name, line, pascals))
        if (Math.abs(back / pascals - 1) > 1e-6)
          throw new Error(`${line} ${pascals} Pa comes back as ${back}`)
      }
    }
  })
  test('outside the table: a typed error naming the range', () => {
    expect(() => saturationPressure(name, 'dew', 500)).toThrow(
      /has saturation data from -(99|103) F to \d+ F/,
    )
    expect(() => saturationPressure(name, 'dew', Number.NaN)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
    const { highest } = pressureRange(name, 'bubble')
    expect(() => saturationTemperature(name, 'bubble', highest * 1.01)).toThrow(/psia/)
    expect(() => saturationTemperature(name, 'bubble', -1)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })
})

describe('common tables, handbook 10 [memory]', () => {
  test.each([
    ['R-22', 'dew', 40, 68.5, 68.5],
    ['R-22', 'bubble', 120, 259.9, 259.9],
    ['R-410A', 'dew', 40, 118, 118],
    ['R-410A', 'bubble', 110, 365, 365],
    ['R-134a', 'dew', 40, 35, 35],
    ['R-134a', 'bubble', 100, 124, 124],
    ['R-404A', 'dew', 20, 55, 56],
    ['R-407C', 'dew', 40, 63, 64],
    ['R-407C', 'bubble', 110, 260, 260],
    ['R-32', 'dew', 40, 121, 121],
    ['R-290', 'dew', 40, 63, 64],
  ] as const)('%s %s at %i F', (name, line, degrees, low, high) => {
    const psig = (saturationPressure(name, line, fahrenheit(degrees)) - 101325) / 6894.757
    expect(psig).toBeGreaterThan(low - 2)
    expect(psig).toBeLessThan(high + 2)
  })
  test.each([
    ['R-410A', 118],
    ['R-22', 68.5],
    ['R-134a', 35],
  ] as const)('%s at %f psig reads 40 F +-0.5', (name, value) => {
    const kelvin = saturationTemperature(name, 'dew', toPascals({ value, unit: 'psig' }))
    expect(Math.abs(fromKelvin(kelvin, 'F') - 40)).toBeLessThan(0.5)
  })
  test('R-410A at 118 psig is over 1 F colder at 1,750 m', () => {
    const at = (atmosphere: number) =>
      saturationTemperature('R-410A', 'dew', toPascals({ value: 118, unit: 'psig' }, atmosphere))
    expect((at(101325) - at(localAtmosphere(1750))) * 1.8).toBeGreaterThan(1)
  })
})

test('glide: none for R-22, 9 to 11 F for R-407C at 40 F dew; the means lie between the lines', () => {
  expect(glide('R-22', 5e5)).toBeCloseTo(0, 6)
  const pascals = saturationPressure('R-407C', 'dew', fahrenheit(40))
  expect(glide('R-407C', pascals) * 1.8).toBeGreaterThan(9)
  expect(glide('R-407C', pascals) * 1.8).toBeLessThan(12)
  const dew = saturationTemperature('R-407C', 'dew', pascals)
  expect(meanEvaporating('R-407C', pascals)).toBeGreaterThan(meanCondensing('R-407C', pascals))
  expect(meanEvaporating('R-407C', pascals)).toBeLessThan(dew)
})

describe('discharge temperature at 0.7 isentropic efficiency', () => {
  // evaporating, condensing, superheat F; reference library, full superheated states, F
  test.each([
    ['R-22', 40, 110, 12, 176.6],
    ['R-22', 30, 125, 30, 231.1],
    ['R-410A', 40, 110, 12, 169.8],
    ['R-410A', 38, 127, 10, 195.7],
    ['R-134a', 20, 110, 20, 164.6],
    ['R-404A', 38, 127, 10, 161.2],
    ['R-407C', 20, 110, 20, 183.8],
    ['R-290', 30, 125, 30, 185.4],
    ['R-32', 40, 110, 12, 202.4],
  ] as const)('%s %i/%i F, superheat %i', (name, evaporating, condensing, superheat, reference) => {
    const kelvin = dischargeTemperature(
      name,
      fahrenheit(evaporating),
      fahrenheit(condensing),
      superheat / 1.8,
    )
    expect(Math.abs(fromKelvin(kelvin, 'F') - reference)).toBeLessThan(7)
  })
})

test.each([
  ['r410a', 'R-410A'],
  ['454b', 'R-454B'],
  ['R 134A', 'R-134a'],
])('%s means %s', (word, name) => expect(parseRefrigerant(word)).toBe(name))
test('an unknown refrigerant names the known ones', () => {
  expect(() => parseRefrigerant('R-999')).toThrow(/R-22, R-410A/)
})
