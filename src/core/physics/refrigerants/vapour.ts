import { pieceAt } from '../../base/numeric/search'
import type { RefrigerantName } from './catalogue'
import { saturatedState, type SaturatedState, saturationTemperature } from './saturation'
import { tableOf } from './tables'

/** Vapour at a temperature above its dew point. */
export type VapourState = {
  /** K */
  readonly temperature: number
  /** kg/m3 */
  readonly density: number
  /** J/kg, reference of saturatedState */
  readonly enthalpy: number
  /** J/(kg K) */
  readonly entropy: number
}

type Surface = {
  readonly dew: Float64Array
  readonly superheat: Float64Array
  /** 1 / the product of node differences, for each of the four nodes of each stencil */
  readonly inverse: Float64Array
  readonly meanHeatCapacity: Float64Array
  readonly entropyHeatCapacity: Float64Array
  readonly densityRatio: Float64Array
  readonly recent: Recent
}

/** Vapour along one pressure: the row of the surfaces that belongs to its dew point. */
export type Isobar = {
  /** K */
  readonly dewTemperature: number
  readonly dew: SaturatedState
  readonly nodes: Float64Array
  readonly inverse: Float64Array
  readonly meanHeatCapacity: readonly number[]
  readonly entropyHeatCapacity: readonly number[]
  readonly densityRatio: readonly number[]
}

/** A solver asks for the same few isobars again and again: the last ones are kept. */
type Recent = { readonly isobars: Isobar[]; next: number }
const RECENT_ISOBARS = 6

const STENCIL = 4
const built = new Map<RefrigerantName, Surface>()

const at = (values: Float64Array, index: number): number => values[index] as number

function stencilInverses(nodes: Float64Array): Float64Array {
  const stencils = nodes.length - STENCIL + 1
  const out = new Float64Array(stencils * STENCIL)
  for (let start = 0; start < stencils; start++) {
    for (let i = 0; i < STENCIL; i++) {
      let product = 1
      for (let j = 0; j < STENCIL; j++) if (j !== i) product *= at(nodes, start + i) - at(nodes, start + j)
      out[start * STENCIL + i] = 1 / product
    }
  }
  return out
}

function surfaceOf(name: RefrigerantName): Surface {
  const known = built.get(name)
  if (known) return known
  const { vapour } = tableOf(name)
  const superheat = Float64Array.from(vapour.superheat)
  const surface = {
    dew: Float64Array.from(vapour.temperature),
    superheat,
    inverse: stencilInverses(superheat),
    meanHeatCapacity: Float64Array.from(vapour.meanHeatCapacity),
    entropyHeatCapacity: Float64Array.from(vapour.entropyHeatCapacity),
    densityRatio: Float64Array.from(vapour.densityRatio),
    recent: { isobars: [], next: 0 },
  }
  built.set(name, surface)
  return surface
}

/** First of the four nodes round a value; shifted inward at the ends. */
const stencilStart = (nodes: Float64Array, value: number): number =>
  Math.min(Math.max(pieceAt(nodes, value) - 1, 0), nodes.length - STENCIL)

function lagrangeWeight(nodes: Float64Array, start: number, i: number, value: number): number {
  let weight = 1
  for (let j = 0; j < STENCIL; j++) {
    if (j !== i) weight *= (value - at(nodes, start + j)) / (at(nodes, start + i) - at(nodes, start + j))
  }
  return weight
}

/**
 * The vapour isobar of a dew point: cubic interpolation between the four rows round it.
 * @throws OrzoError out-of-range
 */
export function isobarAt(name: RefrigerantName, dewTemperature: number): Isobar {
  const surface = surfaceOf(name)
  const { recent } = surface
  for (const isobar of recent.isobars) if (isobar.dewTemperature === dewTemperature) return isobar
  const isobar = interpolateIsobar(surface, saturatedState(name, 'dew', dewTemperature), dewTemperature)
  recent.isobars[recent.next] = isobar
  recent.next = (recent.next + 1) % RECENT_ISOBARS
  return isobar
}

function interpolateIsobar(surface: Surface, dew: SaturatedState, dewTemperature: number): Isobar {
  const row = stencilStart(surface.dew, dewTemperature)
  const weights: Weights = [
    lagrangeWeight(surface.dew, row, 0, dewTemperature),
    lagrangeWeight(surface.dew, row, 1, dewTemperature),
    lagrangeWeight(surface.dew, row, 2, dewTemperature),
    lagrangeWeight(surface.dew, row, 3, dewTemperature),
  ]
  const width = surface.superheat.length
  return {
    dewTemperature,
    dew,
    nodes: surface.superheat,
    inverse: surface.inverse,
    meanHeatCapacity: blendRows(surface.meanHeatCapacity, weights, row, width),
    entropyHeatCapacity: blendRows(surface.entropyHeatCapacity, weights, row, width),
    densityRatio: blendRows(surface.densityRatio, weights, row, width),
  }
}

type Weights = readonly [number, number, number, number]

function blendRows(column: Float64Array, weights: Weights, row: number, width: number): number[] {
  const [a, b, c, d] = weights
  const out = new Array<number>(width)
  for (let j = 0; j < width; j++) {
    const i = row * width + j
    out[j] =
      a * at(column, i) +
      b * at(column, i + width) +
      c * at(column, i + 2 * width) +
      d * at(column, i + 3 * width)
  }
  return out
}

