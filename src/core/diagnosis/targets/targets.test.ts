import { condenserMedium, evaporatorMedium } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { derive } from '../../record/readings/derive'
import type { Readings } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import { localAtmosphere } from '../../base/units/atmosphere'
import { differenceFromKelvin, fromKelvin } from '../../base/units/convert'
import { findTargets } from './findTargets'
import { coverage } from './profiles'
import type { TargetKey } from './target'

const f = (value: number) => ({ value, unit: 'F' as const })
const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  ...part,
})

function targetsOf(unit: UnitPlate, readings: Readings, atmosphere = 101_325) {
  const at = takeSnapshot({ mode: 'cooling', readings }, unit.refrigerant, atmosphere)
  return findTargets(unit, at, derive(at))
}
const degrees = (unit: UnitPlate, readings: Readings, key: TargetKey, atmosphere?: number) =>
  differenceFromKelvin(targetsOf(unit, readings, atmosphere)[key]!.value, 'F')
const at = (unit: UnitPlate, readings: Readings, key: TargetKey) =>
  fromKelvin(targetsOf(unit, readings)[key]!.value, 'F')

describe('comfort cooling, handbook 03 [practice]', () => {
  test('evaporating 35 F below return air', () => {
    expect(at(plate(), { returnAirTemp: f(75) }, 'evaporatingMean')).toBeCloseTo(40, 6)
  })
  test.each([
    [30, 36, 40],
    [50, 34, 36],
    [75, 28, 31],
  ])('at %i %% return humidity %i to %i F below it, by the circuit', (percent, least, most) => {
    const unit = plate()
    const readings = { returnAirTemp: f(75), returnAirHumidity: { value: percent, unit: '%' as const } }
    const below = 75 - at(unit, readings, 'evaporatingMean')
    expect(below).toBeGreaterThan(least)
    expect(below).toBeLessThan(most)
    expect(targetsOf(unit, readings).evaporatingMean!.source).toMatch(/simulated circuit/)
  })
  test.each([
    [9, 30],
    [12, 25],
    [14, 20],
    [18, 15],
  ])('rating %i condenses %i F over outdoor air', (seer, over) => {
    expect(at(plate({ seer }), { outdoorAirTemp: f(90) }, 'condensingMean')).toBeCloseTo(90 + over, 6)
  })
  test('an old R-22 coil runs hotter than a newer one', () => {
    const readings = { outdoorAirTemp: f(90) }
    expect(at(plate({ refrigerant: 'R-22' }), readings, 'condensingMean')).toBeGreaterThan(
      at(plate(), readings, 'condensingMean'),
    )
  })
  // (3 x wet bulb - 80 - outdoor) / 2
  test.each([
    [63, 85, 12],
    [67, 95, 13],
    [70, 80, 25],
  ])('fixed orifice, wet bulb %i F, outdoor %i F: superheat %i F', (wet, outdoor, expected) => {
    const readings = { returnAirTemp: f(78), returnAirWetBulb: f(wet), outdoorAirTemp: f(outdoor) }
    const target = targetsOf(plate({ metering: 'fixed-orifice' }), readings).superheat!
    expect(differenceFromKelvin(target.value, 'F')).toBeCloseTo(expected, 6)
    expect(differenceFromKelvin(target.tolerance, 'F')).toBeGreaterThanOrEqual(5)
    expect(differenceFromKelvin(target.tolerance, 'F')).toBeLessThan(5.6)
  })
  test.each([
    ['without the wet bulb', { outdoorAirTemp: f(85) }],
    ['below 5 F', { returnAirWetBulb: f(55), outdoorAirTemp: f(110) }],
    ['outside the range of the formula', { returnAirWetBulb: f(48), outdoorAirTemp: f(60) }],
  ])('%s the orifice target is wide, not invented', (_name, readings) => {
    const target = targetsOf(plate({ metering: 'fixed-orifice' }), readings).superheat!
    expect(differenceFromKelvin(target.tolerance, 'F')).toBeCloseTo(12, 6)
    expect(target.source).toMatch(/wide/)
  })
  test('humidity gives the same orifice target as the wet bulb it means', () => {
    const unit = plate({ metering: 'fixed-orifice' })
    const wet = degrees(
      unit,
      { returnAirTemp: f(80), returnAirWetBulb: f(67), outdoorAirTemp: f(90) },
      'superheat',
    )
    const humid = degrees(
      unit,
      { returnAirTemp: f(80), returnAirHumidity: { value: 51.1, unit: '%' }, outdoorAirTemp: f(90) },
      'superheat',
    )
    expect(humid).toBeCloseTo(wet, 0)
  })
  test('an expansion valve: 10 F at the bulb, up to 20 at the compressor', () => {
    expect(degrees(plate(), {}, 'evaporatorSuperheat')).toBeCloseTo(10, 6)
    const { value, tolerance } = targetsOf(plate(), {}).superheat!
    expect(differenceFromKelvin(value + tolerance, 'F')).toBeCloseTo(19, 6)
    expect(targetsOf(plate({ metering: 'capillary' }), {}).evaporatorSuperheat).toBeUndefined()
  })
  test('the plate leads for subcooling; 10 F where it is silent; a receiver keeps it at 0-8 F', () => {
    expect(targetsOf(plate({ targetSubcooling: { value: 14, unit: 'F' } }), {}).subcooling).toMatchObject({
      tag: 'nameplate',
    })
    expect(degrees(plate({ targetSubcooling: { value: 5, unit: 'K' } }), {}, 'subcooling')).toBeCloseTo(9, 6)
    expect(degrees(plate(), {}, 'subcooling')).toBeCloseTo(10, 6)
    expect(degrees(plate({ receiver: true }), {}, 'subcooling')).toBeCloseTo(4, 6)
  })
  test.each([
    [50, 20],
    [67, 15],
    [35, 22],
  ])('split at %i %% return humidity: %i F', (humidity, expected) => {
    const readings = { returnAirTemp: f(75), returnAirHumidity: { value: humidity, unit: '%' as const } }
    expect(degrees(plate(), readings, 'temperatureSplit')).toBeCloseTo(expected, 6)
  })
  test('at 1,750 m the split is about 1.2 times as large [physics]', () => {
    const readings = { returnAirTemp: f(75), returnAirHumidity: { value: 50, unit: '%' as const } }
    const ratio =
      degrees(plate(), readings, 'temperatureSplit', localAtmosphere(1750)) /
      degrees(plate(), readings, 'temperatureSplit')
    expect(ratio).toBeCloseTo(1.235, 2)
  })
  test('discharge is computed from the expected saturations and stays below 225 F on an ordinary day', () => {
    const target = at(plate(), { outdoorAirTemp: f(90), returnAirTemp: f(75) }, 'dischargeLineTemp')
    expect(target).toBeGreaterThan(140)
    expect(target).toBeLessThan(225)
  })
})

