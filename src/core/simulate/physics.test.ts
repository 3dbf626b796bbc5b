import { seededRandom } from '../base/numeric/random'
import { differenceFromKelvin, toKelvin } from '../base/units/convert'
import type { UnitPlate } from '../record/equipment/unit'
import { type Physics, USUAL_PHYSICS } from './physics'
import { anotherSpecimen } from './scatter'
import { type FaultNow, simulateSteady, simulatorOf } from './steady'
import { trueReadings } from './trueReadings'

const VALVE: UnitPlate = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' }
const ORIFICE: UnitPlate = { kind: 'split-ac', refrigerant: 'R-22', metering: 'fixed-orifice' }
const f = (value: number) => toKelvin({ value, unit: 'F' })
const run = (unit: UnitPlate, part: Partial<Physics> = {}, faults: readonly FaultNow[] = [], charge = 1) => {
  const simulator = simulatorOf(unit, { ...USUAL_PHYSICS, ...part })
  const { cooling } = simulator.anchors
  const filled = cooling && {
    ...simulator,
    anchors: {
      cooling: { ...cooling, circuit: { ...cooling.circuit, charge: cooling.circuit.charge * charge } },
    },
  }
  return simulateSteady(filled ?? simulator, {
    unit,
    mode: 'cooling',
    conditions: { outdoorAirTemp: f(90) },
    faults,
  })
}
const inF = differenceFromKelvin
const subcooling = ({ state }: ReturnType<typeof run>) =>
  inF(state.condenserCorners.bubble - state.condenser.temperatureOut, 'F')
const superheat = ({ state }: ReturnType<typeof run>) =>
  inF(state.afterCoil.temperature - state.evaporatorCorners.dew, 'F')

// Every choice on its own, at values beside the usual.
const CHOICES: readonly (readonly [string, Partial<Physics>])[] = [
  ['no slip', { voids: { kind: 'slip', exponent: 0.05 } }],
  ['much slip', { voids: { kind: 'slip', exponent: 0.6 } }],
  ['Baroczy', { voids: { kind: 'butterworth', factor: 1.35, p: 0.74, q: 0.65 } }],
  ['Massena', { voids: { kind: 'armand', factor: 0.833 } }],
  ['a large evaporator', { evaporatorVolume: 1.8 }],
  ['a small condenser', { condenserVolume: 0.6 }],
  ['a long liquid line', { liquidLineVolume: 2.2 }],
  ['no accumulator', { accumulatorVolume: 0 }],
  ['one ideal pipe', { loadSpread: 0 }],
  ['films that follow the flow', { filmExponent: 0.7 }],
  ['pressure lost in the coil', { coilLoss: 2.5 }],
  ['a deep evaporator', { evaporatorDepth: 1.3 }],
  ['a generous valve', { ratedOpening: 0.42, closedShare: 0.7, openingExponent: 0.6 }],
  ['throats that follow subcooling', { orificeThroat: 0.98, throatFall: 0.02 }],
  ['warmed suction gas', { suctionWarming: 0.15, clearance: 2, efficiencyFall: 1.6, innerLeak: 2 }],
  [
    'another design',
    { evaporatorDifference: 0.86, condensing: -5, superheat: 1.2, subcooling: 1.25, lineGain: 2 },
  ],
]

describe.each(CHOICES)('%s', (_name, part) => {
  test.each([
    ['valve', VALVE],
    ['orifice', ORIFICE],
  ] as const)('a sound unit stands, keeps its charge and its heat (%s)', (_kind, unit) => {
    const { state, circuit } = run(unit, part)
    expect(Math.abs(state.mass / circuit.charge - 1)).toBeLessThan(1e-5)
    const taken = state.evaporator.heat + state.compressor.power - state.compressor.shellHeat
    const suctionGain = state.unknowns.massFlow * (state.beforeCompressor.enthalpy - state.afterCoil.enthalpy)
    // the first law round the circuit: what goes in leaves by the condenser and the lines [physics]
    const lineLoss =
      state.unknowns.massFlow * (state.liquid.leaving.enthalpy - state.liquid.atDevice.enthalpy)
    const valveHeat =
      circuit.valveConductance * (state.compressor.dischargeTemperature - state.beforeValve.temperature)
    const given = state.condenser.heat + lineLoss + valveHeat
    expect(Math.abs(given / (taken + suctionGain) - 1)).toBeLessThan(0.002)
  })
})

test('the usual physics is what is computed where nothing is said', () => {
  const [said, silent] = [simulatorOf(VALVE, USUAL_PHYSICS), simulatorOf(VALVE)]
  expect(said.sized.cooling).toEqual(silent.sized.cooling)
})

test('handbook 04: a starved circuit gains subcooling, and more where it was topped up', () => {
  const plugged: FaultNow[] = [{ fault: 'fixed-orifice-plugged', severity: 0.7 }]
  const plate = subcooling(run(ORIFICE, {}, plugged)) - subcooling(run(ORIFICE))
  const filled = subcooling(run(ORIFICE, {}, plugged, 1.2)) - subcooling(run(ORIFICE))
  expect(plate).toBeGreaterThan(0)
  expect(filled).toBeGreaterThan(plate + 2)
})

test('a generous valve holds its superheat at less charge than a tight one', () => {
  const short: FaultNow[] = [{ fault: 'undercharge', severity: 0.5 }]
  const rise = (ratedOpening: number) =>
    superheat(run(VALVE, { ratedOpening }, short)) - superheat(run(VALVE, { ratedOpening }))
  expect(rise(0.42)).toBeLessThan(rise(0.85))
})

test('pressures of reversed phases stand close together, whatever the degree', () => {
  const ratio = (severity: number) => {
    const { state } = run(ORIFICE, {}, [{ fault: 'phase-reversed', severity }])
    return state.highPressure / state.beforeCompressor.pressure
  }
  expect(ratio(1)).toBeLessThan(1.5)
  expect(ratio(0.3)).toBeCloseTo(ratio(1), 6)
})

test('another specimen keeps its physics', () => {
  const simulator = simulatorOf(VALVE, { ...USUAL_PHYSICS, loadSpread: 0.1 })
  const other = anotherSpecimen(simulator, seededRandom(4))
  expect(other.anchors.cooling!.circuit.physics.loadSpread).toBe(0.1)
  expect(
    trueReadings(simulateSteady(other, { unit: VALVE, mode: 'cooling' })).suctionPressure,
  ).toBeGreaterThan(5e5)
})
