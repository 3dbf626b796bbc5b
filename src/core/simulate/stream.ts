import { airHeatCapacity, airVolume, type MoistAir } from '../physics/air/moistAir'
import type { Coil, Entering } from './hardware'

/** [physics] heat capacity of water, J/(kg K). */
export const WATER_HEAT = 4186
/** [practice] the outer film of finned coils and of water coils grows with about the 0.6 power of flow. */
const FILM_EXPONENT = 0.6

/** The outer stream of a coil, ready to compute with. */
export type Stream = {
  readonly entering: Entering
  readonly temperature: number
  /** kg/s of dry air or water */
  readonly massFlow: number
  /** W/K */
  readonly capacityRate: number
  /** W/K between the stream and the surface at the present flow */
  readonly outside: number
}

export const asMoistAir = (entering: Extract<Entering, { kind: 'air' }>): MoistAir => entering

/** Stream of a coil: a fan moves volume, so thin air carries less [physics]. */
export function streamOf(coil: Coil, entering: Entering): Stream {
  const outside = coil.outside * (coil.flow / coil.ratedFlow) ** FILM_EXPONENT
  if (entering.kind === 'water') {
    const capacityRate = coil.flow * WATER_HEAT
    return { entering, temperature: entering.temperature, massFlow: coil.flow, capacityRate, outside }
  }
  const air = asMoistAir(entering)
  const massFlow = coil.flow / airVolume(air)
  return {
    entering,
    temperature: air.temperature,
    massFlow,
    capacityRate: massFlow * airHeatCapacity(air),
    outside,
  }
}

/** Heat a kelvin between the entering stream and a refrigerant side of one temperature, W/K (effectiveness-NTU). */
export function effectiveConductance(stream: Stream, inside: number): number {
  const overall = 1 / (1 / stream.outside + 1 / inside)
  return stream.capacityRate * -Math.expm1(-overall / stream.capacityRate)
}