describe('other circuits', () => {
  test('water cooled: 5-15 F over leaving water, rise 8-12 F', () => {
    const unit = plate({ kind: 'water-source-heat-pump' })
    expect(at(unit, { waterOutTemp: f(90) }, 'condensingMean')).toBeCloseTo(100, 6)
    expect(degrees(unit, {}, 'waterRise')).toBeCloseTo(10, 6)
    expect(targetsOf(plate(), {}).waterRise).toBeUndefined()
  })
  test('boxes: saturation 10-15 F below the box, at least 20 F at the compressor, freezer coil 4-8 F', () => {
    const freezer = plate({ kind: 'walk-in-freezer', refrigerant: 'R-404A' })
    expect(at(freezer, { boxTemp: f(0) }, 'evaporatingMean')).toBeCloseTo(-12, 6)
    expect(degrees(freezer, {}, 'superheat')).toBeGreaterThan(20)
    expect(degrees(freezer, {}, 'evaporatorSuperheat')).toBeCloseTo(6, 6)
    expect(targetsOf(freezer, {}).temperatureSplit).toBeUndefined()
  })
  test.each([
    [30, 94],
    [90, 115],
  ])('head-pressure control at %i F outdoor holds condensing at %i F', (outdoor, condensing) => {
    const unit = plate({ kind: 'walk-in-cooler', headPressureControl: true })
    expect(at(unit, { outdoorAirTemp: f(outdoor) }, 'condensingMean')).toBeCloseTo(condensing, 6)
  })
  test('amps only where the plate gives rated load amps', () => {
    expect(targetsOf(plate(), {}).ampsShare).toBeUndefined()
    expect(targetsOf(plate({ power: { rla: 12 } }), {}).ampsShare?.value).toBeCloseTo(0.8, 6)
  })
})

