import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { subcooledLiquid } from '../physics/refrigerants/liquid'
import { saturatedState } from '../physics/refrigerants/saturation'
import { gasOfEnthalpy, isobarAt } from '../physics/refrigerants/vapour'
import type { Coil } from './hardware'
import { type Physics, USUAL_PHYSICS } from './physics'
import type { Corners } from './saturations'
import { effectiveConductance, type Stream } from './stream'
import { meanTwoPhaseDensity } from './twoPhase'

export type CondenserDuty = {
  readonly enthalpyOut: number
  /** K; of liquid, or of the mixture where it is not wholly condensed */
  readonly temperatureOut: number
  /** 0 for liquid, above it where vapour leaves */
  readonly qualityOut: number
  /** shares of the surface that desuperheat, condense and hold liquid */
  readonly desuperheating: number
  readonly condensing: number
  readonly flooded: number
  /** heat given to the stream, W */
  readonly heat: number
  /** refrigerant inside, kg */
  readonly mass: number
}

/** [physics] smallest temperature difference that still counts as driving heat, K. */
const LEAST_DRIVE = 0.02

/** Mean temperature of the condensing refrigerant, K. */
export const condensingTemperature = (at: Corners): number => (at.bubble + at.dew) / 2

export type CondenserConductances = {
  readonly gas: number
  readonly condensing: number
  readonly liquid: number
}

/** @param flowShare flow against the rated: inner films follow it */
export function condenserConductances(
  stream: Stream,
  inside: number,
  physics: Physics = USUAL_PHYSICS,
  flowShare = 1,
): CondenserConductances {
  const film = inside * flowShare ** physics.filmExponent
  return {
    gas: effectiveConductance(stream, film * physics.gasFilm),
    condensing: effectiveConductance(stream, film),
    liquid: effectiveConductance(stream, film * physics.liquidFilm),
  }
}

/** Surface share that cools a single phase from one temperature to another against entering air. */
export function singlePhaseShare(
  massFlow: number,
  enthalpyDrop: number,
  from: number,
  to: number,
  air: number,
  conductance: number,
): number {
  if (enthalpyDrop <= 0) return 0
  const [hot, cold] = [Math.max(from - air, LEAST_DRIVE), Math.max(to - air, LEAST_DRIVE)]
  const mean = hot === cold ? hot : (hot - cold) / Math.log(hot / cold)
  return (massFlow * enthalpyDrop) / (conductance * mean)
}

/** What enters a condenser, and what it stands in. SI */
export type CondenserLoad = {
  readonly name: RefrigerantName
  readonly coil: Coil
  readonly stream: Stream
  /** corners at the condensing pressure (of the refrigerant alone) */
  readonly at: Corners
  /** total pressure, Pa: higher where air is in the circuit */
  readonly pressure: number
  readonly massFlow: number
  readonly enthalpyIn: number
  /** surface share kept out of work (a subcooler below the receiver), handled by the caller */
  readonly held: number
  readonly physics?: Physics
  readonly flowShare?: number
}

/** Desuperheating, condensing and subcooling in one coil, each a share of the surface in entering air. */
export function condense({
  name,
  coil,
  stream,
  at,
  pressure,
  massFlow,
  enthalpyIn,
  held,
  physics = USUAL_PHYSICS,
  flowShare = 1,
}: CondenserLoad): CondenserDuty {
  const conductances = condenserConductances(stream, coil.inside, physics, flowShare)
  const air = stream.temperature
  const gas = gasOfEnthalpy(isobarAt(name, at.dew), Math.max(enthalpyIn, at.vapourEnthalpy))
  const desuperheating = singlePhaseShare(
    massFlow,
    enthalpyIn - at.vapourEnthalpy,
    gas.temperature,
    at.dew,
    air,
    conductances.gas,
  )
  const power = conductances.condensing * Math.max(condensingTemperature(at) - air, LEAST_DRIVE)
  const start = Math.min(enthalpyIn, at.vapourEnthalpy)
  const condensing = (massFlow * (start - at.liquidEnthalpy)) / power
  const spare = 1 - held - desuperheating - condensing
  const gasMass = coil.volume * Math.min(desuperheating, 1 - held) * (gas.density + at.vapourDensity) * 0.5
  if (spare <= 0) {
    const left = Math.max(1 - held - desuperheating, 0)
    const enthalpyOut = start - (left * power) / massFlow
    const qualityOut = (enthalpyOut - at.liquidEnthalpy) / (at.vapourEnthalpy - at.liquidEnthalpy)
    const density = meanTwoPhaseDensity(at.liquidDensity, at.vapourDensity, qualityOut, 1, physics.voids)
    return {
      enthalpyOut,
      temperatureOut: at.bubble + Math.min(qualityOut, 1) * (at.dew - at.bubble),
      qualityOut,
      desuperheating,
      condensing: left,
      flooded: spare,
      heat: massFlow * (enthalpyIn - enthalpyOut),
      mass: gasMass + coil.volume * left * density,
    }
  }
  const density = meanTwoPhaseDensity(at.liquidDensity, at.vapourDensity, 0, 1, physics.voids)
  const cooled = coolLiquid(name, at.bubble, pressure, massFlow, air, spare * conductances.liquid)
  return {
    enthalpyOut: cooled.enthalpy,
    temperatureOut: cooled.temperature,
    qualityOut: 0,
    desuperheating,
    condensing,
    flooded: spare,
    heat: massFlow * (enthalpyIn - cooled.enthalpy),
    mass: gasMass + coil.volume * (condensing * density + spare * cooled.density),
  }
}

/** Liquid cooled from its bubble point toward the air by a conductance, W/K. */
export function coolLiquid(
  name: RefrigerantName,
  bubble: number,
  pressure: number,
  massFlow: number,
  air: number,
  conductance: number,
): { temperature: number; enthalpy: number; density: number } {
  const { heatCapacity } = saturatedState(name, 'bubble', bubble)
  const temperature = air + (bubble - air) * Math.exp(-conductance / (massFlow * heatCapacity))
  const { enthalpy, density } = subcooledLiquid(name, Math.min(temperature, bubble), pressure)
  return { temperature, enthalpy, density }
}
