import { attempt } from '../base/errors/orzoError'
import { toPascals } from '../base/units/convert'
import type { PressureUnit, Quantity } from '../base/units/units'
import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { saturationTemperature } from '../physics/refrigerants/saturation'

/** Temperatures at which a refrigerant boils and condenses at a pressure, K; one and the same without glide. */
export type SaturatesAt = { readonly bubble: number; readonly dew: number }

/**
 * What a gauge's pressure means as temperatures.
 * @param atmosphere local atmospheric pressure, Pa
 * @returns a sentence where the pressure is outside of the refrigerant's tables
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function saturatesAt(
  name: RefrigerantName,
  pressure: Quantity<PressureUnit>,
  atmosphere: number,
): SaturatesAt | string {
  const found = attempt(() => {
    const pascals = toPascals(pressure, atmosphere)
    return {
      bubble: saturationTemperature(name, 'bubble', pascals),
      dew: saturationTemperature(name, 'dew', pascals),
    }
  })
  return found.ok ? found.value : found.error.message
}
