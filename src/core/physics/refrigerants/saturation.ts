import { OrzoError } from '../../base/errors/orzoError'
import { evaluate, invert, type MonotoneCubic, monotoneCubic } from '../../base/numeric/monotoneCubic'
import { fromKelvin, fromPascals } from '../../base/units/convert'
import type { RefrigerantName } from './catalogue'
import { type BubbleColumns, type LineColumns, tableOf } from './tables'

/** Saturated liquid (bubble) or saturated vapour (dew). */
export type SaturationLine = 'bubble' | 'dew'

/** Caloric and volumetric state on a saturation line. */
export type SaturatedState = {
  /** kg/m3 */
  readonly density: number
  /** J/kg; 200 kJ/kg for saturated liquid at 0 C */
  readonly enthalpy: number
  /** J/(kg K); 1 kJ/(kg K) for saturated liquid at 0 C */
  readonly entropy: number
  /** isobaric heat capacity, J/(kg K) */
  readonly heatCapacity: number
}

type LineCurves = { readonly logPressure: MonotoneCubic } & {
  readonly [K in keyof SaturatedState]: MonotoneCubic
}

/** What pressure does to liquid at constant temperature, along the bubble line. */
type LiquidCurves = { readonly compressibility: MonotoneCubic; readonly enthalpySlope: MonotoneCubic }

type Curves = {
  readonly coldest: number
  readonly hottest: number
  readonly lines: Readonly<Record<SaturationLine, LineCurves>>
  readonly liquid: LiquidCurves
}

const built = new Map<RefrigerantName, Curves>()

function lineCurves(temperature: readonly number[], columns: LineColumns): LineCurves {
  return {
    // ln p is nearly straight against -1/T (Clausius-Clapeyron), so a cubic between nodes is close to exact.
    logPressure: monotoneCubic(
      temperature.map((kelvin) => -1 / kelvin),
      columns.pressure.map(Math.log),
    ),
    density: monotoneCubic(temperature, columns.density),
    enthalpy: monotoneCubic(temperature, columns.enthalpy),
    entropy: monotoneCubic(temperature, columns.entropy),
    heatCapacity: monotoneCubic(temperature, columns.heatCapacity),
  }
}

const liquidCurves = (temperature: readonly number[], bubble: BubbleColumns): LiquidCurves => ({
  compressibility: monotoneCubic(temperature, bubble.compressibility),
  enthalpySlope: monotoneCubic(temperature, bubble.enthalpySlope),
})

function curvesOf(name: RefrigerantName): Curves {
  const known = built.get(name)
  if (known) return known
  const table = tableOf(name)
  const curves = {
    coldest: table.temperature[0] as number,
    hottest: table.temperature.at(-1) as number,
    lines: {
      bubble: lineCurves(table.temperature, table.bubble),
      dew: lineCurves(table.temperature, table.dew),
    },
    liquid: liquidCurves(table.temperature, table.bubble),
  }
  built.set(name, curves)
  return curves
}

const inFahrenheit = (kelvin: number) => `${fromKelvin(kelvin, 'F').toFixed(0)} F`
const inCelsius = (kelvin: number) => `${fromKelvin(kelvin, 'C').toFixed(0)} C`
const inPsia = (pascals: number) => `${fromPascals(pascals, 'psia').toPrecision(3)} psia`
const inKilopascals = (pascals: number) => `${(pascals / 1000).toPrecision(3)} kPa absolute`

/** Valid temperatures of a refrigerant's table, K. */
export function temperatureRange(name: RefrigerantName): { coldest: number; hottest: number } {
  const { coldest, hottest } = curvesOf(name)
  return { coldest, hottest }
}

/** Valid absolute pressures on one line of a refrigerant's table, Pa. */
export function pressureRange(
  name: RefrigerantName,
  line: SaturationLine,
): { lowest: number; highest: number } {
  const { y } = curvesOf(name).lines[line].logPressure
  return { lowest: Math.exp(y[0] as number), highest: Math.exp(y[y.length - 1] as number) }
}

function assertTemperature(name: RefrigerantName, kelvin: number): Curves {
  const curves = curvesOf(name)
  if (kelvin >= curves.coldest && kelvin <= curves.hottest) return curves
  const { coldest, hottest } = curves
  throw new OrzoError(
    'out-of-range',
    `${name} has saturation data from ${inFahrenheit(coldest)} to ${inFahrenheit(hottest)} ` +
      `(${inCelsius(coldest)} to ${inCelsius(hottest)}): ${inFahrenheit(kelvin)} is outside.`,
    { kelvin, coldest, hottest },
  )
}

