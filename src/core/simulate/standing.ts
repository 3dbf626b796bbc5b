import { bracketedRoot } from '../base/numeric/root'
import { saturatedDensity, saturationPressure, temperatureRange } from '../physics/refrigerants/saturation'
import { superheatedVapour } from '../physics/refrigerants/vapour'
import { gasPressure } from './circuitState'
import type { Circuit } from './hardware'

/** Inner volume of a whole circuit, m3. */
export const innerVolume = (c: Circuit): number =>
  c.condenser.volume +
  c.evaporator.volume +
  c.suctionLine.volume +
  c.liquidLine.volume +
  c.dryer.volume +
  c.dischargeVolume +
  c.compressor.freeVolume +
  c.receiverVolume +
  c.accumulatorVolume

/**
 * Pressure of a circuit that stands off and equalised at one temperature, Pa absolute: saturation while there is
 * liquid, less when all of it is vapour, more when air is inside.
 */
export function standingPressure(circuit: Circuit, kelvin: number): number {
  const volume = innerVolume(circuit)
  const density = circuit.charge / volume
  const { refrigerant: name } = circuit
  const full = saturatedDensity(name, 'dew', kelvin)
  const own =
    density >= full ? saturationPressure(name, 'bubble', kelvin) : vapourPressure(circuit, density, kelvin)
  const liquid = Math.max(density - full, 0) / (saturatedDensity(name, 'bubble', kelvin) - full)
  return own + gasPressure(circuit.nonCondensables, kelvin, volume * (1 - liquid))
}

/** Pressure at which vapour alone has a density at a temperature. */
function vapourPressure({ refrigerant: name }: Circuit, density: number, kelvin: number): number {
  const { coldest } = temperatureRange(name)
  const excess = (dew: number) => superheatedVapour(name, dew, kelvin - dew).density - density
  if (excess(coldest) >= 0) return saturationPressure(name, 'dew', coldest)
  return saturationPressure(name, 'dew', bracketedRoot(excess, coldest, kelvin, 1e-6))
}
