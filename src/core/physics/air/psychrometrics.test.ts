import { toKelvin } from '../../base/units/convert'
import { absoluteHumidity, relativeHumidity, waterVapourPressure, wetBulb } from './psychrometrics'

const fahrenheit = (value: number) => toKelvin({ value, unit: 'F' })

test('80 F with 67 F wet bulb is about 51 % at sea level [std: AHRI 210/240 rating condition]', () => {
  expect(relativeHumidity(fahrenheit(80), fahrenheit(67), 101325)).toBeCloseTo(0.51, 2)
})
test('the same pair at 1,750 m is a little more humid [physics]', () => {
  expect(relativeHumidity(fahrenheit(80), fahrenheit(67), 82_000)).toBeGreaterThan(
    relativeHumidity(fahrenheit(80), fahrenheit(67), 101325),
  )
})
test('wet bulb and humidity are inverse', () => {
  expect(relativeHumidity(300, wetBulb(300, 0.4, 90_000), 90_000)).toBeCloseTo(0.4, 3)
})
test('a wet bulb above the dry bulb is refused', () => {
  expect(() => relativeHumidity(295, 296, 101325)).toThrow('swap or repeat')
})
test('water boils near 22,000 microns at 75 F and 4,580 at 32 F (handbook 08)', () => {
  const micron = 0.133322
  expect(Math.abs(waterVapourPressure(fahrenheit(75)) / micron - 22_200)).toBeLessThan(300)
  expect(Math.abs(waterVapourPressure(fahrenheit(32)) / micron - 4583)).toBeLessThan(10)
})
test('saturated air at 75 F holds 21.7 g/m3 (handbook 06)', () => {
  expect(absoluteHumidity(fahrenheit(75), 1) * 1000).toBeCloseTo(21.7, 0)
})