/**
 * Saturation pressure.
 * @param kelvin -75 C to about 5 K below critical; docs/properties.md lists each range
 * @returns absolute pressure, Pa; within 0.05 K of the reference library
 * @throws OrzoError out-of-range, naming the valid temperatures
 */
export function saturationPressure(name: RefrigerantName, line: SaturationLine, kelvin: number): number {
  return Math.exp(evaluate(assertTemperature(name, kelvin).lines[line].logPressure, -1 / kelvin))
}

/**
 * Saturation temperature.
 * @param pascals absolute pressure
 * @returns K; within 0.05 K of the reference library
 * @throws OrzoError out-of-range, naming the valid pressures
 */
export function saturationTemperature(name: RefrigerantName, line: SaturationLine, pascals: number): number {
  const curve = curvesOf(name).lines[line].logPressure
  const { lowest, highest } = pressureRange(name, line)
  const withinRounding = 1 + 1e-9
  if (!(pascals * withinRounding >= lowest && pascals <= highest * withinRounding)) {
    throw new OrzoError(
      'out-of-range',
      `${name} has saturation data from ${inPsia(lowest)} to ${inPsia(highest)} ` +
        `(${inKilopascals(lowest)} to ${inKilopascals(highest)}): ${inPsia(pascals)} is outside.`,
      { pascals, lowest, highest },
    )
  }
  return -1 / invert(curve, Math.log(pascals))
}

/**
 * Density, enthalpy, entropy and heat capacity of saturated liquid (bubble) or vapour (dew).
 * @param kelvin as for saturationPressure
 * @throws OrzoError out-of-range
 */
export function saturatedState(name: RefrigerantName, line: SaturationLine, kelvin: number): SaturatedState {
  const curves = assertTemperature(name, kelvin).lines[line]
  return {
    density: evaluate(curves.density, kelvin),
    enthalpy: evaluate(curves.enthalpy, kelvin),
    entropy: evaluate(curves.entropy, kelvin),
    heatCapacity: evaluate(curves.heatCapacity, kelvin),
  }
}

/**
 * How liquid answers to pressure above its bubble point, at constant temperature.
 * @returns relative density rise, 1/Pa, and enthalpy rise, J/(kg Pa)
 * @throws OrzoError out-of-range
 */
export function liquidResponse(
  name: RefrigerantName,
  kelvin: number,
): { compressibility: number; enthalpySlope: number } {
  const { liquid } = assertTemperature(name, kelvin)
  return {
    compressibility: evaluate(liquid.compressibility, kelvin),
    enthalpySlope: evaluate(liquid.enthalpySlope, kelvin),
  }
}

/**
 * Enthalpy alone on a line, J/kg: cheaper than the whole state.
 * @throws OrzoError out-of-range
 */
export const saturatedEnthalpy = (name: RefrigerantName, line: SaturationLine, kelvin: number): number =>
  evaluate(assertTemperature(name, kelvin).lines[line].enthalpy, kelvin)

/**
 * Density alone on a line, kg/m3.
 * @throws OrzoError out-of-range
 */
export const saturatedDensity = (name: RefrigerantName, line: SaturationLine, kelvin: number): number =>
  evaluate(assertTemperature(name, kelvin).lines[line].density, kelvin)

/**
 * Temperature of boiling liquid with a given enthalpy (bubble line), K.
 * @throws OrzoError out-of-range
 */
export function bubbleTemperatureOfEnthalpy(name: RefrigerantName, enthalpy: number): number {
  const { enthalpy: curve } = curvesOf(name).lines.bubble
  const [low, high] = [curve.y[0] as number, curve.y[curve.y.length - 1] as number]
  if (enthalpy >= low && enthalpy <= high) return invert(curve, enthalpy)
  throw new OrzoError(
    'out-of-range',
    `${name} has no liquid of ${Math.round(enthalpy / 1000)} kJ/kg in its table.`,
  )
}

/** Dew minus bubble temperature at one absolute pressure, K; zero for a single substance. */
export function glide(name: RefrigerantName, pascals: number): number {
  return saturationTemperature(name, 'dew', pascals) - saturationTemperature(name, 'bubble', pascals)
}
