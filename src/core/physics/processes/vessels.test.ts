import { toPascals } from '../../base/units/convert'
import { charge, type Cylinder, cylinderPressure, recover, USUAL_CYLINDER, USUAL_MACHINE } from './cylinder'
import { hoseConductance, inParallel, inSeries, VALVE_CORE } from './hose'
import { fillNitrogen, hold, nitrogenPressureAt, testPressure } from './nitrogen'
import {
  evacuate,
  isFrozen,
  openedCircuit,
  pumping,
  timeToReach,
  totalPressure,
  type VacuumSetup,
} from './vacuum'

const INCH = 0.0254
const microns = (pascals: number) => pascals / 0.133322
const micronPascals = (value: number) => toPascals({ value, unit: 'micron' })
const QUARTER = { bore: 0.16 * INCH, length: 1.5 }
const HALF = { bore: 0.44 * INCH, length: 1.5 }

describe('hoses [physics]', () => {
  test('viscous conductance grows with d^4 and mean pressure, molecular with d^3', () => {
    const twice = { bore: 2 * QUARTER.bore, length: QUARTER.length }
    expect(hoseConductance(twice, 1e5) / hoseConductance(QUARTER, 1e5)).toBeCloseTo(16, 0)
    expect(hoseConductance(QUARTER, 2e5) / hoseConductance(QUARTER, 1e5)).toBeCloseTo(2, 1)
    expect(hoseConductance(twice, 0) / hoseConductance(QUARTER, 0)).toBeCloseTo(8, 0)
  })
  test('a core throttles a fat hose; two ways beat one', () => {
    const at = micronPascals(1000)
    expect(inSeries([HALF, VALVE_CORE], at)).toBeLessThan(0.35 * inSeries([HALF], at))
    expect(inParallel([[HALF], [HALF]], at)).toBeCloseTo(2 * inSeries([HALF], at), 12)
  })
})

const SETUP: VacuumSetup = {
  volume: 0.012,
  temperature: 297,
  pump: { speed: 0.0028, ultimate: 3 },
  ways: [[HALF]],
  leak: 0,
  outgassing: { flow: 0, fading: 600 },
}
const NARROW: VacuumSetup = { ...SETUP, ways: [[QUARTER, VALVE_CORE]] }

describe('evacuation', () => {
  test('a dry, tight circuit reaches 500 microns in minutes and then stays', () => {
    const seconds = timeToReach(SETUP, openedCircuit(SETUP, 0), micronPascals(500), 3600)!
    expect(seconds).toBeLessThan(600)
    const down = evacuate(SETUP, openedCircuit(SETUP, 0), seconds, 'open')
    const after = evacuate(SETUP, down, 900, 'shut')
    expect(totalPressure(after)).toBeCloseTo(totalPressure(down), 6)
  })
  test('a quarter-inch hose through a core takes several times as long', () => {
    const wide = timeToReach(SETUP, openedCircuit(SETUP, 0), micronPascals(500), 7200)!
    const narrow = timeToReach(NARROW, openedCircuit(NARROW, 0), micronPascals(500), 7200)!
    expect(narrow / wide).toBeGreaterThan(3)
  })
  test('a gauge at the pump reads lower than one at the system', () => {
    const { atPump } = pumping(NARROW, micronPascals(1000))
    expect(microns(atPump)).toBeLessThan(700)
    expect(pumping(SETUP, micronPascals(1000)).speed).toBeLessThanOrEqual(SETUP.pump.speed)
  })
  test('a leak rises in a straight line', () => {
    const leaking = { ...SETUP, leak: 2e-5 }
    const down = evacuate(leaking, openedCircuit(leaking, 0), 1200, 'open')
    const rise = [300, 600, 900].map(
      (s) => totalPressure(evacuate(leaking, down, s, 'shut')) - totalPressure(down),
    )
    expect(rise[1]! / rise[0]!).toBeCloseTo(2, 3)
    expect(rise[2]! / rise[0]!).toBeCloseTo(3, 3)
    expect(rise[0]).toBeCloseTo((2e-5 * 300) / SETUP.volume, 6)
  })
  test('water holds the vacuum up, then the decay rises fast and levels off below its vapour pressure', () => {
    const wet = openedCircuit(SETUP, 0.02)
    const dry = timeToReach(SETUP, openedCircuit(SETUP, 0), micronPascals(500), 20_000)!
    const soaked = timeToReach(SETUP, wet, micronPascals(500), 40_000)
    expect(soaked ?? Infinity).toBeGreaterThan(3 * dry)
    const down = evacuate(SETUP, wet, 1200, 'open')
    const curve = [60, 120, 1800, 3600].map((s) => totalPressure(evacuate(SETUP, down, s, 'shut')))
    expect(curve[1]! - curve[0]!).toBeGreaterThan((curve[3]! - curve[2]!) / 10)
    expect(microns(curve[3]!)).toBeLessThan(23_000)
    expect(microns(curve[3]!)).toBeGreaterThan(1500)
  })
  test('pulled too hard, free water freezes; water is never created', () => {
    const hard = { ...SETUP, pump: { speed: 0.02, ultimate: 3 }, ways: [[HALF], [HALF], [HALF], [HALF]] }
    const state = evacuate(hard, openedCircuit(hard, 0.05), 1800, 'open')
    expect(isFrozen(state)).toBe(true)
    expect(state.water).toBeLessThan(0.05)
    expect(state.water).toBeGreaterThan(0)
  })
  test('refrigerant out of the oil stalls the pull-down and fades', () => {
    const gassing = { ...SETUP, outgassing: { flow: 0.6, fading: 900 } }
    const early = evacuate(gassing, openedCircuit(gassing, 0), 600, 'open')
    const late = evacuate(gassing, early, 6000, 'open')
    expect(microns(totalPressure(early))).toBeGreaterThan(1000)
    expect(totalPressure(late)).toBeLessThan(totalPressure(early) / 10)
  })
})

