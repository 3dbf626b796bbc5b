import type { UnitPlate } from '../record/equipment/unit'
import { seededRandom } from '../base/numeric/random'
import { OBSERVATION_KEYS } from '../record/readings/observations'
import { toKelvin } from '../base/units/convert'
import type { SimulatedFault } from './circuitFaults'
import { observe } from './observe'
import { simulateSteady, simulatorOf } from './steady'

const UNIT: UnitPlate = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' }
const simulator = simulatorOf(UNIT)
const f = (value: number) => toKelvin({ value, unit: 'F' })
const seen = (fault?: SimulatedFault, severity = 0.7, lapse = 0) =>
  observe(
    simulateSteady(simulator, {
      unit: UNIT,
      mode: 'cooling',
      conditions: { outdoorAirTemp: f(82) },
      faults: fault ? [{ fault, severity }] : [],
    }),
    OBSERVATION_KEYS,
    seededRandom(5),
    lapse,
  )

test('a sound unit shows nothing odd', () => {
  expect(seen()).toMatchObject({
    frostPattern: 'none',
    sightGlass: 'clear',
    moistureIndicator: 'dry',
    reversingValveNoise: 'none',
    bulbWarmResponse: 'opens',
    pumpDownTest: 'pulls-down',
  })
})

// The tells of handbook 04.
test.each([
  ['plugged-liquid-dryer', 'frostPattern', 'after-dryer'],
  ['txv-underfeeding', 'frostPattern', 'metering-device'],
  ['txv-underfeeding', 'bulbWarmResponse', 'none'],
  ['txv-overfeeding', 'frostPattern', 'suction-to-compressor'],
  ['undercharge', 'sightGlass', 'bubbles'],
  ['moisture-freeze-at-valve', 'warmValveResponse', 'flow-returned'],
  ['txv-lost-bulb-charge', 'bulbState', 'lost-charge-feel'],
  ['reversing-valve-leaking-through', 'reversingValveNoise', 'hiss'],
  ['internal-relief-open', 'reliefNoise', 'yes'],
] as const)('%s shows in %s: %s', (fault, key, word) => {
  expect(seen(fault)[key]).toBe(word)
})

test('observations that the unit does not have are left out', () => {
  const orifice: UnitPlate = { kind: 'split-ac', refrigerant: 'R-22', metering: 'fixed-orifice' }
  const steady = simulateSteady(simulatorOf(orifice), { unit: orifice, mode: 'cooling' })
  const all = observe(steady, OBSERVATION_KEYS, seededRandom(1), 0)
  expect(all.bulbState).toBeUndefined()
  expect(all.reversingValveNoise).toBeUndefined()
  expect(all.frostPattern).toBeDefined()
})

test('with lapses some words are wrong, the same ones for the same seed', () => {
  expect(seen('undercharge', 0.7, 0.5)).toEqual(seen('undercharge', 0.7, 0.5))
  expect(seen('undercharge', 0.7, 0.5)).not.toEqual(seen('undercharge', 0.7, 0))
})
