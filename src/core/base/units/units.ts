import { OrzoError } from '../errors/orzoError'

/** What a unit measures. Pressures also say against what. */
export type QuantityKind =
  | 'pressure'
  | 'temperature'
  | 'temperatureDifference'
  | 'voltage'
  | 'current'
  | 'resistance'
  | 'capacitance'
  | 'power'
  | 'mass'
  | 'volume'
  | 'flow'
  | 'length'
  | 'humidity'
  | 'time'

type PressureReference = 'absolute' | 'gauge' | 'vacuum'

type UnitRow = {
  readonly kind: QuantityKind
  /** SI value of one unit (pascal, kelvin, kilogram, cubic metre, second ...). */
  readonly si: number
  /** SI value of zero on this scale; temperatures only. */
  readonly zero?: number
  readonly reference?: PressureReference
}

/** [std: international yard and pound agreement 1959; BIPM standard gravity] exact by definition. */
const POUND_KG = 0.45359237
const INCH_M = 0.0254
const GRAVITY = 9.80665
const PSI_PA = (POUND_KG * GRAVITY) / (INCH_M * INCH_M)
/** [std: conventional millimetre of mercury, 13,595.1 kg/m3 at standard gravity] exact by definition. */
const METRE_MERCURY_PA = 13595.1 * GRAVITY
const INCH_MERCURY_PA = METRE_MERCURY_PA * INCH_M
const MICRON_PA = METRE_MERCURY_PA * 1e-6
const FAHRENHEIT_K = 5 / 9
const FAHRENHEIT_ZERO_K = 459.67 * FAHRENHEIT_K
/** [std: US gallon = 231 cubic inches, 128 fluid ounces] exact by definition. */
const FLUID_OUNCE_M3 = (231 * INCH_M ** 3) / 128
const FOOT_M = 12 * INCH_M

export const UNITS = {
  psig: { kind: 'pressure', si: PSI_PA, reference: 'gauge' },
  psia: { kind: 'pressure', si: PSI_PA, reference: 'absolute' },
  kPag: { kind: 'pressure', si: 1e3, reference: 'gauge' },
  kPa: { kind: 'pressure', si: 1e3, reference: 'absolute' },
  barg: { kind: 'pressure', si: 1e5, reference: 'gauge' },
  bar: { kind: 'pressure', si: 1e5, reference: 'absolute' },
  inHgVac: { kind: 'pressure', si: INCH_MERCURY_PA, reference: 'vacuum' },
  micron: { kind: 'pressure', si: MICRON_PA, reference: 'absolute' },
  F: { kind: 'temperature', si: FAHRENHEIT_K, zero: FAHRENHEIT_ZERO_K },
  C: { kind: 'temperature', si: 1, zero: 273.15 },
  K: { kind: 'temperature', si: 1, zero: 0 },
  V: { kind: 'voltage', si: 1 },
  A: { kind: 'current', si: 1 },
  ohm: { kind: 'resistance', si: 1 },
  kohm: { kind: 'resistance', si: 1e3 },
  Mohm: { kind: 'resistance', si: 1e6 },
  uF: { kind: 'capacitance', si: 1e-6 },
  W: { kind: 'power', si: 1 },
  lb: { kind: 'mass', si: POUND_KG },
  oz: { kind: 'mass', si: POUND_KG / 16 },
  kg: { kind: 'mass', si: 1 },
  g: { kind: 'mass', si: 1e-3 },
  floz: { kind: 'volume', si: FLUID_OUNCE_M3 },
  mL: { kind: 'volume', si: 1e-6 },
  cfm: { kind: 'flow', si: FOOT_M ** 3 / 60 },
  'm3/h': { kind: 'flow', si: 1 / 3600 },
  in: { kind: 'length', si: INCH_M },
  mm: { kind: 'length', si: 1e-3 },
  ft: { kind: 'length', si: FOOT_M },
  m: { kind: 'length', si: 1 },
  '%': { kind: 'humidity', si: 0.01 },
  h: { kind: 'time', si: 3600 },
  min: { kind: 'time', si: 60 },
} as const satisfies Record<string, UnitRow>

export type Unit = keyof typeof UNITS
export type PressureUnit = 'psig' | 'psia' | 'kPag' | 'kPa' | 'barg' | 'bar' | 'inHgVac' | 'micron'
export type TemperatureUnit = 'F' | 'C' | 'K'

/** A number with its unit, as read or as written in a file. */
export type Quantity<U extends Unit = Unit> = { readonly value: number; readonly unit: U }

/** The table's rows seen without their literal types. */
export const unitRow = (unit: Unit): UnitRow => UNITS[unit]

/** Whether a word is one of the units. */
export const isUnit = (word: string): word is Unit => Object.hasOwn(UNITS, word)

/** The units in which a quantity may be given, in the table's order. Differences use the temperature units. */
export function unitsOf(kind: QuantityKind): Unit[] {
  const wanted = kind === 'temperatureDifference' ? 'temperature' : kind
  return (Object.keys(UNITS) as Unit[]).filter((unit) => UNITS[unit].kind === wanted)
}

/** Refuses what is no number. */
export function assertFinite(value: number, name: string): void {
  if (!Number.isFinite(value)) {
    throw new OrzoError(
      'bad-number',
      `${name} is not a number: type digits, a sign and a decimal point only.`,
    )
  }
}
