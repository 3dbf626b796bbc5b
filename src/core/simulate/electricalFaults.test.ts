import { electricalFindings } from '../diagnosis/electrical/electricalTests'
import { ELECTRICAL_FAULT_IDS, type ElectricalFaultId } from '../diagnosis/faults/faults'
import { electricalTapsOf } from '../record/equipment/taps'
import type { UnitPlate } from '../record/equipment/unit'
import { seededRandom } from '../base/numeric/random'
import { observationRow, type ObservationKey } from '../record/readings/observations'
import { takeSnapshot } from '../record/readings/snapshot'
import { ELECTRICAL_SHOWS } from './electricalFaults'
import { electricalTruth } from './electricalTruth'
import { readSteady } from './simulateSet'
import { simulateSteady, simulatorOf } from './steady'

const power = { volts: 230, rla: 16, lra: 90, runCapacitor: { value: 43, unit: 'uF' } } as const
const SINGLE: UnitPlate = {
  kind: 'split-heat-pump',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { ...power, phase: 1 },
}
const THREE: UnitPlate = { ...SINGLE, power: { volts: 208, rla: 4, lra: 24, phase: 3 } }
const steadyOf = (unit: UnitPlate) => simulateSteady(simulatorOf(unit), { unit, mode: 'cooling' })
const STEADY = { single: steadyOf(SINGLE), three: steadyOf(THREE) }

/** What the tests say of a unit with this fault, read with real instruments. */
function say(fault: ElectricalFaultId | undefined, phase: 'single' | 'three', seed: number) {
  const unit = phase === 'single' ? SINGLE : THREE
  const random = seededRandom(seed)
  const show = fault && ELECTRICAL_SHOWS[fault](electricalTruth(STEADY[phase]), unit, random)
  const keys = [...electricalTapsOf(unit), 'solenoidVolts' as const, 'compressorAmps' as const]
  const readings = readSteady(STEADY[phase], keys, random, show?.values)
  const observations = { compressorState: 'running', ...show?.words }
  const at = takeSnapshot(
    { mode: 'cooling', readings, observations: observations as object },
    unit.refrigerant,
    101_325,
  )
  return { tests: electricalFindings(unit, at), show }
}

test.each(['single', 'three'] as const)('a sound %s-phase unit passes every test', (phase) => {
  const { tests } = say(undefined, phase, 3)
  expect(Object.keys(tests).length).toBeGreaterThan(6)
  // Below an ohm a meter's own error may leave a winding unclear, never suspect (handbook 05).
  for (const [key, { finding }] of Object.entries(tests)) {
    expect(`${key} ${finding.verdict}`).toMatch(key === 'windings' ? /good|unclear/ : /good/)
  }
})

// What handbook 05 says each fault reads like.
test.each([
  ['compressor-open-winding', 'three', 'windings', ['one-leg-open']],
  ['compressor-open-winding', 'single', 'windings', ['one-leg-open']],
  ['compressor-overload-open', 'single', 'windings', ['common-leg-open']],
  ['compressor-overload-open', 'three', 'windings', ['all-open']],
  ['compressor-shorted-turns', 'three', 'windings', ['unbalanced']],
  ['compressor-grounded', 'single', 'ground', ['at-contactor', 'grounded']],
  ['wire-rubbed-to-ground', 'single', 'ground', ['at-contactor', 'none']],
  ['fan-motor-grounded', 'single', 'ground', ['at-contactor']],
  ['crankcase-heater-grounded', 'three', 'ground', ['at-contactor']],
  ['terminal-plug-burnt', 'three', 'windings', ['one-leg-open']],
  ['compressor-locked-rotor', 'single', 'startAttempt', ['stays-locked']],
  ['start-gear-failed', 'single', 'runCapacitor', ['off-label']],
  ['supply-fault', 'three', 'supply', ['no-volts', 'phase-lost', 'unbalanced', 'near-limit', 'off-plate']],
  ['supply-fault', 'single', 'supply', ['no-volts', 'off-plate']],
  ['crankcase-heater-open', 'three', 'heater', ['open']],
  ['rv-coil-failed', 'single', 'valveCoil', ['open', 'shorted']],
  ['rv-control-voltage-fault', 'single', 'coilVolts', ['none', 'low']],
] as const)('%s (%s-phase) shows in %s', (fault, phase, test_, words) => {
  for (let seed = 1; seed <= 12; seed++) {
    const { tests } = say(fault, phase, seed)
    const found = tests[test_] ?? (test_ === 'ground' ? tests.groundAtTerminals : undefined)
    expect(words as readonly string[]).toContain(found?.word)
  }
})

test('every fault shows words that exist, and says whether the unit runs', () => {
  for (const fault of ELECTRICAL_FAULT_IDS) {
    for (const phase of ['single', 'three'] as const) {
      const { show } = say(fault, phase, 7)
      for (const [key, word] of Object.entries(show!.words)) {
        expect(observationRow(key as ObservationKey).values).toContain(word)
      }
      expect(typeof show!.runs).toBe('boolean')
    }
  }
})