describe('nitrogen', () => {
  test('500 psig at 75 F reads 495-496 psig at 70 F and 487 at 61 F at sea level [physics]', () => {
    const start = toPascals({ value: 500, unit: 'psig' })
    const at = (f: number) => (nitrogenPressureAt(start, 297.039, (f + 459.67) / 1.8) - 101_325) / 6894.757
    expect(at(70)).toBeCloseTo(495.2, 0)
    expect(at(61)).toBeCloseTo(486.5, 0)
  })
  test('refuses what is not above zero', () => {
    expect(() => nitrogenPressureAt(-1, 290, 300)).toThrow(/above zero/)
  })
  test('a tight circuit follows its temperature; a leak loses gas beyond it', () => {
    const cooling = (seconds: number) => 305 - seconds / 1800
    const tight = hold(fillNitrogen(0.01, 3e6, 305, 0), 3600, cooling, 101_325)
    expect(testPressure(tight, cooling(3600))).toBeCloseTo((3e6 * cooling(3600)) / 305, 0)
    const leaking = hold(fillNitrogen(0.01, 3e6, 305, 1e-9), 3600, cooling, 101_325)
    expect(testPressure(leaking, 303)).toBeLessThan(testPressure(tight, 303) * 0.95)
  })
  test.each([
    // choked up to an outer pressure of 0.528 of the inner one [physics: ratio of specific heats 1.4]
    [0.25, 1],
    [0.5, 1],
    [0.75, Math.sqrt(0.25 / 0.4717)],
    [0.9, Math.sqrt(0.1 / 0.4717)],
    [1, 0],
  ])('at %f of the inner pressure outside a leak passes %f of the choked flow', (ratio, share) => {
    const lostFor = (pascals: number) => {
      const full = fillNitrogen(0.01, pascals, 300, 1e-11)
      return (full.amount - hold(full, 60, () => 300, 101_325).amount) / pascals
    }
    expect(lostFor(101_325 / ratio) / lostFor(1e6)).toBeCloseTo(share, 3)
  })
  test('a leak stops at atmospheric pressure', () => {
    const empty = hold(fillNitrogen(0.01, 2e5, 300, 1e-7), 50_000, () => 300, 101_325)
    expect(testPressure(empty, 300) / 101_325).toBeCloseTo(1, 1)
  })
})

describe('charging and recovery', () => {
  const cylinder: Cylinder = { refrigerant: 'R-410A', mass: 10, temperature: 297, ...USUAL_CYLINDER }
  const options = { area: 3e-6, behind: () => 9e5, wanted: 2, seconds: 3600, air: 297 }

  test('the scale agrees: what left the cylinder is what was given, and charging stops at the wanted weight', () => {
    const done = charge(cylinder, { ...options, drawn: 'liquid' })
    expect(done.given).toBeCloseTo(2, 9)
    expect(cylinder.mass - done.cylinder.mass).toBeCloseTo(2, 9)
    expect(done.seconds).toBeLessThan(600)
  })
  test('vapour cools the cylinder and slows down; liquid hardly cools it', () => {
    const liquid = charge(cylinder, { ...options, drawn: 'liquid' })
    const vapour = charge(cylinder, { ...options, drawn: 'vapour' })
    expect(297 - liquid.cylinder.temperature).toBeLessThan(3)
    expect(297 - vapour.cylinder.temperature).toBeGreaterThan(8)
    expect(vapour.seconds).toBeGreaterThan(3 * liquid.seconds)
    expect(cylinderPressure(vapour.cylinder)).toBeLessThan(cylinderPressure(cylinder))
  })
  test('nothing flows against a higher pressure', () => {
    const none = charge(cylinder, { ...options, drawn: 'liquid', behind: () => 5e6 })
    expect(none.given).toBe(0)
  })
  test('recovery ends in vacuum with nearly all of it in the cylinder; mass is kept', () => {
    const system = {
      refrigerant: 'R-410A',
      mass: 3,
      volume: 0.012,
      temperature: 297,
      metal: 20_000,
      conductance: 8,
    } as const
    const empty = { ...cylinder, mass: 1 }
    const done = recover(system, empty, USUAL_MACHINE, { seconds: 20_000, air: 297, liquidFirst: 1.5 })
    expect(done.recovered + done.system.mass).toBeCloseTo(3, 9)
    expect(done.recovered).toBeGreaterThan(2.8)
    expect(done.pressure).toBeLessThan(70_000)
    expect(done.seconds).toBeGreaterThan(300)
    expect(done.seconds).toBeLessThan(20_000)
    const slower = recover(system, empty, USUAL_MACHINE, { seconds: 20_000, air: 297, liquidFirst: 0 })
    expect(slower.seconds).toBeGreaterThan(done.seconds)
  })
})
