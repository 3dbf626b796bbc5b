import type { UnitPlate } from '../record/equipment/unit'
import { seededRandom } from '../base/numeric/random'
import { saturationPressure } from '../physics/refrigerants/saturation'
import { fromKelvin, toKelvin } from '../base/units/convert'
import { fillConditions, surroundingsOf } from './conditions'
import { compressorAmps, electricalTruth, ratedLoadAmps } from './electricalTruth'
import { limitsOf } from './limits'
import { ratingPoint } from './ratingPoint'
import { anotherSpecimen } from './scatter'
import { conditionsOf, readSimulationText } from './simulationFile'
import { sizeUnit } from './sizing'
import { innerVolume, standingPressure } from './standing'
import { simulateSteady, simulatorOf } from './steady'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const SPLIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
const PUMP: UnitPlate = { ...SPLIT, kind: 'split-heat-pump' }
const WATER: UnitPlate = { ...SPLIT, kind: 'water-source-heat-pump' }
const COOLER: UnitPlate = { kind: 'walk-in-cooler', refrigerant: 'R-404A', metering: 'txv', receiver: true }

describe('conditions', () => {
  test('what is not given is an ordinary day; what is given stays', () => {
    const given = fillConditions(SPLIT, 'cooling', { outdoorAirTemp: f(101) })
    expect(given.outdoorAirTemp).toBe(f(101))
    expect(fromKelvin(given.returnAirTemp, 'F')).toBeCloseTo(75, 6)
    expect(fromKelvin(fillConditions(PUMP, 'heating', {}).outdoorAirTemp, 'F')).toBeCloseTo(47, 6)
    expect(fromKelvin(fillConditions(COOLER, 'cooling', {}).boxTemp, 'F')).toBeCloseTo(36, 6)
  })
  test.each([
    [SPLIT, 'cooling', 'air', 'air'],
    [WATER, 'cooling', 'water', 'air'],
    [WATER, 'heating', 'air', 'water'],
    [{ ...SPLIT, kind: 'pool-heat-pump' } as UnitPlate, 'heating', 'water', 'air'],
  ] as const)('coils of %o in %s meet %s and %s', (unit, mode, condenser, evaporator) => {
    const around = surroundingsOf(unit, mode, fillConditions(unit, mode, {}), 101_325)
    expect(around.condenser.kind).toBe(condenser)
    expect(around.evaporator.kind).toBe(evaporator)
  })
  test('a wet bulb above the dry bulb is refused', () => {
    const wrong = fillConditions(SPLIT, 'cooling', { returnAirTemp: f(70), returnAirWetBulb: f(75) })
    expect(() => surroundingsOf(SPLIT, 'cooling', wrong, 101_325)).toThrow(/swap or repeat/)
  })
})

describe('rating points', () => {
  test.each([
    [{ ...SPLIT, seer: 9 }, 30],
    [{ ...SPLIT, seer: 14 }, 20],
    [{ ...SPLIT, seer: 18 }, 15],
  ])('a rating of %o condenses %i F over outdoor air', (unit, degrees) => {
    const { condensing, around } = ratingPoint(unit, sizeUnit(SPLIT).row)
    expect((condensing - around.condenser.temperature) * 1.8).toBeCloseTo(degrees, 6)
  })
  test('water: its flow by tons, its rise under ten degrees', () => {
    const { waterFlow, capacity } = ratingPoint(WATER, sizeUnit(WATER).row)
    expect(waterFlow! / (capacity / 3516.853)).toBeCloseTo(3 * 0.0631, 3)
  })
})

describe('specimens', () => {
  test('differ a little from each other, the same for the same seed', () => {
    const simulator = simulatorOf(SPLIT)
    const one = anotherSpecimen(simulator, seededRandom(1)).anchors.cooling!.circuit
    const same = anotherSpecimen(simulator, seededRandom(1)).anchors.cooling!.circuit
    const other = anotherSpecimen(simulator, seededRandom(2)).anchors.cooling!.circuit
    expect(one).toEqual(same)
    expect(one.charge).not.toBe(other.charge)
    expect(Math.abs(one.charge / simulator.sized.charge - 1)).toBeLessThan(0.15)
  })
})

