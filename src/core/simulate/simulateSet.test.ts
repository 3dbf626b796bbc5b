import { diagnose } from '../answer/diagnose'
import { siteAtmosphere } from '../record/equipment/circumstances'
import { tapsOf } from '../record/equipment/taps'
import type { UnitPlate } from '../record/equipment/unit'
import { seededRandom } from '../base/numeric/random'
import { instrumentError } from '../record/readings/instrumentError'
import { readingSetSchema } from '../record/readings/schema'
import { differenceToKelvin, toKelvin } from '../base/units/convert'
import type { SimulatedFault } from './circuitFaults'
import { display, INSTRUMENT_ROWS, lagged, measure, toolBag } from './instruments'
import { simulateSet } from './simulateSet'
import { simulatorOf } from './steady'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { rla: 14 },
  site: { elevation: { value: 1750, unit: 'm' } },
}
const CONDITIONS = { outdoorAirTemp: f(88), returnAirTemp: f(75), returnAirWetBulb: f(62) }
const simulator = simulatorOf(UNIT)
const set = (fault: SimulatedFault | undefined, severity: number, seed: number) =>
  simulateSet(
    {
      unit: UNIT,
      conditions: CONDITIONS,
      faults: fault ? [{ fault, severity }] : [],
      random: seededRandom(seed),
      simulator,
    },
    tapsOf(UNIT),
  )

describe('reading sets', () => {
  test('the same seed gives the same set, another seed another; both are valid', () => {
    expect(set('undercharge', 0.6, 5)).toEqual(set('undercharge', 0.6, 5))
    expect(set('undercharge', 0.6, 5)).not.toEqual(set('undercharge', 0.6, 6))
    expect(readingSetSchema.safeParse(set('undercharge', 0.6, 5)).success).toBe(true)
  })
  test('keys that the unit does not have are left out', () => {
    expect(
      simulateSet({ unit: UNIT, conditions: {}, faults: [], random: seededRandom(1) }, [
        'boxTemp',
        'suctionPressure',
      ]).readings,
    ).toEqual({
      suctionPressure: expect.objectContaining({ unit: 'psig', source: 'probe' }),
    })
  })
})

describe('instruments', () => {
  const atmosphere = siteAtmosphere(UNIT)
  test('one instrument repeats within its repeatability and is off by its own offset', () => {
    const random = seededRandom(11)
    const clamp = toolBag(random)('suctionLineTemp')
    const shown = Array.from({ length: 400 }, () =>
      measure(clamp, 'suctionLineTemp', 290, atmosphere, random),
    )
    const mean = shown.reduce((sum, value) => sum + value, 0) / shown.length
    const spread = Math.sqrt(shown.reduce((sum, value) => sum + (value - mean) ** 2, 0) / shown.length)
    expect(spread).toBeCloseTo(INSTRUMENT_ROWS.clamp.repeatability, 1)
    const own = clamp.offset * 0.5 * instrumentError('suctionLineTemp', 290, atmosphere)
    expect(mean - 290).toBeCloseTo(own, 1)
  })
  test('one clamp reads both sides of the dryer, so its offset cancels', () => {
    const random = seededRandom(3)
    const bag = toolBag(random)
    expect(bag('dryerInTemp')).toBe(bag('dryerOutTemp'))
    const drops = Array.from(
      { length: 200 },
      () =>
        measure(bag('dryerInTemp'), 'dryerInTemp', 305, atmosphere, random) -
        measure(bag('dryerOutTemp'), 'dryerOutTemp', 305, atmosphere, random),
    )
    expect(Math.abs(drops.reduce((sum, drop) => sum + drop, 0) / drops.length)).toBeLessThan(
      differenceToKelvin(0.1, 'F'),
    )
  })
  test('displays round as common instruments do', () => {
    expect(display('suctionPressure', 101_325 + 118.04 * 6894.757, 101_325)).toEqual({
      value: 118,
      unit: 'psig',
    })
    expect(display('runCapacitance', 41.07e-6, atmosphere)).toEqual({ value: 41.1, unit: 'uF' })
  })
  test('lag: two thirds after one time constant', () => {
    expect(lagged(0, 1, 12, 12)).toBeCloseTo(1 - Math.exp(-1), 12)
  })
})

describe('diagnosis of what the circuit shows', () => {
  // Independent of the fault table: these signs come out of the physics.
  test.each([
    ['undercharge', 0.9],
    ['overcharge', 0.9],
    ['condenser-fouled', 0.8],
    ['compressor-not-pumping', 0.5],
    ['plugged-liquid-dryer', 0.6],
    ['low-evaporator-airflow', 0.8],
  ] as const)('%s is among the first three, eight times in ten', (fault, severity) => {
    const found = Array.from({ length: 30 }, (_v, i) =>
      diagnose(UNIT, set(fault, severity, 100 + i)).suspects.slice(0, 3),
    ).filter((suspects) => suspects.some((suspect) => suspect.fault === fault))
    expect(found.length).toBeGreaterThanOrEqual(24)
  })
  test('a sound specimen is called healthy nine times in ten', () => {
    const leaders = Array.from(
      { length: 40 },
      (_v, i) => diagnose(UNIT, set(undefined, 0, 500 + i)).suspects[0]!.fault,
    )
    expect(leaders.filter((fault) => fault === 'healthy').length).toBeGreaterThanOrEqual(36)
  })
})
