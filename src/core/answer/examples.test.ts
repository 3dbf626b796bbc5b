import { OPEN_OHMS } from '../record/readings/openOhms'
import { tapsOf } from '../record/equipment/taps'
import type { UnitPlate } from '../record/equipment/unit'
import type { Observations, Readings } from '../record/readings/schema'
import { exactReadings } from '../simulate/simulateSet'
import { type FaultNow, simulateSteady, simulatorOf } from '../simulate/steady'
import { toKelvin } from '../base/units/convert'
import { diagnose } from './diagnose'
import { familyOf } from '../diagnosis/faults/families'
import type { FaultId } from '../diagnosis/faults/faults'

/** Every example of handbook 04 and 05: readings as told there, or from the circuit with the fault that is told. */
const ohm = (value: number) => ({ value, unit: 'ohm' as const })
const volt = (value: number) => ({ value, unit: 'V' as const })
const amp = (value: number) => ({ value, unit: 'A' as const })
const f = (value: number) => toKelvin({ value, unit: 'F' })

const single = { phase: 1, volts: 230, rla: 16, lra: 96, runCapacitor: { value: 45, unit: 'uF' } } as const
const three = { phase: 3, volts: 208, rla: 14, lra: 90 } as const
const SPLIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', power: single }
const THREE: UnitPlate = { ...SPLIT, power: three }
const PUMP: UnitPlate = { ...SPLIT, kind: 'split-heat-pump' }
const COOLER: UnitPlate = {
  kind: 'walk-in-cooler',
  refrigerant: 'R-448A',
  metering: 'txv',
  receiver: true,
  headPressureControl: true,
  power: single,
}

