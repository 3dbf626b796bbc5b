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
const seen = (fault?: SimulatedFault, severity = 0.7, lapse = 0, seed = 5) =>
  observe(
    simulateSteady(simulator, {
      unit: UNIT,
      mode: 'cooling',
      conditions: { outdoorAirTemp: f(82) },
      faults: fault ? [{ fault, severity }] : [],
    }),
    OBSERVATION_KEYS,
    seededRandom(seed),
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
  // some tells are not seen every time: among a few looks one is
  const looks = Array.from({ length: 6 }, (_v, i) => seen(fault, 0.7, 0, 5 + i)[key])
  expect(looks).toContain(word)
})
test('a leak stains in one place or another, and sometimes nowhere', () => {
  const stains = new Set(Array.from({ length: 40 }, (_v, i) => seen('undercharge', 0.7, 0, i).oilStain))
  expect(stains).toContain('none')
  expect(stains.size).toBeGreaterThan(3)
  expect(seen('undercharge', 0.2).oilStain).toBe('none')
})
test('liquid that expands in the line is cold from there on', () => {
  expect(seen('liquid-line-restriction', 0.7).frostPattern).toBe('after-dryer')
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
