import { fromSI } from './convert'
import { type QuantityKind, type TemperatureUnit, type Unit, unitRow } from './units'
import { kilograms, pounds } from './weightText'

/** The units in which everything is shown that nobody typed in another one. */
export type UnitSystem = {
  readonly temperature: TemperatureUnit
  readonly pressure: 'psig' | 'kPag' | 'barg'
  readonly mass: 'lb' | 'kg'
  /** of oil */
  readonly volume: 'floz' | 'mL'
  readonly length: 'ft' | 'm'
  readonly flow: 'cfm' | 'm3/h'
}
export type SystemQuantity = keyof UnitSystem

/** What can be chosen for each quantity, US units first. */
export const SYSTEM_UNITS = {
  temperature: ['F', 'C', 'K'],
  pressure: ['psig', 'barg', 'kPag'],
  mass: ['lb', 'kg'],
  volume: ['floz', 'mL'],
  length: ['ft', 'm'],
  flow: ['cfm', 'm3/h'],
} as const satisfies { readonly [Q in SystemQuantity]: readonly UnitSystem[Q][] }

export const US_UNITS: UnitSystem = {
  temperature: 'F',
  pressure: 'psig',
  mass: 'lb',
  volume: 'floz',
  length: 'ft',
  flow: 'cfm',
}
export const METRIC_UNITS: UnitSystem = {
  temperature: 'C',
  pressure: 'barg',
  mass: 'kg',
  volume: 'mL',
  length: 'm',
  flow: 'm3/h',
}

export type SystemName = 'us' | 'metric' | 'mixed'
const isSame = (a: UnitSystem, b: UnitSystem) =>
  (Object.keys(a) as SystemQuantity[]).every((key) => a[key] === b[key])

/** What a choice is called: US, metric, or mixed by quantity. */
export const systemName = (system: UnitSystem): SystemName =>
  isSame(system, US_UNITS) ? 'us' : isSame(system, METRIC_UNITS) ? 'metric' : 'mixed'

const NAMES: { readonly [U in Unit]?: string } = { floz: 'fl oz', micron: 'microns', 'm3/h': 'm³/h' }
/** A unit as it is written on a screen; in files it keeps its own word. */
export const unitText = (unit: Unit): string => NAMES[unit] ?? unit

const OF_KIND: { readonly [K in QuantityKind]?: SystemQuantity } = {
  temperature: 'temperature',
  pressure: 'pressure',
  mass: 'mass',
  volume: 'volume',
  flow: 'flow',
}

/** The unit in which a figure is shown that came in another one; a vacuum stays in microns, electrical ones as they are. */
export function shownUnit(unit: Unit, system: UnitSystem): Unit {
  const quantity = OF_KIND[unitRow(unit).kind]
  return unit === 'micron' || quantity === undefined ? unit : system[quantity]
}

/** A small length is told in the inches or millimetres of its system. */
const smallLength = ({ length }: UnitSystem): 'in' | 'mm' => (length === 'm' ? 'mm' : 'in')

/** "7 lb 15.2 oz" or "3.61 kg" of kilograms. */
export const showMass = (kg: number, { mass }: Pick<UnitSystem, 'mass'>): string =>
  mass === 'kg' ? `${kg < 0 ? '−' : ''}${kilograms(Math.abs(kg))}` : pounds(kg)

/** "27.4 fl oz" or "810 mL" of cubic metres. */
export const showVolume = (cubicMetres: number, { volume }: Pick<UnitSystem, 'volume'>): string =>
  `${fromSI(cubicMetres, volume).toFixed(volume === 'mL' ? 0 : 1)} ${unitText(volume)}`

/** The unit in which a field begins that asks in US units. */
export function fieldUnit(system: UnitSystem, unit: Unit): Unit {
  if (unit === 'in') return smallLength(system)
  const quantity = (Object.keys(SYSTEM_UNITS) as SystemQuantity[]).find(
    (each) => SYSTEM_UNITS[each][0] === unit,
  )
  if (quantity) return system[quantity]
  return unit === 'oz' && system.mass === 'kg' ? 'g' : unit
}