describe('electrical examples of handbook 05', () => {
  type Row = readonly [string, UnitPlate, Readings, Observations, FaultId, RegExp]
  const OFF: Observations = { compressorState: 'off', callForOperation: 'yes' }
  const HUMS: Observations = { compressorState: 'hums-and-trips', callForOperation: 'yes' }
  test.each<Row>([
    [
      'T1-T2 open, T1-T3 open, T2-T3 30 ohms: leg T1 open',
      THREE,
      { ohmsT1T2: ohm(OPEN_OHMS), ohmsT3T1: ohm(OPEN_OHMS), ohmsT2T3: ohm(30) },
      { ...OFF, compressorShell: 'cold' },
      'compressor-open-winding',
      /leg T1 is open/,
    ],
    [
      'hot shell, C-R and C-S open while R-S reads: the overload, not a winding',
      SPLIT,
      { ohmsCR: ohm(OPEN_OHMS), ohmsCS: ohm(OPEN_OHMS), ohmsRS: ohm(4.2) },
      { ...OFF, compressorShell: 'hot' },
      'compressor-overload-open',
      /internal overload/,
    ],
    [
      'hot three-phase shell, all three pairs open: the overload',
      THREE,
      { ohmsT1T2: ohm(OPEN_OHMS), ohmsT3T1: ohm(OPEN_OHMS), ohmsT2T3: ohm(OPEN_OHMS) },
      { ...OFF, compressorShell: 'hot' },
      'compressor-overload-open',
      /hot shell/,
    ],
    [
      'still open cold: failed',
      SPLIT,
      { ohmsCR: ohm(OPEN_OHMS), ohmsRS: ohm(OPEN_OHMS), ohmsCS: ohm(3) },
      { ...OFF, compressorShell: 'cold' },
      'compressor-open-winding',
      /is open/,
    ],
    [
      'a ground from the contactor that is gone at its own terminals: the rubbed lead',
      SPLIT,
      { ohmsToGround: ohm(5e7) },
      {
        compressorState: 'trips-breaker',
        breaker: 'trips',
        groundMeasuredAt: 'terminals',
        leadState: 'rubbed',
      },
      'wire-rubbed-to-ground',
      /No path to ground/,
    ],
    [
      'a ground at its own terminals, leads off: grounded',
      SPLIT,
      { ohmsToGround: ohm(800) },
      { compressorState: 'trips-breaker', breaker: 'trips', groundMeasuredAt: 'terminals' },
      'compressor-grounded',
      /own terminals/,
    ],
    [
      'inrush stays at LRA and trips, volts hold, gear proven: locked',
      SPLIT,
      { inrushAmps: amp(94), voltageRunning: volt(228), voltageL1L2: volt(231) },
      { ...HUMS, startGear: 'proven', hardStart: 'none' },
      'compressor-locked-rotor',
      /locked/,
    ],
    [
      'it starts with other gear, capacitor far under its label',
      SPLIT,
      { runCapacitance: { value: 21, unit: 'uF' } },
      { ...HUMS, hardStart: 'starts' },
      'start-gear-failed',
      /45\.0 uF on the label/,
    ],
    [
      'volts sag while it starts: the supply',
      SPLIT,
      { inrushAmps: amp(92), voltageRunning: volt(172), voltageL1L2: volt(196) },
      HUMS,
      'supply-fault',
      /below the plate/,
    ],
    [
      'one pair of volts far below the others: a lost phase',
      THREE,
      { voltageL1L2: volt(209), voltageL2L3: volt(60), voltageL3L1: volt(74) },
      HUMS,
      'supply-fault',
      /phase is lost/,
    ],
    [
      'volts on the line side, none on the load side, coil fed: the contactor',
      SPLIT,
      { voltageL1L2: volt(231) },
      { ...OFF, loadVolts: 'dead', controlVolts: 'live', contactorPoints: 'pitted' },
      'contactor-failed',
      /within 10 %/,
    ],
    [
      'no volts at the contactor coil, low-pressure switch open though liquid is left: the control circuit',
      SPLIT,
      {
        voltageL1L2: volt(231),
        standingPressure: { value: 218, unit: 'psig' },
        outdoorAirTemp: { value: 75, unit: 'F' },
      },
      { ...OFF, controlVolts: 'dead', lowPressureSwitch: 'open' },
      'control-open',
      /within 10 %/,
    ],
    [
      'no current in the heater with the contactor out',
      { ...SPLIT, crankcaseHeater: { watts: 35, volts: 240 } },
      { crankcaseHeaterAmps: amp(0) },
      {},
      'crankcase-heater-open',
      /expected 0\.15 A/,
    ],
    [
      '3 V from the thermostat, 23 V held when jumped at the unit: the control voltage',
      PUMP,
      { solenoidVolts: volt(3) },
      { jumpAtUnit: 'holds', magnetPull: 'none' },
      'rv-control-voltage-fault',
      /coil and transformer are good where the call delivers 3 V|delivers 3 V/,
    ],
    [
      'right volts, open coil: the coil',
      PUMP,
      { solenoidVolts: volt(24.5), solenoidOhms: ohm(OPEN_OHMS) },
      { magnetPull: 'none' },
      'rv-coil-failed',
      /open/,
    ],
  ])('%s', (_name, unit, readings, observations, fault, sentence) => {
    const { suspects, tests } = diagnose(unit, { mode: 'cooling', readings, observations })
    expect(suspects[0]!.fault).toBe(fault)
    const said = Object.values(tests).map(({ finding }) => finding.sentence)
    expect(said.join(' ')).toMatch(sentence)
  })
})

function circuit(
  unit: UnitPlate,
  faults: readonly FaultNow[],
  mode: 'cooling' | 'heating' = 'cooling',
): Readings {
  const steady = simulateSteady(simulatorOf(unit), {
    unit,
    mode,
    conditions: { outdoorAirTemp: f(mode === 'heating' ? 40 : 88) },
    faults,
  })
  return exactReadings(steady, tapsOf(unit))
}

