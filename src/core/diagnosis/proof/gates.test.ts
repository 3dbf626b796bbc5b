import { OPEN_OHMS } from '../../record/readings/openOhms'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations, Readings } from '../../record/readings/schema'
import { assess } from '../evidence/assess'
import { FAULT_IDS, type FaultId, faultRow } from '../faults/faults'
import { judgeGate } from './gates'
import { type GateId, gateIdOf } from '../faults/gateIds'

const f = (value: number) => ({ value, unit: 'F' as const })
const ohm = (value: number) => ({ value, unit: 'ohm' as const })
const volt = (value: number) => ({ value, unit: 'V' as const })
const SINGLE: UnitPlate = {
  kind: 'split-heat-pump',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { phase: 1, volts: 230, rla: 16, lra: 96 },
}
const THREE: UnitPlate = { ...SINGLE, power: { phase: 3, volts: 208, rla: 14, lra: 90 } }

const missing = (gate: GateId, unit: UnitPlate, readings: Readings, observations: Observations = {}) =>
  judgeGate(gate, assess(unit, { mode: 'cooling', readings, observations })).missing.map(({ id }) => id)

const WINDINGS: Readings = { ohmsCR: ohm(0.9), ohmsCS: ohm(2.1), ohmsRS: ohm(3) }

describe('compressor, electrical (handbook 04)', () => {
  test('a ground from the contactor is not enough: it is measured at its own terminals', () => {
    const readings = { ...WINDINGS, ohmsToGround: ohm(500) }
    expect(missing('compressor-electrical', SINGLE, readings, { groundMeasuredAt: 'contactor' })).toEqual([
      'own-terminals',
    ])
    expect(missing('compressor-electrical', SINGLE, readings, { groundMeasuredAt: 'terminals' })).toEqual([])
  })
  test('two pairs are not three', () => {
    const two = { ...WINDINGS, ohmsRS: undefined, ohmsToGround: ohm(500) }
    expect(missing('compressor-electrical', SINGLE, two, { groundMeasuredAt: 'terminals' })).toEqual([
      'pairs',
    ])
  })
  test('an open winding is cooled before it is condemned', () => {
    const open = {
      ohmsCR: ohm(OPEN_OHMS),
      ohmsCS: ohm(OPEN_OHMS),
      ohmsRS: ohm(4),
      ohmsToGround: ohm(OPEN_OHMS),
    }
    const at = { groundMeasuredAt: 'terminals' } as const
    expect(missing('compressor-electrical', SINGLE, open, { ...at, compressorShell: 'hot' })).toEqual([
      'cooled',
    ])
    expect(missing('compressor-electrical', SINGLE, open, { ...at, compressorShell: 'cold' })).toEqual([])
  })
  test('the step at its own terminals carries its caution', () => {
    const gate = judgeGate('compressor-electrical', assess(SINGLE, { mode: 'off', readings: {} }))
    expect(gate.missing.find(({ id }) => id === 'own-terminals')?.caution).toMatch(/Recover the refrigerant/)
    expect(gate.missing.find(({ id }) => id === 'pairs')?.caution).toMatch(/locked out/)
    // What a word answers can be answered at the gate.
    expect(gate.missing.find(({ id }) => id === 'own-terminals')?.observation).toBe('groundMeasuredAt')
    expect(gate.missing.find(({ id }) => id === 'pairs')?.observation).toBeUndefined()
  })
})

