import { overCoil } from '../physics/air/wetCoil'
import { gasAt, gasEnthalpy, gasOfEnthalpy, type Isobar, isobarAt } from '../physics/refrigerants/vapour'
import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import type { Coil } from './hardware'
import { type Physics, USUAL_PHYSICS } from './physics'
import { type Corners, qualityOf } from './saturations'
import { asMoistAir, effectiveConductance, type Stream } from './stream'
import { meanTwoPhaseDensity, type VoidLaw } from './twoPhase'

export type EvaporatorDuty = {
  readonly enthalpyOut: number
  readonly temperatureOut: number
  /** over 1 where the outlet is superheated */
  readonly qualityOut: number
  /** share of the surface that is wet with liquid, 0 to 1 */
  readonly wetShare: number
  /** heat taken from the stream, W */
  readonly heat: number
  /** surface temperature of the wet share, K */
  readonly surface: number
  /** refrigerant inside, kg */
  readonly mass: number
}

/** [physics] a blend enters partly flashed: its mean lies two thirds from bubble to dew (handbook 02). */
const DEW_SHARE = 2 / 3
const SURFACE_STEPS = 30
const SURFACE_TOLERANCE = 1e-5

/** Mean temperature of the boiling refrigerant, K. */
export const boilingTemperature = (at: Corners): number => at.bubble + DEW_SHARE * (at.dew - at.bubble)

/** Share of the air that a coil does not touch, by its outer films. */
export const bypassOf = (stream: Stream): number => Math.exp(-stream.outside / stream.capacityRate)

/** Heat that the whole coil would take if all of it boiled, W, and its surface temperature. */
export function fullHeat(stream: Stream, inside: number, boiling: number): { heat: number; surface: number } {
  const { entering } = stream
  if (entering.kind === 'water') {
    const heat = effectiveConductance(stream, inside) * (stream.temperature - boiling)
    return { heat, surface: boiling + heat / inside }
  }
  const air = asMoistAir(entering)
  const bypass = bypassOf(stream)
  const total = (surface: number) => overCoil(air, stream.massFlow, surface, bypass).total
  return surfaceBetween(total, inside, boiling, stream.temperature)
}

/** Surface at which the air gives what the refrigerant side takes: secant on a falling function. */
function surfaceBetween(
  total: (surface: number) => number,
  inside: number,
  boiling: number,
  air: number,
): { heat: number; surface: number } {
  const excess = (surface: number) => total(surface) - inside * (surface - boiling)
  let before = boiling
  let here = boiling + 0.3 * (air - boiling)
  let atBefore = excess(before)
  for (let step = 0; step < SURFACE_STEPS; step++) {
    const atHere = excess(here)
    if (Math.abs(here - before) < SURFACE_TOLERANCE || atHere === atBefore) break
    const next = here - (atHere * (here - before)) / (atHere - atBefore)
    before = here
    atBefore = atHere
    here = next
  }
  return { heat: inside * (here - boiling), surface: here }
}

const NO_SUPERHEAT = 1e-9
/**
 * [memory] a coil is several circuits, and none gets exactly its share of air and liquid: three groups, the load of each
 * against the mean in spreads. Their outlets mix, so superheat answers to flow more gently than one ideal pipe would.
 */
const CIRCUITS: readonly (readonly [weight: number, spreads: number])[] = [
  [0.25, -1],
  [0.5, 0],
  [0.25, 1],
]

type Outlet = { readonly enthalpy: number; readonly wetShare: number; readonly mass: number }

/**
 * Boiling and superheating in one coil. In each circuit the share of the surface that boils is what the flow needs; the
 * rest meets entering air in parallel and superheats the vapour.
 * @param at corners at the evaporating pressure; massFlow kg/s; enthalpyIn J/kg after the metering device
 * @param flowShare flow against the rated: inner films and the pressure lost inside follow it
 */
export function evaporate(
  name: RefrigerantName,
  coil: Coil,
  stream: Stream,
  at: Corners,
  massFlow: number,
  enthalpyIn: number,
  physics: Physics = USUAL_PHYSICS,
  flowShare = 1,
): EvaporatorDuty {
  const inside = coil.inside * flowShare ** physics.filmExponent
  const boiling = boilingTemperature(at) + (physics.coilLoss / 2) * flowShare * flowShare
  const { heat: most, surface } = fullHeat(stream, inside, boiling)
  const conductance = effectiveConductance(stream, inside * physics.vapourFilm)
  const isobar = isobarAt(name, at.dew)
  let [enthalpyOut, wetShare, mass] = [0, 0, 0]
  for (const [weight, spreads] of CIRCUITS) {
    const load = 1 + spreads * physics.loadSpread
    const out = throughCircuit(
      isobar,
      coil,
      at,
      massFlow * load,
      enthalpyIn,
      most,
      conductance,
      stream.temperature,
      physics.voids,
    )
    enthalpyOut += weight * load * out.enthalpy
    wetShare += weight * out.wetShare
    mass += weight * out.mass
  }
  const qualityOut = qualityOf(at, enthalpyOut)
  return {
    enthalpyOut,
    temperatureOut:
      qualityOut >= 1
        ? gasOfEnthalpy(isobar, enthalpyOut).temperature
        : at.bubble + Math.max(qualityOut, 0) * (at.dew - at.bubble),
    qualityOut,
    wetShare,
    heat: massFlow * (enthalpyOut - enthalpyIn),
    surface,
    mass,
  }
}

/** One circuit, as if the whole coil ran at its flow. */
function throughCircuit(
  isobar: Isobar,
  coil: Coil,
  at: Corners,
  massFlow: number,
  enthalpyIn: number,
  most: number,
  conductance: number,
  air: number,
  voids: VoidLaw,
): Outlet {
  const needed = massFlow * (at.vapourEnthalpy - enthalpyIn)
  const qualityIn = qualityOf(at, enthalpyIn)
  if (most <= 0 || needed >= most) {
    const enthalpy = enthalpyIn + most / massFlow
    const density = meanTwoPhaseDensity(
      at.liquidDensity,
      at.vapourDensity,
      qualityIn,
      qualityOf(at, enthalpy),
      voids,
    )
    return { enthalpy, wetShare: 1, mass: coil.volume * density }
  }
  const wetShare = needed / most
  const dry = superheat(isobar, massFlow, (1 - wetShare) * conductance, air - at.dew)
  const wetDensity = meanTwoPhaseDensity(at.liquidDensity, at.vapourDensity, qualityIn, 1, voids)
  return {
    enthalpy: dry.enthalpy,
    wetShare,
    mass: coil.volume * (wetShare * wetDensity + (1 - wetShare) * dry.density),
  }
}

/** Vapour that passes the dry share of a coil in air that is warmer by `over`. */
function superheat(
  isobar: Isobar,
  massFlow: number,
  conductance: number,
  over: number,
): { enthalpy: number; density: number } {
  const { dew } = isobar
  if (over <= NO_SUPERHEAT) return dew
  const capacity = (gasEnthalpy(isobar, over / 2) - dew.enthalpy) / (over / 2)
  const out = gasAt(isobar, over * -Math.expm1(-conductance / (massFlow * capacity)))
  return { enthalpy: out.enthalpy, density: (dew.density + out.density) / 2 }
}
