import { fromKelvin } from '../base/units/convert'
import { localAtmosphere, SEA_LEVEL_PASCALS } from '../base/units/atmosphere'
import { saturatesAt } from './saturatesAt'

const F = (kelvin: number) => fromKelvin(kelvin, 'F')

test.each([
  // [std: property tables, CoolProp reference values of refrigerants.test.ts] 68.5 psig is 40 F on R-22
  ['R-22', 68.6, 40, 40],
  // R-407C has a glide of about 11 F there
  ['R-407C', 64, 29.5, 40.5],
] as const)('%s at %f psig: bubble %f F, dew %f F', (name, value, bubble, dew) => {
  const at = saturatesAt(name, { value, unit: 'psig' }, SEA_LEVEL_PASCALS)
  if (typeof at === 'string') throw new Error(at)
  expect(Math.abs(F(at.bubble) - bubble)).toBeLessThan(1)
  expect(Math.abs(F(at.dew) - dew)).toBeLessThan(1)
})

test('a gauge reads against the local air: at 1,750 m the same figure is colder', () => {
  const at = (atmosphere: number) => {
    const found = saturatesAt('R-410A', { value: 118, unit: 'psig' }, atmosphere)
    return typeof found === 'string' ? NaN : F(found.dew)
  }
  // handbook 02: over 1 F colder
  expect(at(SEA_LEVEL_PASCALS) - at(localAtmosphere(1750))).toBeGreaterThan(1)
})

test('a pressure outside of the tables is told in a sentence', () => {
  expect(saturatesAt('R-22', { value: 5000, unit: 'psig' }, SEA_LEVEL_PASCALS)).toMatch(
    /^R-22 has saturation data from .* is outside\.$/,
  )
})
