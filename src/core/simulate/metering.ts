import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { liquidTemperature } from '../physics/refrigerants/liquid'
import {
  saturatedDensity,
  saturatedEnthalpy,
  saturationPressure,
  saturationTemperature,
} from '../physics/refrigerants/saturation'
import type { MeteringDevice } from './hardware'
import { cornersAtPressure, qualityOf } from './saturations'
import { homogeneousDensity } from './twoPhase'

/** State ahead of the device. */
export type Inlet = {
  readonly pressure: number
  readonly enthalpy: number
  /** K */
  readonly temperature: number
  /** vapour share, 0 for liquid */
  readonly quality: number
  /** kg/m3 of what arrives, homogeneous */
  readonly density: number
}

/** State of refrigerant at a pressure and enthalpy on the liquid side. @throws OrzoError out-of-range */
export function inletState(name: RefrigerantName, pressure: number, enthalpy: number): Inlet {
  const bubble = saturationTemperature(name, 'bubble', pressure)
  if (enthalpy <= saturatedEnthalpy(name, 'bubble', bubble)) {
    const temperature = Math.min(liquidTemperature(name, enthalpy), bubble)
    return {
      pressure,
      enthalpy,
      temperature,
      quality: 0,
      density: saturatedDensity(name, 'bubble', temperature),
    }
  }
  const at = cornersAtPressure(name, pressure)
  const quality = qualityOf(at, enthalpy)
  const temperature = at.bubble + Math.min(quality, 1) * (at.dew - at.bubble)
  const density = homogeneousDensity(at.liquidDensity, at.vapourDensity, quality)
  return { pressure, enthalpy, temperature, quality, density }
}

const LEAST_THROAT = 0.3

/**
 * [memory] a flashing orifice chokes: the pressure at its throat stays near a share of saturation at the inlet
 * temperature, lower the more the liquid is subcooled; a capillary chokes earlier along its length. Valves see the
 * pressure behind them.
 */
function throatPressure(name: RefrigerantName, device: MeteringDevice, inlet: Inlet): number {
  if (device.throat === 0) return 0
  const saturation = saturationPressure(name, 'bubble', inlet.temperature)
  if (device.throatFall === 0) return Math.min(device.throat * saturation, inlet.pressure)
  const subcooled = Math.max(saturationTemperature(name, 'bubble', inlet.pressure) - inlet.temperature, 0)
  const share = Math.max(device.throat - device.throatFall * subcooled, LEAST_THROAT)
  return Math.min(share * saturation, inlet.pressure)
}

/** Flow through a wide open device, kg/s. @param behind pressure behind it, Pa */
export function fullFlow(
  name: RefrigerantName,
  device: MeteringDevice,
  inlet: Inlet,
  behind: number,
): number {
  const drop = Math.max(inlet.pressure - Math.max(behind, throatPressure(name, device, inlet)), 0)
  return device.area * Math.sqrt(2 * inlet.density * drop)
}

/** Share by which a valve opens at a bulb superheat, inside its limits; fixed devices are always open. */
export function openingAt(device: MeteringDevice, superheat: number): number {
  if (device.type === 'fixed-orifice' || device.type === 'capillary') return device.mostOpening
  const way = (superheat - device.closedSuperheat) / device.openSpan
  const wanted = way <= 0 || device.openingExponent === 1 ? way : way ** device.openingExponent
  return Math.min(Math.max(wanted, device.leastOpening), device.mostOpening)
}
