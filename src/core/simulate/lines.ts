import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { saturationTemperature } from '../physics/refrigerants/saturation'
import { gasEnthalpy, gasOfEnthalpy, type Isobar, isobarAt } from '../physics/refrigerants/vapour'
import type { Circuit, Line } from './hardware'
import { type Inlet, inletState } from './metering'
import { type Corners, qualityOf } from './saturations'
import { homogeneousDensity } from './twoPhase'

/** Gas in the suction line or before the compressor. */
export type SuctionPoint = {
  readonly pressure: number
  readonly enthalpy: number
  readonly temperature: number
  readonly density: number
  readonly isobar: Isobar
}

/** Liquid from the condenser to the metering device. */
export type LiquidPath = {
  readonly leaving: Inlet
  readonly beforeDryer: Inlet
  readonly afterDryer: Inlet
  readonly atDevice: Inlet
}

const lineDrop = (line: Line, massFlow: number, density: number) =>
  (line.resistance * massFlow * massFlow) / density

const LEAST_PRESSURE_SHARE = 0.15
/** K: over which the heat capacity of suction gas is taken. */
const CAPACITY_SPAN = 10

/** Gas of a pressure and an enthalpy. */
export function suctionPoint(isobar: Isobar, pressure: number, enthalpy: number): SuctionPoint {
  const { temperature, density } = gasOfEnthalpy(isobar, enthalpy)
  return { pressure, enthalpy, temperature, density, isobar }
}

/** Vapour in a line: pressure lost by friction, heat gained from the air around; wet vapour boils first. */
export function alongSuction(
  name: RefrigerantName,
  from: SuctionPoint,
  at: Corners,
  line: Line,
  massFlow: number,
  ambient: number,
): SuctionPoint {
  const quality = qualityOf(at, from.enthalpy)
  const density =
    quality >= 1 ? from.density : homogeneousDensity(at.liquidDensity, at.vapourDensity, quality)
  const lowest = from.pressure * LEAST_PRESSURE_SHARE
  const pressure = Math.max(from.pressure - lineDrop(line, massFlow, density), lowest)
  const capacity = (gasEnthalpy(from.isobar, CAPACITY_SPAN) - from.isobar.dew.enthalpy) / CAPACITY_SPAN
  const effect = -Math.expm1(-line.conductance / (massFlow * capacity))
  const enthalpy = from.enthalpy + (ambient - from.temperature) * effect * capacity
  return suctionPoint(isobarAt(name, saturationTemperature(name, 'dew', pressure)), pressure, enthalpy)
}

/** Liquid or flashing mixture in a line: friction, and heat to the air around. */
function alongLiquid(
  name: RefrigerantName,
  from: Inlet,
  line: Line,
  massFlow: number,
  ambient: number,
  lowest: number,
): Inlet {
  const pressure = Math.max(from.pressure - lineDrop(line, massFlow, from.density), lowest)
  const lost = (line.conductance * (from.temperature - ambient)) / massFlow
  return inletState(name, pressure, from.enthalpy - lost)
}

/** Liquid line, dryer and screen, one after another. */
export function liquidPath(
  circuit: Circuit,
  leaving: Inlet,
  massFlow: number,
  ambient: number,
  behind: number,
): LiquidPath {
  const { refrigerant: name, liquidLine, dryer, screen } = circuit
  // Nothing ahead of the device falls below the pressure behind it: the resistance then carries the whole drop.
  const lowest = behind
  const beforeDryer = alongLiquid(name, leaving, liquidLine, massFlow, ambient, lowest)
  const afterDryer = alongLiquid(name, beforeDryer, dryer, massFlow, ambient, lowest)
  const atDevice =
    screen.resistance === 0 ? afterDryer : alongLiquid(name, afterDryer, screen, massFlow, ambient, lowest)
  return { leaving, beforeDryer, afterDryer, atDevice }
}