describe('compressor, locked', () => {
  const start: Readings = { inrushAmps: { value: 94, unit: 'A' }, voltageRunning: volt(228) }
  const seen: Observations = {
    compressorState: 'hums-and-trips',
    startGear: 'proven',
    hardStart: 'none',
    leadState: 'sound',
  }
  test('single-phase: gear proven and one hard start, with volts holding', () => {
    expect(missing('compressor-locked', SINGLE, start, seen)).toEqual([])
    expect(missing('compressor-locked', SINGLE, start, { ...seen, hardStart: undefined })).toEqual([
      'hard-start',
    ])
    expect(missing('compressor-locked', SINGLE, { ...start, voltageRunning: volt(180) }, seen)).toContain(
      'starting-volts',
    )
  })
  test('three-phase: all phases and their sequence, no hard start', () => {
    const three: Readings = {
      ...start,
      voltageL1L2: volt(208),
      voltageL2L3: volt(209),
      voltageL3L1: volt(207),
      voltageRunning: volt(205),
      inrushAmps: { value: 88, unit: 'A' },
    }
    const words: Observations = { compressorState: 'hums-and-trips', leadState: 'sound' }
    expect(missing('compressor-locked', THREE, three, words)).toEqual(['sequence'])
    expect(missing('compressor-locked', THREE, three, { ...words, phaseSequence: 'correct' })).toEqual([])
  })
})

describe('compressor, not pumping', () => {
  test('phase sequence, reversing valve, pump-down and relief', () => {
    const readings = { rvSuctionInTemp: f(60), rvSuctionOutTemp: f(61) }
    const words: Observations = { pumpDownTest: 'cannot-pull-down', reliefNoise: 'no' }
    expect(missing('compressor-not-pumping', THREE, readings, words)).toEqual(['phase-sequence'])
    expect(missing('compressor-not-pumping', SINGLE, readings, words)).toEqual([])
    expect(
      missing('compressor-not-pumping', SINGLE, { ...readings, rvSuctionOutTemp: f(75) }, words),
    ).toEqual(['reversing-valve'])
  })
})

describe('reversing valve and its coil', () => {
  const ports = {
    rvDischargeTemp: f(160),
    rvHotOutTemp: f(155),
    rvSuctionInTemp: f(55),
    rvSuctionOutTemp: f(70),
  }
  test('four ports, proven volts and coil, charge adequate', () => {
    expect(missing('reversing-valve', SINGLE, ports, { weighedCharge: 'at-plate' })).toEqual([
      'coil',
      'coil-pull',
    ])
    const proven = { ...ports, solenoidVolts: volt(24), solenoidOhms: ohm(16) }
    expect(missing('reversing-valve', SINGLE, proven, { weighedCharge: 'at-plate' })).toEqual([])
    expect(missing('reversing-valve', SINGLE, proven)).toEqual(['charge-adequate'])
  })
  test('the coil needs volts under load, and ohms or the jump', () => {
    expect(missing('reversing-valve-coil', SINGLE, {})).toEqual(['coil-volts', 'coil-ohms'])
    expect(
      missing('reversing-valve-coil', SINGLE, { solenoidVolts: volt(24) }, { jumpAtUnit: 'does-not-hold' }),
    ).toEqual([])
  })
})

test('in heating the airflow point reads the rise, not the split', () => {
  const readings = { returnAirTemp: f(70), supplyAirTemp: f(95), outdoorAirTemp: f(45) }
  const gate = judgeGate('expansion-valve', assess(SINGLE, { mode: 'heating', readings }))
  expect(gate.onRecord.map(({ id }) => id)).toContain('airflow')
})

test('every fault that would condemn a part of handbook 04 has its gate', () => {
  const parts = [
    'expansion-valve',
    'liquid-dryer',
    'fixed-orifice',
    'capillary',
    'compressor',
    'reversing-valve',
    'reversing-valve-coil',
  ]
  for (const fault of FAULT_IDS) {
    const { part } = faultRow(fault)
    const hasGate = gateIdOf(fault) !== undefined
    expect([fault, hasGate]).toEqual([fault, parts.includes(part)])
  }
  const compressor: FaultId[] = ['compressor-grounded', 'compressor-locked-rotor', 'compressor-not-pumping']
  expect(compressor.map(gateIdOf)).toEqual([
    'compressor-electrical',
    'compressor-locked',
    'compressor-not-pumping',
  ])
})
