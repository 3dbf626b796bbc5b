import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import {
  saturatedDensity,
  saturatedEnthalpy,
  saturationPressure,
  saturationTemperature,
} from '../physics/refrigerants/saturation'

/** Both lines at one pressure: the corners between which refrigerant boils or condenses. SI. */
export type Corners = {
  readonly pressure: number
  readonly bubble: number
  readonly dew: number
  readonly liquidEnthalpy: number
  readonly vapourEnthalpy: number
  readonly liquidDensity: number
  readonly vapourDensity: number
}

function corners(name: RefrigerantName, pressure: number, bubble: number, dew: number): Corners {
  return {
    pressure,
    bubble,
    dew,
    liquidEnthalpy: saturatedEnthalpy(name, 'bubble', bubble),
    vapourEnthalpy: saturatedEnthalpy(name, 'dew', dew),
    liquidDensity: saturatedDensity(name, 'bubble', bubble),
    vapourDensity: saturatedDensity(name, 'dew', dew),
  }
}

/** Corners at a dew temperature, K. @throws OrzoError out-of-range */
export function cornersAtDew(name: RefrigerantName, dew: number): Corners {
  const pressure = saturationPressure(name, 'dew', dew)
  return corners(name, pressure, saturationTemperature(name, 'bubble', pressure), dew)
}

/** Corners at a bubble temperature, K. @throws OrzoError out-of-range */
export function cornersAtBubble(name: RefrigerantName, bubble: number): Corners {
  const pressure = saturationPressure(name, 'bubble', bubble)
  return corners(name, pressure, bubble, saturationTemperature(name, 'dew', pressure))
}

/** Corners at an absolute pressure, Pa. @throws OrzoError out-of-range */
export const cornersAtPressure = (name: RefrigerantName, pressure: number): Corners =>
  corners(
    name,
    pressure,
    saturationTemperature(name, 'bubble', pressure),
    saturationTemperature(name, 'dew', pressure),
  )

/** Vapour share of a state by its enthalpy; below 0 subcooled, above 1 superheated. */
export const qualityOf = (at: Corners, enthalpy: number): number =>
  (enthalpy - at.liquidEnthalpy) / (at.vapourEnthalpy - at.liquidEnthalpy)
