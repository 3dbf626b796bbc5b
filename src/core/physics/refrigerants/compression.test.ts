import { seededRandom } from '../../base/numeric/random'
import { REFRIGERANT_NAMES } from './catalogue'
import { compress, USUAL_EFFICIENCY } from './compression'
import { liquidTemperature, subcooledLiquid } from './liquid'
import {
  bubbleAtMeanCondensing,
  dewAtMeanEvaporating,
  meanCondensing,
  meanEvaporating,
} from './meanTemperature'
import { saturatedState, saturationPressure } from './saturation'
import {
  gasAt,
  gasEnthalpy,
  gasEnthalpyOfEntropy,
  gasOfEnthalpy,
  isobarAt,
  superheatOfEnthalpy,
} from './vapour'

describe.each(REFRIGERANT_NAMES)('%s', (name) => {
  test('compression: work by its efficiency, entropy never falls, hotter with superheat', () => {
    const { suction, discharge, work, isentropicWork } = compress(name, 275, 315, 8)
    expect(work * USUAL_EFFICIENCY).toBeCloseTo(isentropicWork, 3)
    expect(discharge.enthalpy - suction.enthalpy).toBeCloseTo(work, 0)
    expect(discharge.entropy).toBeGreaterThan(suction.entropy)
    expect(compress(name, 275, 315, 20).discharge.temperature).toBeGreaterThan(discharge.temperature)
    expect(compress(name, 275, 315, -5).suction.temperature).toBe(275)
  })
  test('an isobar: density falls, enthalpy and entropy rise, inverses come back', () => {
    const isobar = isobarAt(name, 290)
    const states = [0, 2, 5, 11, 30, 70, 120, 150].map((superheat) => gasAt(isobar, superheat))
    for (let i = 1; i < states.length; i++) {
      expect(states[i]!.density).toBeLessThan(states[i - 1]!.density)
      expect(states[i]!.enthalpy).toBeGreaterThan(states[i - 1]!.enthalpy)
      expect(states[i]!.entropy).toBeGreaterThan(states[i - 1]!.entropy)
    }
    const random = seededRandom(12)
    for (let i = 0; i < 50; i++) {
      const superheat = 120 * random()
      const { enthalpy, entropy } = gasAt(isobar, superheat)
      expect(gasEnthalpy(isobar, superheat)).toBeCloseTo(enthalpy, 6)
      expect(superheatOfEnthalpy(isobar, enthalpy)).toBeCloseTo(superheat, 5)
      expect(Math.abs(gasEnthalpyOfEntropy(isobar, entropy) - enthalpy)).toBeLessThan(1)
    }
  })
  test('wet states: the dew point by enthalpy, a falling enthalpy by entropy', () => {
    const isobar = isobarAt(name, 290)
    expect(gasOfEnthalpy(isobar, isobar.dew.enthalpy - 1000).temperature).toBe(290)
    expect(gasEnthalpyOfEntropy(isobar, isobar.dew.entropy - 10)).toBeCloseTo(isobar.dew.enthalpy - 2900, 3)
  })
  test('the isobar leaves the dew line with its heat capacity', () => {
    const isobar = isobarAt(name, 285)
    const slope = (gasEnthalpy(isobar, 0.05) - isobar.dew.enthalpy) / 0.05
    expect(Math.abs(slope / isobar.dew.heatCapacity - 1)).toBeLessThan(0.01)
  })
  test('liquid: pressure makes it a little denser, its enthalpy gives its temperature back', () => {
    const pascals = saturationPressure(name, 'bubble', 315)
    const { density, enthalpy } = subcooledLiquid(name, 300, pascals)
    expect(density).toBeGreaterThan(saturatedState(name, 'bubble', 300).density)
    expect(density).toBeLessThan(1.05 * saturatedState(name, 'bubble', 300).density)
    expect(Math.abs(liquidTemperature(name, enthalpy) - 300)).toBeLessThan(0.3)
  })
  test('mean temperatures and their inverses', () => {
    const dew = dewAtMeanEvaporating(name, 277)
    expect(meanEvaporating(name, saturationPressure(name, 'dew', dew))).toBeCloseTo(277, 5)
    const bubble = bubbleAtMeanCondensing(name, 316)
    expect(meanCondensing(name, saturationPressure(name, 'bubble', bubble))).toBeCloseTo(316, 5)
    expect(dew).toBeGreaterThanOrEqual(277 - 0.1)
    expect(bubble).toBeLessThanOrEqual(316 + 0.1)
  })
})
