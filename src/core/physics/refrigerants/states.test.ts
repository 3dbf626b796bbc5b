import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { gzipSync } from 'node:zlib'
import { REFRIGERANT_NAMES, refrigerantRow, type RefrigerantName } from './catalogue'
import { idealCycle } from './cycle'
import fixture from './fixtures/reference.json'
import { qualityAfterThrottling, subcooledLiquid } from './liquid'
import { saturatedState, saturationPressure } from './saturation'
import { enthalpyOfEntropy, superheatedVapour, vapourAt, vapourOfEnthalpy } from './vapour'
import { warmingPotential } from './warming'

type Row = number[]
type Fixture = { vapour: Row[]; liquid: Row[]; cycles: Row[] }
const fixtures = fixture.points as unknown as Record<RefrigerantName, Fixture>
const share = (value: number, reference: number) => Math.abs(value / reference - 1)

describe.each(REFRIGERANT_NAMES)('%s: states against the reference library', (name) => {
  const { vapour, liquid, cycles } = fixtures[name]

  test('superheated vapour: enthalpy 0.5 kJ/kg, entropy, density 0.5 %', () => {
    expect(vapour).toHaveLength(30)
    for (const [dew, superheat, pascals, enthalpy, entropy, density] of vapour as [
      number,
      number,
      number,
      number,
      number,
      number,
    ][]) {
      for (const state of [
        superheatedVapour(name, dew, superheat),
        vapourAt(name, pascals, dew + superheat),
      ]) {
        expect(Math.abs(state.enthalpy - enthalpy)).toBeLessThan(500)
        expect(Math.abs(state.entropy - entropy)).toBeLessThan(2)
        expect(share(state.density, density)).toBeLessThan(0.005)
      }
    }
  })
  test('the inverses come back to the state', () => {
    for (const [dew, superheat] of vapour as [number, number][]) {
      const state = superheatedVapour(name, dew, superheat)
      expect(vapourOfEnthalpy(name, dew, state.enthalpy).temperature).toBeCloseTo(dew + superheat, 4)
      expect(Math.abs(enthalpyOfEntropy(name, dew, state.entropy) - state.enthalpy)).toBeLessThan(5)
    }
  })
  test('subcooled liquid: enthalpy 0.5 %, density 1 %', () => {
    expect(liquid).toHaveLength(12)
    for (const [kelvin, pascals, enthalpy, density] of liquid as [number, number, number, number][]) {
      const state = subcooledLiquid(name, kelvin, pascals)
      expect(share(state.enthalpy, enthalpy)).toBeLessThan(0.005)
      expect(share(state.density, density)).toBeLessThan(0.01)
    }
  })
  test('ideal cycles: enthalpies, COP and volumetric capacity within 0.5 %, discharge within 0.5 K', () => {
    expect(cycles.length).toBeGreaterThanOrEqual(3)
    for (const row of cycles) {
      const [
        evaporating,
        condensing,
        superheat,
        subcooling,
        efficiency,
        h1,
        ,
        h2,
        h3,
        cop,
        capacity,
        discharge,
      ] = row as [
        number,
        number,
        number,
        number,
        number,
        number,
        number,
        number,
        number,
        number,
        number,
        number,
      ]
      const cycle = idealCycle(name, {
        evaporating: evaporating + 273.15,
        condensing: condensing + 273.15,
        superheat,
        subcooling,
        efficiency,
      })
      expect(share(cycle.enthalpies.suction, h1)).toBeLessThan(0.005)
      expect(share(cycle.enthalpies.discharge, h2)).toBeLessThan(0.005)
      expect(share(cycle.enthalpies.valve, h3)).toBeLessThan(0.005)
      expect(share(cycle.efficiencyOfCooling, cop)).toBeLessThan(0.005)
      expect(share(cycle.volumetricCapacity, capacity)).toBeLessThan(0.005)
      expect(Math.abs(cycle.dischargeTemperature - discharge)).toBeLessThan(0.5)
    }
  })
  test('throttling: liquid 0, dew 1, a cycle in between', () => {
    const pascals = saturationPressure(name, 'dew', 275)
    expect(qualityAfterThrottling(name, saturatedState(name, 'dew', 275).enthalpy, pascals)).toBeCloseTo(1, 6)
    const cycle = idealCycle(name, {
      evaporating: 275,
      condensing: 315,
      superheat: 6,
      subcooling: 5,
      efficiency: 0.7,
    })
    expect(cycle.qualityAfterValve).toBeGreaterThan(0.1)
    expect(cycle.qualityAfterValve).toBeLessThan(0.5)
    expect(cycle.ratio).toBeGreaterThan(2)
  })
})

// Common 100-year values of regulations that follow IPCC AR4 [memory].
test.each([
  ['R-410A', 2088],
  ['R-404A', 3922],
  ['R-407C', 1774],
  ['R-454B', 466],
  ['R-448A', 1387],
  ['R-449A', 1397],
  ['R-507A', 3985],
  ['R-513A', 631],
  ['R-452A', 2140],
] as const)('warming potential of %s from its components: %i', (name, value) => {
  expect(Math.abs(warmingPotential(name) - value)).toBeLessThan(value * 0.003)
})

test('shares of every blend add up to one, and every component has a warming potential', () => {
  for (const name of REFRIGERANT_NAMES) {
    const { blend } = refrigerantRow(name)
    if (blend.length > 0) expect(blend.reduce((sum, [, part]) => sum + part, 0)).toBeCloseTo(1, 9)
    expect(warmingPotential(name)).toBeGreaterThan(0)
  }
})

test('tables come on demand: not before they are loaded, typed when asked for too early', async () => {
  await jest.isolateModulesAsync(async () => {
    const fresh = await import('./tables')
    expect(fresh.isLoaded('R-454C')).toBe(false)
    expect(() => fresh.tableOf('R-454C')).toThrow(expect.objectContaining({ code: 'not-loaded' }))
    await fresh.loadRefrigerants(['R-454C', 'R-454C'])
    expect(fresh.isLoaded('R-454C')).toBe(true)
    expect(fresh.isLoaded('R-12')).toBe(false)
    expect(fresh.tableOf('R-454C').temperature.length).toBeGreaterThan(60)
  })
})

test('all tables together stay under 600 kB compressed', () => {
  const folder = path.resolve(__dirname, 'tables')
  const sizes = readdirSync(folder).map((file) => gzipSync(readFileSync(path.join(folder, file))).length)
  expect(sizes).toHaveLength(REFRIGERANT_NAMES.length)
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(600_000)
})
