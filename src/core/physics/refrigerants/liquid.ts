import type { RefrigerantName } from './catalogue'
import {
  bubbleTemperatureOfEnthalpy,
  liquidResponse,
  saturatedEnthalpy,
  saturatedDensity,
  saturationPressure,
  saturationTemperature,
} from './saturation'

/** Liquid below its bubble temperature. */
export type LiquidState = {
  /** kg/m3 */
  readonly density: number
  /** J/kg */
  readonly enthalpy: number
}

/**
 * Subcooled liquid: the saturated state at its temperature, corrected for the pressure above saturation.
 * @param kelvin temperature, inside the saturation table
 * @param pascals absolute pressure, at or above the bubble pressure
 * @returns within 1 % of the reference library (docs/properties.md)
 * @throws OrzoError out-of-range
 */
export function subcooledLiquid(name: RefrigerantName, kelvin: number, pascals: number): LiquidState {
  const over = Math.max(pascals - saturationPressure(name, 'bubble', kelvin), 0)
  const { compressibility, enthalpySlope } = liquidResponse(name, kelvin)
  return {
    density: saturatedDensity(name, 'bubble', kelvin) * (1 + compressibility * over),
    enthalpy: saturatedEnthalpy(name, 'bubble', kelvin) + enthalpySlope * over,
  }
}

/**
 * Temperature of liquid with an enthalpy, K; the pressure's small part in the enthalpy is left out (under 0.2 K).
 * @throws OrzoError out-of-range
 */
export const liquidTemperature = bubbleTemperatureOfEnthalpy

/**
 * Vapour share by mass after throttling to a pressure: enthalpy stays.
 * @param enthalpy J/kg ahead of the valve
 * @param pascals absolute pressure behind it
 * @returns below 0 for liquid that is still subcooled, above 1 for superheated vapour
 * @throws OrzoError out-of-range
 */
export function qualityAfterThrottling(name: RefrigerantName, enthalpy: number, pascals: number): number {
  const liquid = saturatedEnthalpy(name, 'bubble', saturationTemperature(name, 'bubble', pascals))
  const vapour = saturatedEnthalpy(name, 'dew', saturationTemperature(name, 'dew', pascals))
  return (enthalpy - liquid) / (vapour - liquid)
}
