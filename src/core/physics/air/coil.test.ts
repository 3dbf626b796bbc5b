import { localAtmosphere } from '../../base/units/atmosphere'
import { toKelvin } from '../../base/units/convert'
import { airEnthalpy, airVolume, airWetBulb, moistAir, saturationHumidityRatio } from './moistAir'
import { overCoil } from './wetCoil'
import { waterVapourPressure } from './psychrometrics'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const SEA = 101_325
const ROOM = moistAir(f(80), { wetBulb: f(67) }, SEA)

describe('moist air, ASHRAE Fundamentals psychrometric chart 1 [std]', () => {
  test('80 F dry, 67 F wet: 0.0112 kg/kg, 0.862 m3/kg of dry air, 55.4 kJ/kg', () => {
    expect(ROOM.humidityRatio).toBeCloseTo(0.0112, 4)
    expect(airVolume(ROOM)).toBeCloseTo(0.8645, 3)
    expect(airEnthalpy(ROOM) / 1000).toBeCloseTo(55.4, 0)
  })
  test('wet bulb and humidity say the same', () => {
    expect(airWetBulb(ROOM)).toBeCloseTo(f(67), 2)
    const again = moistAir(f(80), { humidity: 0.5113 }, SEA)
    expect(again.humidityRatio).toBeCloseTo(ROOM.humidityRatio, 4)
  })
  test('a wet bulb above the dry bulb is refused with what to do', () => {
    expect(() => moistAir(f(70), { wetBulb: f(72) }, SEA)).toThrow(/swap or repeat/)
  })
})

// ASHRAE Fundamentals, thermodynamic properties of water at saturation [std]: C, Pa
test.each([
  [-20, 103.24],
  [0, 611.2],
  [20, 2338.8],
  [50, 12350],
  [100, 101_420],
])('water boils or sublimes at %i C under %f Pa', (celsius, pascals) => {
  expect(Math.abs(waterVapourPressure(celsius + 273.15) / pascals - 1)).toBeLessThan(0.002)
})

// ICAO Doc 7488 [std]: m, Pa
test.each([
  [0, 101_325],
  [1000, 89_874.6],
  [2000, 79_495.2],
  [5000, 54_019.9],
])('the standard atmosphere at %i m', (metres, pascals) => {
  expect(Math.abs(localAtmosphere(metres) / pascals - 1)).toBeLessThan(2e-5)
})

describe('air over a coil', () => {
  test('a dry coil takes sensible heat only, by the bypass factor', () => {
    const duty = overCoil(ROOM, 0.5, f(65), 0.2)
    expect(duty.leaving.temperature).toBeCloseTo(f(68), 6)
    expect(duty.leaving.humidityRatio).toBe(ROOM.humidityRatio)
    expect(duty.latent).toBeCloseTo(0, 0)
    expect(duty.total).toBeCloseTo(0.5 * (1006 + 1860 * ROOM.humidityRatio) * (12 / 1.8), 0)
  })
  test('a cold coil dries the air: latent share near a quarter at 80/67 F and a 54 F surface', () => {
    const duty = overCoil(ROOM, 0.5, f(54), 0.15)
    expect(duty.leaving.humidityRatio).toBeGreaterThan(saturationHumidityRatio(f(54), SEA))
    expect(duty.leaving.humidityRatio).toBeLessThan(ROOM.humidityRatio)
    expect(duty.latent / duty.total).toBeGreaterThan(0.18)
    expect(duty.latent / duty.total).toBeLessThan(0.35)
  })
  test('energy: what the air loses is the duty and what the condensate carries away', () => {
    const duty = overCoil(ROOM, 0.5, f(50), 0.1)
    const dried = ROOM.humidityRatio - duty.leaving.humidityRatio
    const condensate = dried * 4186 * (f(50) - 273.15)
    expect(airEnthalpy(ROOM) - airEnthalpy(duty.leaving) - condensate).toBeCloseTo(duty.total / 0.5, 3)
  })
  test('thin air at 1,750 m: the same volume carries less, so the same heat splits wider', () => {
    const high = moistAir(f(80), { wetBulb: f(60) }, localAtmosphere(1750))
    const low = moistAir(f(80), { wetBulb: f(60) }, SEA)
    expect(airVolume(high) / airVolume(low)).toBeGreaterThan(1.2)
  })
  test('a surface warmer than the air heats it', () => {
    expect(overCoil(ROOM, 0.5, f(100), 0.2).total).toBeLessThan(0)
  })
})
