import { airEnthalpy, airTemperature, airVolume, type MoistAir } from '../physics/air/moistAir'
import { overCoil } from '../physics/air/wetCoil'
import type { CircuitState } from './circuitState'
import { bypassOf } from './evaporator'
import { asMoistAir, type Stream } from './stream'

/** What leaves a coil: air mixed from its wet and dry shares, or water. */
export type Leaving = { readonly temperature: number; readonly humidityRatio: number | undefined }

/** Stream leaving the evaporator, K: the wet share by its surface, the dry share by the heat of superheating. */
export function leavingEvaporator({ evaporator, streams }: CircuitState): Leaving {
  const stream = streams.evaporator
  const { entering, massFlow, capacityRate } = stream
  if (entering.kind === 'water') {
    return { temperature: entering.temperature - evaporator.heat / capacityRate, humidityRatio: undefined }
  }
  const air = asMoistAir(entering)
  const wet = overCoil(air, massFlow, evaporator.surface, bypassOf(stream))
  const share = evaporator.wetShare
  const dryHeat = evaporator.heat - share * wet.total
  const enthalpy = share * airEnthalpy(wet.leaving) + (1 - share) * airEnthalpy(air) - dryHeat / massFlow
  const humidityRatio = air.humidityRatio - share * (air.humidityRatio - wet.leaving.humidityRatio)
  return { temperature: airTemperature(enthalpy, humidityRatio), humidityRatio }
}

/** Stream leaving the condenser, K: it is only heated. */
export function leavingCondenser({ condenser, streams }: CircuitState): Leaving {
  const { entering, capacityRate } = streams.condenser
  return {
    temperature: entering.temperature + condenser.heat / capacityRate,
    humidityRatio: entering.kind === 'air' ? entering.humidityRatio : undefined,
  }
}

/** Volume of air that a fan moves, m3/s; undefined for water. */
export const airflowOf = (stream: Stream): number | undefined =>
  stream.entering.kind === 'air' ? stream.massFlow * airVolume(asMoistAir(stream.entering)) : undefined

export const airLeaving = (stream: Stream, leaving: Leaving): MoistAir | undefined =>
  stream.entering.kind === 'air' && leaving.humidityRatio !== undefined
    ? {
        temperature: leaving.temperature,
        humidityRatio: leaving.humidityRatio,
        atmosphere: stream.entering.atmosphere,
      }
    : undefined