/** One of the three columns at a superheat; beyond the table the last value is held. */
function along(isobar: Isobar, column: readonly number[], superheat: number): number {
  const { nodes, inverse } = isobar
  const last = nodes.length - 1
  if (superheat >= at(nodes, last)) return column[last] as number
  let start = 0
  while (start < last - STENCIL + 1 && at(nodes, start + 2) <= superheat) start++
  const a = superheat - at(nodes, start)
  const b = superheat - at(nodes, start + 1)
  const c = superheat - at(nodes, start + 2)
  const d = superheat - at(nodes, start + 3)
  const offset = start * STENCIL
  return (
    b * c * d * at(inverse, offset) * (column[start] as number) +
    a * c * d * at(inverse, offset + 1) * (column[start + 1] as number) +
    a * b * d * at(inverse, offset + 2) * (column[start + 2] as number) +
    a * b * c * at(inverse, offset + 3) * (column[start + 3] as number)
  )
}

/** Vapour on an isobar at a superheat, K, 0 to 140; beyond, the mean heat capacity at 140 K is held. */
export function gasAt(isobar: Isobar, superheat: number): VapourState {
  const { dew, dewTemperature } = isobar
  const temperature = dewTemperature + superheat
  const over = Math.max(superheat, 0)
  return {
    temperature,
    density: (dew.density * along(isobar, isobar.densityRatio, over) * dewTemperature) / temperature,
    enthalpy: dew.enthalpy + along(isobar, isobar.meanHeatCapacity, over) * superheat,
    entropy:
      dew.entropy + along(isobar, isobar.entropyHeatCapacity, over) * Math.log(temperature / dewTemperature),
  }
}

/** Enthalpy alone, J/kg: cheaper than the whole state. */
export const gasEnthalpy = (isobar: Isobar, superheat: number): number =>
  isobar.dew.enthalpy + along(isobar, isobar.meanHeatCapacity, Math.max(superheat, 0)) * superheat

const MOST_ROUNDS = 8
const GOOD_ENOUGH_KELVIN = 1e-8
const FIRST_GUESS_KELVIN = 20

/** Aitken's step from three substitutions; the last one where they no longer differ. */
function extrapolate(first: number, second: number, third: number): number {
  const bend = third - second - (second - first)
  const step = bend === 0 ? 0 : (third - second) ** 2 / bend
  return Math.abs(step) < Math.abs(third) ? third - step : third
}

/** Superheat of vapour with an enthalpy (J/kg) on an isobar, K; 0 for wet states. The heat capacity changes slowly. */
export function superheatOfEnthalpy(isobar: Isobar, enthalpy: number): number {
  const above = enthalpy - isobar.dew.enthalpy
  if (above <= 0) return 0
  const column = isobar.meanHeatCapacity
  let guess = FIRST_GUESS_KELVIN
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const second = above / along(isobar, column, guess)
    const third = above / along(isobar, column, second)
    if (Math.abs(third - second) < GOOD_ENOUGH_KELVIN) return third
    guess = extrapolate(guess, second, third)
  }
  return guess
}

/** Superheat of vapour with an entropy above the dew point's on an isobar, K. */
function superheatOfEntropy(isobar: Isobar, above: number): number {
  const column = isobar.entropyHeatCapacity
  let guess = FIRST_GUESS_KELVIN
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const second = isobar.dewTemperature * Math.expm1(above / along(isobar, column, guess))
    const third = isobar.dewTemperature * Math.expm1(above / along(isobar, column, second))
    if (Math.abs(third - second) < GOOD_ENOUGH_KELVIN) return third
    guess = extrapolate(guess, second, third)
  }
  return guess
}

/** Vapour with an enthalpy on an isobar; a wet state is returned as the dew point. */
export function gasOfEnthalpy(isobar: Isobar, enthalpy: number): VapourState {
  const superheat = superheatOfEnthalpy(isobar, enthalpy)
  return superheat === 0 ? { temperature: isobar.dewTemperature, ...isobar.dew } : gasAt(isobar, superheat)
}

/** Enthalpy of vapour with an entropy on an isobar, J/kg; wet states: dew enthalpy less T times the difference. */
export function gasEnthalpyOfEntropy(isobar: Isobar, entropy: number): number {
  const above = entropy - isobar.dew.entropy
  if (above <= 0) return isobar.dew.enthalpy + isobar.dewTemperature * above
  return gasEnthalpy(isobar, superheatOfEntropy(isobar, above))
}

/**
 * Superheated vapour at the pressure of a dew point.
 * @param dewKelvin dew temperature that stands for the pressure, inside the saturation table
 * @param superheat K above it, 0 to 140; beyond, the mean heat capacity at 140 K is held
 * @returns within 1 % of the reference library (docs/properties.md gives what was measured)
 * @throws OrzoError out-of-range
 */
export const superheatedVapour = (name: RefrigerantName, dewKelvin: number, superheat: number): VapourState =>
  gasAt(isobarAt(name, dewKelvin), superheat)

/** Superheated vapour at an absolute pressure (Pa) and a temperature (K); see superheatedVapour. */
export function vapourAt(name: RefrigerantName, pascals: number, kelvin: number): VapourState {
  const dew = saturationTemperature(name, 'dew', pascals)
  return superheatedVapour(name, dew, kelvin - dew)
}

/**
 * Vapour with an enthalpy (J/kg) at the pressure of a dew point; a wet state is returned as the dew point.
 * @throws OrzoError out-of-range
 */
export const vapourOfEnthalpy = (name: RefrigerantName, dewKelvin: number, enthalpy: number): VapourState =>
  gasOfEnthalpy(isobarAt(name, dewKelvin), enthalpy)

/**
 * Enthalpy of vapour with an entropy (J/(kg K)) at the pressure of a dew point, J/kg.
 * @throws OrzoError out-of-range
 */
export const enthalpyOfEntropy = (name: RefrigerantName, dewKelvin: number, entropy: number): number =>
  gasEnthalpyOfEntropy(isobarAt(name, dewKelvin), entropy)
