import { OrzoError } from '../errors/orzoError'
import { SEA_LEVEL_PASCALS } from './atmosphere'
import {
  assertFinite,
  type PressureUnit,
  type Quantity,
  type TemperatureUnit,
  type Unit,
  unitRow,
} from './units'

/**
 * Absolute pressure of a reading.
 * @param atmosphere local atmospheric pressure, Pa; gauge and vacuum readings are relative to it
 * @returns Pa, above zero
 * @throws OrzoError bad-number, or out-of-range below absolute zero
 */
export function toPascals(reading: Quantity<PressureUnit>, atmosphere = SEA_LEVEL_PASCALS): number {
  assertFinite(reading.value, 'Pressure')
  const { si, reference } = unitRow(reading.unit)
  const own = reading.value * si
  const pascals = reference === 'gauge' ? atmosphere + own : reference === 'vacuum' ? atmosphere - own : own
  if (pascals <= 0) {
    throw new OrzoError(
      'out-of-range',
      `${reading.value} ${reading.unit} is below a perfect vacuum: check the sign and the unit.`,
      { pascals },
    )
  }
  return pascals
}

/** The reading, in the wanted unit, of an absolute pressure in Pa; the inverse of toPascals. */
export function fromPascals(pascals: number, unit: PressureUnit, atmosphere = SEA_LEVEL_PASCALS): number {
  const { si, reference } = unitRow(unit)
  if (reference === 'gauge') return (pascals - atmosphere) / si
  if (reference === 'vacuum') return (atmosphere - pascals) / si
  return pascals / si
}

/**
 * Absolute temperature.
 * @returns K, above zero
 * @throws OrzoError bad-number, or out-of-range at or below absolute zero
 */
export function toKelvin(reading: Quantity<TemperatureUnit>): number {
  assertFinite(reading.value, 'Temperature')
  const { si, zero = 0 } = unitRow(reading.unit)
  const kelvin = reading.value * si + zero
  if (kelvin <= 0) {
    throw new OrzoError(
      'out-of-range',
      `${reading.value} ${reading.unit} is below absolute zero: check the sign.`,
      {
        kelvin,
      },
    )
  }
  return kelvin
}

/** The reading of an absolute temperature in K on the wanted scale. */
export function fromKelvin(kelvin: number, unit: TemperatureUnit): number {
  const { si, zero = 0 } = unitRow(unit)
  return (kelvin - zero) / si
}

/** A temperature difference in K; 9 F are 5 K. */
export function differenceToKelvin(value: number, unit: TemperatureUnit): number {
  return value * unitRow(unit).si
}

/** A temperature difference in K on the wanted scale. */
export function differenceFromKelvin(kelvin: number, unit: TemperatureUnit): number {
  return kelvin / unitRow(unit).si
}

/**
 * SI value of a quantity that has neither a shifted zero nor a local reference (volts, ohms, mass, length ...).
 * @throws OrzoError bad-number; wrong-unit for pressures and temperatures, which need their own functions
 */
export function toSI(reading: Quantity): number {
  assertFinite(reading.value, 'Value')
  const { si, kind } = unitRow(reading.unit)
  if (kind === 'pressure' || kind === 'temperature') {
    throw new OrzoError('wrong-unit', `${reading.unit} needs the pressure or temperature conversion.`)
  }
  return reading.value * si
}

/** The value of an SI quantity in the wanted unit; the inverse of toSI. */
export function fromSI(value: number, unit: Unit): number {
  return value / unitRow(unit).si
}

/**
 * What turns a figure of a unit into SI: figure x scale + shift. Pressures absolute; below nothing too, nothing is refused.
 * @param atmosphere Pa, against which gauges read
 */
export function siLine(unit: Unit, atmosphere: number): { readonly scale: number; readonly shift: number } {
  const { si, zero = 0, reference } = unitRow(unit)
  if (reference === 'vacuum') return { scale: -si, shift: atmosphere }
  return { scale: si, shift: reference === 'gauge' ? atmosphere : zero }
}
