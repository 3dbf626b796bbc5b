import { fromKelvin, fromPascals } from '@/core/base/units/convert'
import { rounded } from '@/core/base/units/show'
import {
  type PressureUnit,
  type Quantity,
  type TemperatureUnit,
  type Unit,
  unitRow,
} from '@/core/base/units/units'

/** A stored quantity of the tables; units are checked where they are typed. */
export type Typed = { value: number; unit: Unit }

const DIGITS: Readonly<Record<PressureUnit, number>> = {
  psig: 1,
  psia: 1,
  kPag: 0,
  kPa: 0,
  barg: 2,
  bar: 2,
  inHgVac: 1,
  micron: 0,
}

/** "118.0 psig"; below local atmosphere a psig reading is shown as inHg vacuum, as gauges do. */
export function showPressure(pascals: number, unit: PressureUnit, atmosphere: number): string {
  const value = fromPascals(pascals, unit, atmosphere)
  if (unit === 'psig' && Number(rounded(value, DIGITS[unit])) < 0)
    return showPressure(pascals, 'inHgVac', atmosphere)
  return `${rounded(value, DIGITS[unit])} ${unit}`
}

export const showKelvin = (kelvin: number, unit: TemperatureUnit, digits = 1): string =>
  `${rounded(fromKelvin(kelvin, unit), digits)} ${unit}`

/** What a difference of pressures is called in each unit. */
const DIFFERENCE_NAMES: Readonly<Record<PressureUnit, string>> = {
  psig: 'psi',
  psia: 'psi',
  kPag: 'kPa',
  kPa: 'kPa',
  barg: 'bar',
  bar: 'bar',
  inHgVac: 'inHg',
  micron: 'micron',
}

/** "2.3 psi" of a difference, in the unit in which the pressures were typed. */
export const showPressureChange = (pascals: number, unit: PressureUnit): string =>
  `${rounded(pascals / unitRow(unit).si, Math.max(DIGITS[unit], 1))} ${DIFFERENCE_NAMES[unit]}`

export const asTemperature = (typed: Typed): Quantity<TemperatureUnit> => typed as Quantity<TemperatureUnit>
export const asPressure = (typed: Typed): Quantity<PressureUnit> => typed as Quantity<PressureUnit>