describe('circuit examples of handbook 04, with the words that tell them apart', () => {
  type Row = readonly [FaultId, UnitPlate, number, Observations, 'cooling' | 'heating']
  test.each<Row>([
    [
      'txv-lost-bulb-charge',
      SPLIT,
      0.8,
      { bulbState: 'lost-charge-feel', bulbWarmResponse: 'none' },
      'cooling',
    ],
    [
      'moisture-freeze-at-valve',
      SPLIT,
      0.8,
      { warmValveResponse: 'flow-returned', moistureIndicator: 'wet' },
      'cooling',
    ],
    ['txv-bulb-loose', SPLIT, 0.8, { bulbState: 'loose' }, 'cooling'],
    ['txv-set-too-closed', SPLIT, 0.8, { stemResponse: 'answers', bulbWarmResponse: 'opens' }, 'cooling'],
    ['equalizer-broken-or-blocked', SPLIT, 0.8, { equalizerState: 'blocked' }, 'cooling'],
    ['eev-fault', { ...SPLIT, metering: 'eev' }, 0.7, { stemResponse: 'none' }, 'cooling'],
    [
      'access-fitting-leak',
      SPLIT,
      0.7,
      { oilStain: 'service-valve', weighedCharge: 'below-plate' },
      'cooling',
    ],
    [
      'rv-pilot-tube-leak',
      PUMP,
      0.7,
      { oilStain: 'reversing-valve', weighedCharge: 'below-plate' },
      'cooling',
    ],
    ['relief-plug-melted', COOLER, 0.9, { reliefPlug: 'melted', sightGlass: 'bubbles' }, 'cooling'],
    [
      'service-valve-damaged',
      SPLIT,
      0.7,
      { frostPattern: 'service-valve', oilStain: 'service-valve' },
      'cooling',
    ],
    ['liquid-solenoid-stuck-closed', COOLER, 0.8, { solenoidPull: 'none' }, 'cooling'],
    [
      'liquid-solenoid-leaking',
      COOLER,
      0.8,
      { pumpDownTest: 'cannot-pull-down', reliefNoise: 'no', solenoidPull: 'pulls' },
      'cooling',
    ],
    ['internal-relief-open', SPLIT, 0.7, { reliefNoise: 'yes', pumpDownTest: 'cannot-pull-down' }, 'cooling'],
    [
      'compressor-not-pumping',
      SPLIT,
      0.7,
      { reliefNoise: 'no', pumpDownTest: 'cannot-pull-down' },
      'cooling',
    ],
    ['phase-reversed', THREE, 0.8, { phaseSequence: 'reversed', compressorNoise: 'loud' }, 'cooling'],
    ['reversing-valve-leaking-through', PUMP, 0.6, { reversingValveNoise: 'hiss' }, 'cooling'],
    ['plugged-liquid-dryer', SPLIT, 0.7, { frostPattern: 'after-dryer' }, 'cooling'],
    ['evaporator-fan-failed', COOLER, 0.7, { indoorFan: 'off', frostPattern: 'whole-coil' }, 'cooling'],
    [
      'defrost-failure',
      COOLER,
      0.7,
      { indoorFan: 'running', evaporatorCoil: 'iced', frostPattern: 'whole-coil' },
      'cooling',
    ],
    ['condenser-fouled', SPLIT, 0.7, { condenserCoil: 'dirty' }, 'cooling'],
    ['overcharge', SPLIT, 0.8, { weighedCharge: 'above-plate' }, 'cooling'],
    [
      'undercharge',
      COOLER,
      0.9,
      { sightGlass: 'bubbles', weighedCharge: 'below-plate', oilStain: 'joint' },
      'cooling',
    ],
    ['condenser-fouled', PUMP, 0.7, {}, 'heating'],
    ['low-evaporator-airflow', PUMP, 0.8, { evaporatorCoil: 'dirty' }, 'heating'],
    ['undercharge', PUMP, 0.8, { weighedCharge: 'below-plate' }, 'heating'],
  ])('%s', (fault, unit, severity, observations, mode) => {
    const readings = circuit(unit, [{ fault: fault as FaultNow['fault'], severity }], mode)
    const [first] = diagnose(unit, { mode, readings, observations }).suspects
    expect(first!.fault).toBe(fault)
  })
  test('suction picks up 13 F across the reversing valve: it leaks', () => {
    const readings: Readings = {
      suctionPressure: { value: 160, unit: 'psig' },
      liquidPressure: { value: 250, unit: 'psig' },
      rvSuctionInTemp: { value: 60, unit: 'F' },
      rvSuctionOutTemp: { value: 73, unit: 'F' },
      rvDischargeTemp: { value: 150, unit: 'F' },
      rvHotOutTemp: { value: 138, unit: 'F' },
    }
    const { suspects } = diagnose(PUMP, { mode: 'cooling', readings })
    expect(familyOf(suspects[0]!.fault)).toBe('reversing-valve')
    const rise = suspects[0]!.evidence.find(({ key }) => key === 'reversingValveRise')!
    expect(rise.direction).toBe('for')
    expect(rise.sentence).toMatch(/13 F/)
  })
  test('labels follow the coils when they swap their roles', () => {
    const { suspects } = diagnose(PUMP, {
      mode: 'heating',
      readings: circuit(PUMP, [{ fault: 'condenser-fouled', severity: 0.7 }], 'heating'),
    })
    expect(suspects[0]!.label).toBe('Low airflow over the indoor coil')
  })
  test('heat in a set that says cooling points at the reversing valve and its coil', () => {
    const steady = simulateSteady(simulatorOf(PUMP), {
      unit: PUMP,
      mode: 'heating',
      conditions: { outdoorAirTemp: f(75) },
    })
    const readings = exactReadings(
      steady,
      tapsOf(PUMP).filter((key) => key !== 'solenoidVolts'),
    )
    const { suspects, flags, nextChecks } = diagnose(PUMP, { mode: 'cooling', readings })
    expect(flags.map(({ id }) => id)).toContain('other-mode')
    expect(['rv-control-voltage-fault', 'rv-coil-failed']).toContain(suspects[0]!.fault)
    expect(nextChecks.map(({ check }) => check)).toEqual(
      expect.arrayContaining([expect.stringMatching(/coilVolts|magnetPull|jumpAtUnit|valveCoil/)]),
    )
  })
})

