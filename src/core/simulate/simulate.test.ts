import { diagnose } from '../diagnose/diagnose'
import { FAULT_IDS, type SuspectId } from '../diagnose/faults'
import { faultsOf } from '../diagnose/applies'
import { tapsOf } from '../job/taps'
import type { UnitPlate } from '../job/unit'
import { seededRandom } from '../numeric/random'
import { derive } from '../readings/derive'
import { readingSetSchema } from '../readings/schema'
import { takeSnapshot } from '../readings/snapshot'
import { siteAtmosphere } from '../job/circumstances'
import { toKelvin } from '../units/convert'
import { type Conditions, simulateSet } from './signatureReadings'

const fahrenheit = (value: number) => toKelvin({ value, unit: 'F' })
const CONDITIONS: Conditions = {
  outdoorAirTemp: fahrenheit(88),
  returnAirTemp: fahrenheit(75),
  returnAirWetBulb: fahrenheit(62),
}
const UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { rla: 14 },
  site: { elevation: { value: 1750, unit: 'm' } },
}

const simulate = (fault: SuspectId, severity: number, seed: number, unit = UNIT) =>
  simulateSet({ unit, conditions: CONDITIONS, fault, severity, random: seededRandom(seed) }, tapsOf(unit))

test('the same seed gives the same set, another seed another', () => {
  expect(simulate('undercharge', 0.6, 5)).toEqual(simulate('undercharge', 0.6, 5))
  expect(simulate('undercharge', 0.6, 5)).not.toEqual(simulate('undercharge', 0.6, 6))
})

describe.each(FAULT_IDS.filter((fault) => (faultsOf(UNIT) as string[]).includes(fault)))('%s', (fault) => {
  test.each([0.2, 0.6, 1])('at severity %f: a valid set that obeys physics', (severity) => {
    for (let seed = 1; seed <= 12; seed++) {
      const set = simulate(fault, severity, seed)
      expect(readingSetSchema.safeParse(set).success).toBe(true)
      const at = takeSnapshot(set, UNIT.refrigerant, siteAtmosphere(UNIT))
      const derived = derive(at)
      const value = (key: 'liquidLineTemp' | 'outdoorAirTemp' | 'supplyAirTemp' | 'returnAirTemp') =>
        at.values[key]!.value
      expect(derived.condensingMean!.value).toBeGreaterThan(value('outdoorAirTemp'))
      expect(value('liquidLineTemp')).toBeGreaterThan(value('outdoorAirTemp') - 2)
      expect(value('supplyAirTemp')).toBeGreaterThan(derived.evaporatingMean!.value - 2)
      expect(derived.compressionRatio!.value).toBeGreaterThan(1)
    }
  })
})

describe('diagnosis of simulated sets', () => {
  /** How often the true fault leads, over seeds; faults that pressures alone tell apart. */
  test.each([
    'undercharge',
    'overcharge',
    'condenser-fouled',
    'compressor-not-pumping',
    'plugged-liquid-dryer',
    'low-evaporator-airflow',
  ] as const)('%s at 0.7 is among the first three, nine times in ten', (fault) => {
    const seeds = Array.from({ length: 40 }, (_v, i) => 100 + i)
    const found = seeds.filter((seed) =>
      diagnose(UNIT, simulate(fault, 0.7, seed))
        .suspects.slice(0, 3)
        .some((suspect) => suspect.fault === fault),
    )
    expect(found.length).toBeGreaterThanOrEqual(36)
  })
  test('a sound circuit is called healthy nine times in ten, and never condemned with certainty', () => {
    const leaders = Array.from(
      { length: 60 },
      (_v, i) => diagnose(UNIT, simulate('healthy', 0, 500 + i)).suspects[0]!,
    )
    expect(leaders.filter(({ fault }) => fault === 'healthy').length).toBeGreaterThanOrEqual(54)
    for (const { fault, probability } of leaders)
      if (fault !== 'healthy') expect(probability).toBeLessThan(0.95)
  })
})

test('keys that the unit or the conditions do not give are left out', () => {
  const unit: UnitPlate = { kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' }
  const { readings } = simulateSet(
    { unit, conditions: {}, fault: 'healthy', severity: 0, random: seededRandom(1) },
    tapsOf(unit),
  )
  expect(readings.compressorAmps).toBeUndefined()
  expect(readings.supplyAirTemp).toBeUndefined()
  expect(readings.suctionPressure).toBeDefined()
})