describe('heating, handbook 03', () => {
  const heating = (unit: UnitPlate, readings: Readings) => {
    const at = takeSnapshot({ mode: 'heating', readings }, unit.refrigerant, 101_325)
    return findTargets(unit, at, derive(at))
  }
  const below = (unit: UnitPlate, readings: Readings, key: TargetKey, from: number) =>
    from - fromKelvin(heating(unit, readings)[key]!.value, 'F')
  const PUMP = plate({ kind: 'split-heat-pump' })
  test('outdoor coil 15-20 F below mild outdoor air, less in cold [practice, physics]', () => {
    const mild = below(PUMP, { outdoorAirTemp: f(47) }, 'evaporatingMean', 47)
    expect(mild).toBeGreaterThan(15)
    expect(mild).toBeLessThan(20)
    expect(below(PUMP, { outdoorAirTemp: f(17) }, 'evaporatingMean', 17)).toBeLessThan(0.8 * mild)
  })
  test('condensing 25-40 F above return air, rise 20-35 F [practice]', () => {
    const readings = { outdoorAirTemp: f(47), returnAirTemp: f(70) }
    const over = -below(PUMP, readings, 'condensingMean', 70)
    expect(over).toBeGreaterThan(25)
    expect(over).toBeLessThan(40)
    const rise = differenceFromKelvin(heating(PUMP, readings).temperatureRise!.value, 'F')
    expect(rise).toBeGreaterThan(20)
    expect(rise).toBeLessThan(35)
    expect(heating(PUMP, readings).temperatureSplit).toBeUndefined()
  })
  test('pool heater: condensing 8-20 F above leaving water, rise 3-6 F [memory]', () => {
    const pool = plate({ kind: 'pool-heat-pump' })
    const readings = { outdoorAirTemp: f(75), waterOutTemp: f(84) }
    const over = -below(pool, readings, 'condensingMean', 84)
    expect(over).toBeGreaterThan(8)
    expect(over).toBeLessThan(20)
    const rise = differenceFromKelvin(heating(pool, readings).waterRise!.value, 'F')
    expect(rise).toBeGreaterThan(3)
    expect(rise).toBeLessThan(6)
  })
  test('water source: water drop 4-8 F, evaporating 10-20 F below leaving water [memory]', () => {
    const unit = plate({ kind: 'water-source-heat-pump' })
    const readings = { waterOutTemp: f(58) }
    expect(differenceFromKelvin(heating(unit, readings).waterRise!.value, 'F')).toBeCloseTo(-7, 6)
    expect(below(unit, readings, 'evaporatingMean', 58)).toBeCloseTo(13, 6)
  })
  test('what was not measured widens the band instead of being guessed', () => {
    const known = heating(PUMP, { outdoorAirTemp: f(47) }).evaporatingMean!
    expect(heating(PUMP, {}).evaporatingMean!.tolerance).toBeGreaterThan(2 * known.tolerance)
  })
  test.each([
    ['split-heat-pump', 'cooling', 'air', 'air'],
    ['water-source-heat-pump', 'cooling', 'water', 'air'],
    ['water-source-heat-pump', 'heating', 'air', 'water'],
    ['pool-heat-pump', 'heating', 'water', 'air'],
  ] as const)('%s in %s: condenser in %s, evaporator in %s', (kind, mode, condenser, evaporator) => {
    expect(condenserMedium(plate({ kind }), mode)).toBe(condenser)
    expect(evaporatorMedium(plate({ kind }), mode)).toBe(evaporator)
  })
})

describe('what is not covered is said', () => {
  test.each([
    ['heating with a unit that only cools', plate(), 'heating', /does not heat/],
    ['off', plate(), 'off', /off/],
    ['pool heater', plate({ kind: 'pool-heat-pump' }), 'cooling', /set the mode to heating/],
    ['other', plate({ kind: 'other' }), 'cooling', /other/],
  ] as const)('%s', (_name, unit, mode, reason) => {
    const result = coverage(unit, mode)
    expect(result.covered).toBe(false)
    if (!result.covered) expect(result.reason).toMatch(reason)
    const snapshot = takeSnapshot({ mode, readings: { returnAirTemp: f(75) } }, unit.refrigerant, 101_325)
    expect(Object.keys(findTargets(unit, snapshot, {}))).toEqual(['standingOverAmbient'])
  })
})
