import { fromKelvin, fromPascals } from '@/core/base/units/convert'
import type { PressureUnit, Quantity, TemperatureUnit, Unit } from '@/core/base/units/units'

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
  if (unit === 'psig' && value < 0) return showPressure(pascals, 'inHgVac', atmosphere)
  return `${value.toFixed(DIGITS[unit])} ${unit}`
}

export const showKelvin = (kelvin: number, unit: TemperatureUnit, digits = 1): string =>
  `${fromKelvin(kelvin, unit).toFixed(digits)} ${unit}`

export const asTemperature = (typed: Typed): Quantity<TemperatureUnit> => typed as Quantity<TemperatureUnit>
export const asPressure = (typed: Typed): Quantity<PressureUnit> => typed as Quantity<PressureUnit>