describe('standing pressure', () => {
  const { cooling } = sizeUnit(SPLIT)
  test('is saturation while there is liquid', () => {
    expect(standingPressure(cooling, f(80))).toBeCloseTo(saturationPressure('R-410A', 'bubble', f(80)), 3)
  })
  test('falls below it when all is vapour, and with the charge', () => {
    const some = standingPressure({ ...cooling, charge: 0.2 * cooling.charge }, f(80))
    const less = standingPressure({ ...cooling, charge: 0.05 * cooling.charge }, f(80))
    expect(less).toBeLessThan(some)
    expect(less).toBeLessThan(saturationPressure('R-410A', 'dew', f(80)))
    expect(less).toBeGreaterThan(0)
  })
  test('air adds its own pressure', () => {
    const withAir = standingPressure({ ...cooling, nonCondensables: 1 }, f(80))
    const share = (1 * 8.314 * f(80)) / innerVolume(cooling)
    expect(withAir - standingPressure(cooling, f(80))).toBeGreaterThan(0.9 * share)
  })
})

describe('electrical readings of a sound motor', () => {
  const at = (outdoor: number, unit: UnitPlate = SPLIT) =>
    simulateSteady(simulatorOf(unit), { unit, mode: 'cooling', conditions: { outdoorAirTemp: f(outdoor) } })
  test('amps rise with the head and stay at or below the rating on a usual day', () => {
    const [mild, hot] = [at(75), at(100)]
    expect(compressorAmps(hot)).toBeGreaterThan(compressorAmps(mild))
    expect(compressorAmps(mild)).toBeLessThan(ratedLoadAmps(mild))
  })
  test('windings: run to start is the sum; three-phase legs are equal', () => {
    const single = electricalTruth(at(85))
    expect(single.ohmsRS).toBeCloseTo(single.ohmsCR! + single.ohmsCS!, 9)
    const three = electricalTruth(at(85, { ...SPLIT, power: { phase: 3, volts: 208 } }))
    expect(new Set([three.ohmsT1T2, three.ohmsT2T3, three.ohmsT3T1]).size).toBe(1)
    expect(three.runCapacitance).toBeUndefined()
    expect(three.voltageL3L1).toBe(208)
  })
  test('the plate leads: rated and locked amps, heater watts', () => {
    const unit: UnitPlate = {
      ...SPLIT,
      power: { rla: 12.8, lra: 64 },
      crankcaseHeater: { watts: 35, volts: 240 },
    }
    const truth = electricalTruth(at(95, unit))
    expect(ratedLoadAmps(at(95, unit))).toBe(12.8)
    expect(truth.inrushAmps).toBe(64)
    expect(truth.crankcaseHeaterAmps).toBeCloseTo(35 / 240, 6)
  })
})

describe('limits', () => {
  const at = (outdoor: number, fault?: Parameters<typeof simulateSteady>[1]['faults']) =>
    simulateSteady(simulatorOf(SPLIT), {
      unit: SPLIT,
      mode: 'cooling',
      conditions: { outdoorAirTemp: f(outdoor) },
      ...(fault ? { faults: fault } : {}),
    })
  test('a usual day trips nothing', () => expect(limitsOf(at(90))).toEqual([]))
  test('a nearly shut valve would have tripped the low side, a starved hot one the protector', () => {
    const shut = limitsOf(at(85, [{ fault: 'txv-lost-bulb-charge', severity: 1 }]))
    expect(shut.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['discharge-temperature', 'low-pressure']),
    )
    for (const { sentence } of shut) expect(sentence).toMatch(/would have opened/)
  })
})

describe('simulation files', () => {
  const text = (part: object) =>
    JSON.stringify({ format: 'orzo.simulation', version: 1, unit: SPLIT, mode: 'cooling', ...part })
  test('conditions come in any unit', () => {
    const file = readSimulationText(
      text({
        conditions: {
          outdoorAirTemp: { value: 35, unit: 'C' },
          outdoorHumidity: { value: 40, unit: '%' },
          returnAirTemp: { value: 75, unit: 'F' },
        },
      }),
    )
    expect(conditionsOf(file)).toEqual({
      outdoorAirTemp: 308.15,
      outdoorHumidity: expect.closeTo(0.4, 12),
      returnAirTemp: expect.closeTo(f(75), 9),
    })
  })
  test.each([
    [
      'a unit of another quantity',
      { conditions: { outdoorAirTemp: { value: 35, unit: 'psig' } } },
      /conditions.outdoorAirTemp/,
    ],
    ['below absolute zero', { conditions: { outdoorAirTemp: { value: -500, unit: 'F' } } }, /absolute zero/],
    [
      'five faults',
      { faults: Array.from({ length: 5 }, () => ({ fault: 'undercharge', severity: 0.1 })) },
      /more than 4/,
    ],
    ['an unknown key', { weather: 'fine' }, /weather/],
    ['a seed that is no whole number', { instruments: { seed: 1.5 } }, /whole number/],
  ])('%s is refused with its place', (_name, part, message) => {
    expect(() => readSimulationText(text(part))).toThrow(message)
  })
})
