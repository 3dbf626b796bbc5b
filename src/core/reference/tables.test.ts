import { REFRIGERANT_NAMES } from '../physics/refrigerants/catalogue'
import { orificeSuperheat } from '../diagnosis/targets/orificeFormula'
import { differenceFromKelvin, fromSI, toKelvin, toPascals } from '../base/units/convert'
import { boilingPressure, boilingTemperatureOfWater } from './boilingWater'
import { compareRefrigerants } from '../repair/charge/compareRefrigerants'
import { innerArea, TUBES } from '../physics/processes/tubes'
import { lineSetAdder } from '../repair/charge/lineSetAdder'
import { saturationAtPressure, saturationAtTemperature, saturationRows } from './saturationRows'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const FOOT = 0.3048
const ounces = (kilograms: number) => fromSI(kilograms, 'oz')

describe('saturation', () => {
  test('rows rise, and stop where the table stops', () => {
    const rows = saturationRows('R-410A', f(-150), f(220), 5 / 1.8)
    expect(rows[0]!.temperature).toBeGreaterThan(f(-105))
    expect(rows.at(-1)!.temperature).toBeLessThan(f(152))
    for (const [i, row] of rows.entries()) if (i > 0) expect(row.dew).toBeGreaterThan(rows[i - 1]!.dew)
  })
  test('pressure and temperature lead back to each other; R-407C glides, R-22 does not', () => {
    const at = saturationAtTemperature('R-407C', f(40))
    expect(saturationAtPressure('R-407C', at.dew).dew).toBeCloseTo(f(40), 5)
    expect(saturationAtPressure('R-407C', at.bubble).bubble).toBeCloseTo(f(40), 5)
    expect(differenceFromKelvin(at.glide, 'F')).toBeGreaterThan(8)
    expect(saturationAtTemperature('R-22', f(40)).glide).toBeCloseTo(0, 6)
  })
})

describe('boiling water, handbook 08 [std: ASHRAE formulation]', () => {
  test.each([
    [75, 22_000],
    [32, 4_580],
    [212, 760_000],
  ])('%i F under about %i microns', (fahrenheit, microns) => {
    const own = boilingPressure(f(fahrenheit)) / toPascals({ value: 1, unit: 'micron' })
    expect(Math.abs(own / microns - 1)).toBeLessThan(0.02)
  })
  test('the inverse comes back', () => {
    for (const fahrenheit of [-40, 20, 75, 150]) {
      expect(boilingTemperatureOfWater(boilingPressure(f(fahrenheit)))).toBeCloseTo(f(fahrenheit), 4)
    }
  })
  test('outside its table it says so', () => {
    expect(() => boilingPressure(10)).toThrow(/runs from/)
    expect(() => boilingTemperatureOfWater(0)).toThrow(/runs from/)
  })
})

describe('line-set adder, handbook 09 [physics]', () => {
  test.each([
    ['1/4 in', 0.195],
    ['3/8 in', 0.52],
    ['1/2 in', 1.02],
  ] as const)('R-410A liquid in %s: %f oz a foot', (tube, wanted) => {
    expect(
      Math.abs(ounces(lineSetAdder('R-410A', tube, '3/4 in', 1).liquid * FOOT) / wanted - 1),
    ).toBeLessThan(0.03)
  })
  test('with a 3/4 in vapour line about 0.6 oz a foot', () => {
    const { liquid, vapour, total } = lineSetAdder('R-410A', '3/8 in', '3/4 in', 10 * FOOT)
    expect(Math.abs(ounces(vapour * FOOT) - 0.08)).toBeLessThan(0.01)
    expect(ounces(total)).toBeCloseTo(10 * ounces((liquid + vapour) * FOOT), 9)
    expect(ounces(total)).toBeGreaterThan(5.7)
    expect(ounces(total)).toBeLessThan(6.2)
  })
  test('a shorter line takes less; areas grow with the tube', () => {
    expect(lineSetAdder('R-22', '3/8 in', '3/4 in', -2).total).toBeLessThan(0)
    const areas = TUBES.map(({ name }) => innerArea(name))
    expect(areas).toEqual([...areas].sort((a, b) => a - b))
  })
})

describe('target superheat, handbook 03 [practice]', () => {
  test('67 F wet, 95 F outdoor: 13 F', () => expect(orificeSuperheat(67, 95)).toBe(13))
  test.each([
    [45, 80, /50 to 76 F/],
    [60, 130, /55 to 115 F/],
    [55, 110, /weigh the charge/],
  ])('%i F wet, %i F outdoor: refused with what to do', (wet, outdoor, message) => {
    expect(() => orificeSuperheat(wet, outdoor)).toThrow(message)
  })
})

describe('comparison at 40 F evaporating and 110 F condensing', () => {
  const POINT = { evaporating: f(40), condensing: f(110), superheat: 6, subcooling: 5, efficiency: 0.7 }
  const { rows, missing } = compareRefrigerants('R-22', REFRIGERANT_NAMES, POINT)
  const row = (name: string) => rows.find((each) => each.name === name)!

  test('every refrigerant has a line', () => {
    expect(rows.length + missing.length).toBe(REFRIGERANT_NAMES.length)
    expect(missing).toEqual([])
    expect(row('R-22').suitability.verdict).toBe('original')
    expect(row('R-22').relativeCapacity).toBe(1)
  })
  test('R-410A is refused in R-22 equipment for its pressure, flammables for their class', () => {
    expect(row('R-410A').suitability).toMatchObject({ verdict: 'refused' })
    expect(row('R-410A').suitability.reasons.join(' ')).toMatch(/High side \d+ %/)
    for (const name of ['R-32', 'R-454B', 'R-290', 'R-455A']) {
      expect(row(name).suitability.reasons.join(' ')).toMatch(/equipment listed/)
    }
  })
  test('R-407C is possible with POE and glide; R-438A keeps the oil; both within a few percent of capacity', () => {
    expect(row('R-407C').suitability.verdict).toBe('possible')
    expect(row('R-407C').suitability.reasons.join(' ')).toMatch(/Needs POE.*Glides/)
    expect(row('R-438A').suitability.reasons.join(' ')).not.toMatch(/Needs/)
    expect(Math.abs(row('R-407C').relativeCapacity - 1)).toBeLessThan(0.1)
    expect(row('R-438A').relativeCapacity).toBeLessThan(1)
  })
  test('a condensing temperature above a critical point is told, not computed', () => {
    const hot = compareRefrigerants('R-134a', ['R-410A', 'R-134a'], { ...POINT, condensing: f(175) })
    expect(hot.missing.map(({ name }) => name)).toEqual(['R-410A'])
    expect(hot.missing[0]!.reason).toMatch(/has saturation data/)
  })
})