describe('two faults at once', () => {
  test('a plugged dryer with a leak as second suspect', () => {
    const readings = circuit(SPLIT, [
      { fault: 'plugged-liquid-dryer', severity: 0.6 },
      { fault: 'undercharge', severity: 0.8 },
    ])
    const { suspects } = diagnose(SPLIT, {
      mode: 'cooling',
      readings,
      observations: { frostPattern: 'after-dryer', oilStain: 'joint', weighedCharge: 'below-plate' },
    })
    const pair = suspects.slice(0, 2).find(({ also }) => also === 'undercharge')
    expect(pair?.fault).toBe('plugged-liquid-dryer')
    expect(pair?.label).toBe('Plugged liquid dryer, and undercharge')
    expect(pair?.distinguishingSign).toMatch(/dryer drop.*; and oil stain/)
  })
  test('a leaking reversing valve and its failed control voltage stand in different tests', () => {
    const readings = {
      ...circuit(PUMP, [{ fault: 'reversing-valve-leaking-through', severity: 0.7 }]),
      solenoidVolts: volt(4),
    }
    const { suspects, tests } = diagnose(PUMP, { mode: 'cooling', readings })
    expect(suspects.slice(0, 3).map(({ fault }) => fault)).toContain('reversing-valve-leaking-through')
    expect(tests.coilVolts).toMatchObject({ word: 'low', finding: { faults: ['rv-control-voltage-fault'] } })
  })
})

describe('modest with three readings', () => {
  const readings = circuit(SPLIT, [{ fault: 'txv-underfeeding', severity: 0.7 }])
  const { suctionPressure, liquidPressure, suctionLineTemp } = readings
  const d = diagnose(SPLIT, {
    mode: 'cooling',
    readings: { suctionPressure, liquidPressure, suctionLineTemp } as Readings,
  })
  test('it answers, and no suspect is above what three readings allow', () => {
    expect(d.suspects[0]!.probability).toBeGreaterThan(0.1)
    expect(d.suspects[0]!.probability).toBeLessThan(0.7)
  })
  test('and asks for the fourth that splits what is left', () => {
    // Pressures and superheat already leave valve, dryer or line (handbook 04, look-alikes): subcooling, the drop, first frost.
    expect(['subcooling', 'dryerDrop', 'frostPattern']).toContain(d.nextChecks[0]!.check)
    const taken = diagnose(SPLIT, {
      mode: 'cooling',
      readings: {
        suctionPressure,
        liquidPressure,
        suctionLineTemp,
        liquidLineTemp: readings.liquidLineTemp,
      } as Readings,
    })
    const starving = (all: typeof d.suspects) =>
      all
        .filter(({ fault }) => familyOf(fault) === 'valve-starves')
        .reduce((sum, { probability }) => sum + probability, 0)
    expect(starving(taken.suspects)).toBeGreaterThan(starving(d.suspects))
  })
})
