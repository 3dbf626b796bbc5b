import psychrolib from 'psychrolib'
import { OrzoError } from '../../base/errors/orzoError'

psychrolib.SetUnitSystem(psychrolib.SI)

const ZERO_CELSIUS = 273.15

/** Air with its moisture, at a pressure. */
export type MoistAir = {
  /** dry bulb, K */
  readonly temperature: number
  /** kg of water a kg of dry air */
  readonly humidityRatio: number
  /** Pa */
  readonly atmosphere: number
}

/**
 * Air from dry bulb and either wet bulb (K) or relative humidity (share).
 * @throws OrzoError out-of-range when the wet bulb lies above the dry bulb
 */
export function moistAir(
  temperature: number,
  moisture: { readonly wetBulb: number } | { readonly humidity: number },
  atmosphere: number,
): MoistAir {
  const celsius = temperature - ZERO_CELSIUS
  if ('humidity' in moisture) {
    const humidityRatio = psychrolib.GetHumRatioFromRelHum(celsius, moisture.humidity, atmosphere)
    return { temperature, humidityRatio, atmosphere }
  }
  if (moisture.wetBulb > temperature) {
    throw new OrzoError(
      'out-of-range',
      'The wet bulb is above the dry bulb: swap or repeat the two readings.',
    )
  }
  const humidityRatio = psychrolib.GetHumRatioFromTWetBulb(
    celsius,
    moisture.wetBulb - ZERO_CELSIUS,
    atmosphere,
  )
  return { temperature, humidityRatio, atmosphere }
}

/** Enthalpy of moist air, J/kg of dry air, 0 for dry air at 0 C [std: ASHRAE Fundamentals, through psychrolib]. */
export const airEnthalpy = (air: MoistAir): number =>
  psychrolib.GetMoistAirEnthalpy(air.temperature - ZERO_CELSIUS, air.humidityRatio)

/** Dry bulb of moist air with an enthalpy (J/kg of dry air) and a humidity ratio, K. */
export const airTemperature = (enthalpy: number, humidityRatio: number): number =>
  psychrolib.GetTDryBulbFromEnthalpyAndHumRatio(enthalpy, humidityRatio) + ZERO_CELSIUS

/** Volume of moist air, m3/kg of dry air. */
export const airVolume = (air: MoistAir): number =>
  psychrolib.GetMoistAirVolume(air.temperature - ZERO_CELSIUS, air.humidityRatio, air.atmosphere)

/** Humidity ratio of saturated air (over ice below 0 C), kg/kg. */
export const saturationHumidityRatio = (kelvin: number, atmosphere: number): number =>
  psychrolib.GetSatHumRatio(kelvin - ZERO_CELSIUS, atmosphere)

/** Wet bulb of moist air, K; iterative. */
export const airWetBulb = (air: MoistAir): number =>
  psychrolib.GetTWetBulbFromHumRatio(air.temperature - ZERO_CELSIUS, air.humidityRatio, air.atmosphere) +
  ZERO_CELSIUS

/** [physics] heat capacities of dry air and of water vapour, J/(kg K), as in the ASHRAE enthalpy of moist air. */
const DRY_AIR_HEAT = 1006
const VAPOUR_HEAT = 1860

/** Heat capacity of moist air, J/(kg K) of dry air. */
export const airHeatCapacity = (air: MoistAir): number => DRY_AIR_HEAT + VAPOUR_HEAT * air.humidityRatio

/** Relative humidity of moist air, share. */
export const airHumidity = (air: MoistAir): number =>
  psychrolib.GetRelHumFromHumRatio(air.temperature - ZERO_CELSIUS, air.humidityRatio, air.atmosphere)
