import { fromPascals, toKelvin } from '../../base/units/convert'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Readings } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import { lowPressureAdvice, lowPressureFlags } from './lowPressureControl'

const AIR = 101_325
const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
/** Its box is kept at 35 to 38 F; a reach-in has no liquid valve, so no weather. */
const BOX: UnitPlate = {
  kind: 'reach-in',
  refrigerant: 'R-134a',
  metering: 'txv',
  control: { setpoint: f(35), differential: { value: 3, unit: 'F' } },
}
const gaugeAt = (fahrenheit: number, name: UnitPlate['refrigerant'] = 'R-134a') =>
  fromPascals(saturationPressure(name, 'dew', toKelvin(f(fahrenheit))), 'psig', AIR)
const flags = (readings: Readings, unit = BOX) =>
  lowPressureFlags(unit, takeSnapshot({ mode: 'off', readings, observations: {} }, unit.refrigerant, AIR))
    .map(({ sentence }) => sentence)
    .join(' ')

describe('a low-pressure control, just below and just above (handbook 13)', () => {
  const warm = gaugeAt(38)
  test.each([
    [-0.1, false],
    [0.1, true],
  ])('cut-in %f psi from saturation at the warm limit: refused %s', (by, isRefused) =>
    expect(/will not start again/.test(flags({ lowCutIn: psig(warm + by) }))).toBe(isRefused),
  )
  test.each([
    [-0.1, true],
    [0.1, false],
  ])('cut-out at %f psig draws air: %s', (gauge, isRefused) =>
    expect(/then draws air/.test(flags({ lowCutOut: psig(gauge) }))).toBe(isRefused),
  )
  // a coil boils 12 F below its box [practice]
  const cold = gaugeAt(23)
  test.each([
    [-0.1, false],
    [0.1, true],
  ])('cut-out %f psi from saturation at the coil of the setpoint stops too early: %s', (by, isRefused) =>
    expect(/before the box is cold/.test(flags({ lowCutOut: psig(cold + by) }))).toBe(isRefused),
  )
  test.each([
    [7.9, true],
    [8.1, false],
  ])('cut-in and cut-out %f psi apart short-cycle: %s', (apart, isRefused) =>
    expect(/short-cycles/.test(flags({ lowCutIn: psig(5 + apart), lowCutOut: psig(5) }))).toBe(isRefused),
  )
  test('what is set: two psi below the limit, about three above nothing', () => {
    expect(lowPressureAdvice(BOX)).toMatch(
      new RegExp(`cut-in to ${(warm - 2).toFixed(1)} psig or less, the cut-out to about 3.0 psig`),
    )
  })
  test('with a pump-down outdoors the coldest weather limits it, until no setting fits', () => {
    const walkIn = (coldest: number): UnitPlate => ({
      ...BOX,
      kind: 'walk-in-cooler',
      control: { ...BOX.control!, coldestOutdoor: f(coldest) },
    })
    // cut-in 2 below saturation outdoors, cut-out 3: eight apart are left down to 13 psig
    const least = [...Array(80).keys()].map((i) => 35 - i).find((outdoor) => gaugeAt(outdoor) < 13)!
    expect(lowPressureAdvice(walkIn(least + 1))).toMatch(/Set the cut-in/)
    expect(lowPressureAdvice(walkIn(least))).toMatch(/No setting/)
    expect(lowPressureAdvice(walkIn(50))).toMatch(/warm limit/)
    expect(lowPressureAdvice(walkIn(30))).toMatch(/coldest outdoor air/)
  })
  test('what cools no box, or has no setpoint, is set by nothing', () => {
    expect(lowPressureAdvice({ ...BOX, kind: 'split-ac' })).toBeUndefined()
    expect(lowPressureAdvice({ kind: 'reach-in', refrigerant: 'R-134a', metering: 'txv' })).toBeUndefined()
  })
})
