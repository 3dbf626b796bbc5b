import { airEnthalpy, airHeatCapacity, type MoistAir, saturationHumidityRatio } from './moistAir'

/** What a coil does to the air that passes it. */
export type CoilDuty = {
  readonly leaving: MoistAir
  /** heat taken from the air, W: total, sensible and latent (condensate leaves at the surface temperature) */
  readonly total: number
  readonly sensible: number
  readonly latent: number
}

const ZERO_CELSIUS = 273.15
/** [physics] liquid water J/(kg K); ice J/(kg K) and its heat of fusion J/kg. */
const WATER_HEAT = 4186
const ICE_HEAT = 2100
const FUSION = 333_500

/** [physics] one part of a surface freezes before another: frost takes over from water within this band below 0 C. */
const FREEZING_BAND = 2

/** Enthalpy of condensate or frost at a surface temperature, J/kg, 0 for liquid at 0 C; continuous. */
export function condensateEnthalpy(kelvin: number): number {
  const celsius = kelvin - ZERO_CELSIUS
  const frozen = Math.min(Math.max(-celsius / FREEZING_BAND, 0), 1)
  return (1 - frozen) * WATER_HEAT * celsius + frozen * (ICE_HEAT * celsius - FUSION)
}

/**
 * Air over a coil by the bypass factor: a share leaves untouched, the rest leaves at the surface, saturated where the
 * surface is below the dew point [practice: apparatus dew point and bypass factor].
 * @param dryMassFlow kg of dry air a second
 * @param surface mean surface temperature, K
 * @param bypass share that is not touched, 0 to 1
 * @returns heat is negative where the surface is warmer than the air
 */
export function overCoil(air: MoistAir, dryMassFlow: number, surface: number, bypass: number): CoilDuty {
  const touched = 1 - bypass
  const surfaceRatio = Math.min(saturationHumidityRatio(surface, air.atmosphere), air.humidityRatio)
  const leaving: MoistAir = {
    temperature: surface + bypass * (air.temperature - surface),
    humidityRatio: surfaceRatio + bypass * (air.humidityRatio - surfaceRatio),
    atmosphere: air.atmosphere,
  }
  const dried = touched * (air.humidityRatio - surfaceRatio)
  const total = dryMassFlow * (airEnthalpy(air) - airEnthalpy(leaving) - dried * condensateEnthalpy(surface))
  const sensible = dryMassFlow * airHeatCapacity(air) * (air.temperature - leaving.temperature)
  return { leaving, total, sensible, latent: total - sensible }
}
