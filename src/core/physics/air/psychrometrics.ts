import { WATER_GAS } from './waterConstants'
import psychrolib from 'psychrolib'
import { OrzoError } from '../../base/errors/orzoError'
import { bracketedRoot } from '../../base/numeric/root'

psychrolib.SetUnitSystem(psychrolib.SI)

const ZERO_CELSIUS = 273.15

/**
 * Relative humidity from dry and wet bulb.
 * @param dryBulb K
 * @param wetBulb K, at or below the dry bulb
 * @param atmosphere local pressure, Pa
 * @returns share, 0 to 1 [std: ASHRAE Fundamentals 2017, through psychrolib]
 * @throws OrzoError out-of-range when the wet bulb lies above the dry bulb
 */
export function relativeHumidity(dryBulb: number, wetBulb: number, atmosphere: number): number {
  if (wetBulb > dryBulb) {
    throw new OrzoError(
      'out-of-range',
      'The wet bulb is above the dry bulb: swap or repeat the two readings.',
    )
  }
  const share = psychrolib.GetRelHumFromTWetBulb(dryBulb - ZERO_CELSIUS, wetBulb - ZERO_CELSIUS, atmosphere)
  return Math.min(Math.max(share, 0), 1)
}

/** Wet bulb, K, from dry bulb (K), relative humidity (share) and local pressure (Pa). */
export function wetBulb(dryBulb: number, humidity: number, atmosphere: number): number {
  return psychrolib.GetTWetBulbFromRelHum(dryBulb - ZERO_CELSIUS, humidity, atmosphere) + ZERO_CELSIUS
}

/** Saturation pressure of water over liquid or ice, Pa, at a temperature in K (-100 to 200 C). */
export function waterVapourPressure(kelvin: number): number {
  return psychrolib.GetSatVapPres(kelvin - ZERO_CELSIUS)
}

/** Ends of the search for a boiling point, K. */
const [COLDEST, HOTTEST] = [180, 400]

/**
 * Temperature at which water boils, or ice gives off vapour, at a pressure: the saturation curve turned round.
 * @param pascals absolute, 0.01 to 200,000
 * @returns K [std: ASHRAE Fundamentals 2017, through psychrolib]
 */
export const boilingTemperature = (pascals: number): number =>
  bracketedRoot((kelvin) => Math.log(waterVapourPressure(kelvin) / pascals), COLDEST, HOTTEST, 1e-4)

/** Mass of water vapour in air, kg/m3, at a temperature in K and a relative humidity (share). */
export function absoluteHumidity(kelvin: number, humidity: number): number {
  return (humidity * waterVapourPressure(kelvin)) / (WATER_GAS * kelvin)
}
