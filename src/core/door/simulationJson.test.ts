import type { SimulationFile } from '../simulate/simulationFile'
import { SIMULATED_FAULTS } from '../simulate/circuitFaults'
import { simulationJson } from './simulationJson'

const FILE: SimulationFile = {
  format: 'orzo.simulation',
  version: 1,
  unit: { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 },
  mode: 'cooling',
}
type Answer = {
  readings: Record<string, { value: number; unit: string }>
  derived: Record<string, number>
  performance: Record<string, number | string>
  limits: { id: string }[]
}
const answer = (part: Partial<SimulationFile> = {}) =>
  simulationJson({ ...FILE, ...part }) as unknown as Answer

test('a sound unit: readings, derived values and performance that belong together', () => {
  const { readings, derived, performance, limits } = answer()
  expect(derived.superheat).toBeCloseTo(readings.suctionLineTemp!.value - derived.evaporatingDew!, 0)
  expect(derived.temperatureSplit).toBeCloseTo(
    readings.returnAirTemp!.value - readings.supplyAirTemp!.value,
    0,
  )
  expect(performance.rejectedWatts).toBeGreaterThan(performance.coolingWatts as number)
  expect(performance.refrigerantInside).toBe('R-410A')
  expect(performance.chargeKg).toBe(performance.ratedChargeKg)
  expect(limits).toEqual([])
})

test('heating turns the split round', () => {
  const { derived, readings } = answer({ mode: 'heating' })
  expect(derived.temperatureSplit).toBeLessThan(-15)
  expect(readings.supplyAirTemp!.value).toBeGreaterThan(90)
})

test('instruments with a seed: the same seed the same readings, another seed others', () => {
  const one = answer({ instruments: { seed: 4 } })
  expect(one.readings).toEqual(answer({ instruments: { seed: 4 } }).readings)
  expect(one.readings).not.toEqual(answer({ instruments: { seed: 5 } }).readings)
  const exact = answer().readings.suctionPressure!.value
  expect(Math.abs(one.readings.suctionPressure!.value - exact)).toBeLessThan(5)
})

test('a wrong charge of refrigerant is named', () => {
  const { performance } = answer({ faults: [{ fault: 'wrong-or-mixed-refrigerant', severity: 1 }] })
  expect(performance.refrigerantInside).toBe('R-22')
})

test('two faults at once: each leaves its own sign', () => {
  const { derived } = answer({
    faults: [
      { fault: 'reversing-valve-leaking-through', severity: 0.6 },
      { fault: 'condenser-fouled', severity: 0.7 },
    ],
  })
  const sound = answer().derived
  expect(derived.reversingValveRise).toBeGreaterThan(sound.reversingValveRise! + 5)
  expect(derived.condensingOverAmbient).toBeGreaterThan(sound.condensingOverAmbient! + 5)
})

test('less charge than the plate says is seen in the weight', () => {
  const { performance } = answer({ faults: [{ fault: 'undercharge', severity: 0.5 }] })
  expect(performance.chargeKg as number).toBeCloseTo(0.75 * (performance.ratedChargeKg as number), 2)
})

test.each(SIMULATED_FAULTS)('%s prints numbers only, no fraction of nothing', (fault) => {
  const { readings, derived } = answer({ faults: [{ fault, severity: 0.4 }] })
  for (const { value } of Object.values(readings)) expect(Number.isFinite(value)).toBe(true)
  for (const value of Object.values(derived)) expect(Number.isFinite(value)).toBe(true)
})
