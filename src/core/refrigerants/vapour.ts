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
  readonly meanHeatCapacity: Float64Array
  readonly entropyHeatCapacity: Float64Array
  readonly densityRatio: Float64Array
}

const STENCIL = 4
const built = new Map<RefrigerantName, Surface>()

function surfaceOf(name: RefrigerantName): Surface {
  const known = built.get(name)
  if (known) return known
  const { vapour } = tableOf(name)
  const surface = {
    dew: Float64Array.from(vapour.temperature),
    superheat: Float64Array.from(vapour.superheat),
    meanHeatCapacity: Float64Array.from(vapour.meanHeatCapacity),
    entropyHeatCapacity: Float64Array.from(vapour.entropyHeatCapacity),
    densityRatio: Float64Array.from(vapour.densityRatio),
  }
  built.set(name, surface)
  return surface
}

/** First of the four nodes round a value; shifted inward at the ends. */
function stencilStart(nodes: Float64Array, value: number): number {
  let low = 0
  let high = nodes.length - 2
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((nodes[middle] as number) <= value) low = middle
    else high = middle - 1
  }
  return Math.min(Math.max(low - 1, 0), nodes.length - STENCIL)
}

/** Writes the four Lagrange weights of a value into `weights`. */
function lagrangeWeights(nodes: Float64Array, start: number, value: number, weights: Float64Array): void {
  for (let i = 0; i < STENCIL; i++) {
    let weight = 1
    const node = nodes[start + i] as number
    for (let j = 0; j < STENCIL; j++) {
      if (j === i) continue
      const other = nodes[start + j] as number
      weight *= (value - other) / (node - other)
    }
    weights[i] = weight
  }
}

const rowWeights = new Float64Array(STENCIL)
const columnWeights = new Float64Array(STENCIL)
const found = { meanHeatCapacity: 0, entropyHeatCapacity: 0, densityRatio: 1 }

/** Cubic interpolation of the three surfaces at once; beyond the table's superheat the last column is held. */
function lookUp(name: RefrigerantName, dewKelvin: number, superheat: number): typeof found {
  const surface = surfaceOf(name)
  const { dew, superheat: columns } = surface
  const width = columns.length
  const inside = Math.min(Math.max(superheat, 0), columns[width - 1] as number)
  const row = stencilStart(dew, dewKelvin)
  const column = stencilStart(columns, inside)
  lagrangeWeights(dew, row, dewKelvin, rowWeights)
  lagrangeWeights(columns, column, inside, columnWeights)
  let [mean, entropy, ratio] = [0, 0, 0]
  for (let i = 0; i < STENCIL; i++) {
    const offset = (row + i) * width + column
    for (let j = 0; j < STENCIL; j++) {
      const weight = (rowWeights[i] as number) * (columnWeights[j] as number)
      mean += weight * (surface.meanHeatCapacity[offset + j] as number)
      entropy += weight * (surface.entropyHeatCapacity[offset + j] as number)
      ratio += weight * (surface.densityRatio[offset + j] as number)
    }
  }
  found.meanHeatCapacity = mean
  found.entropyHeatCapacity = entropy
  found.densityRatio = ratio
  return found
}

function stateFrom(dew: SaturatedState, dewKelvin: number, superheat: number, at: typeof found): VapourState {
  const temperature = dewKelvin + superheat
  return {
    temperature,
    density: (dew.density * at.densityRatio * dewKelvin) / temperature,
    enthalpy: dew.enthalpy + at.meanHeatCapacity * superheat,
    entropy: dew.entropy + at.entropyHeatCapacity * Math.log(temperature / dewKelvin),
  }
}

/**
 * Superheated vapour at the pressure of a dew point.
 * @param dewKelvin dew temperature that stands for the pressure, inside the saturation table
 * @param superheat K above it, 0 to 140; beyond, the mean heat capacity at 140 K is held
 * @returns within 1 % of the reference library (docs/properties.md gives what was measured)
 * @throws OrzoError out-of-range
 */
export function superheatedVapour(name: RefrigerantName, dewKelvin: number, superheat: number): VapourState {
  const dew = saturatedState(name, 'dew', dewKelvin)
  return stateFrom(dew, dewKelvin, superheat, lookUp(name, dewKelvin, superheat))
}

/** Superheated vapour at an absolute pressure (Pa) and a temperature (K); see superheatedVapour. */
export function vapourAt(name: RefrigerantName, pascals: number, kelvin: number): VapourState {
  const dew = saturationTemperature(name, 'dew', pascals)
  return superheatedVapour(name, dew, kelvin - dew)
}

const MOST_ROUNDS = 12
const GOOD_ENOUGH_KELVIN = 1e-7

/** Fixed point of the superheat: the heat capacities change so slowly that a few rounds suffice. */
function superheatWhere(start: number, next: (superheat: number) => number): number {
  let superheat = start
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const better = next(superheat)
    if (Math.abs(better - superheat) < GOOD_ENOUGH_KELVIN) return better
    superheat = better
  }
  return superheat
}

const FIRST_GUESS_KELVIN = 20

/**
 * Vapour with an enthalpy at the pressure of a dew point.
 * @param enthalpy J/kg; below that of the dew point the state is wet and is returned at the dew point's temperature
 * @throws OrzoError out-of-range
 */
export function vapourOfEnthalpy(name: RefrigerantName, dewKelvin: number, enthalpy: number): VapourState {
  const dew = saturatedState(name, 'dew', dewKelvin)
  const above = enthalpy - dew.enthalpy
  if (above <= 0) return { temperature: dewKelvin, ...dew }
  const superheat = superheatWhere(
    FIRST_GUESS_KELVIN,
    (guess) => above / lookUp(name, dewKelvin, guess).meanHeatCapacity,
  )
  return stateFrom(dew, dewKelvin, superheat, lookUp(name, dewKelvin, superheat))
}

/**
 * Enthalpy of vapour with an entropy at the pressure of a dew point, J/kg.
 * @param entropy J/(kg K); below that of the dew point the state is wet: dew enthalpy less T times the difference
 * @throws OrzoError out-of-range
 */
export function enthalpyOfEntropy(name: RefrigerantName, dewKelvin: number, entropy: number): number {
  const dew = saturatedState(name, 'dew', dewKelvin)
  const above = entropy - dew.entropy
  if (above <= 0) return dew.enthalpy + dewKelvin * above
  const superheat = superheatWhere(
    FIRST_GUESS_KELVIN,
    (guess) => dewKelvin * Math.expm1(above / lookUp(name, dewKelvin, guess).entropyHeatCapacity),
  )
  return dew.enthalpy + lookUp(name, dewKelvin, superheat).meanHeatCapacity * superheat
}
