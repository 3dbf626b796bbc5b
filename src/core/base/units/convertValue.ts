import { fromKelvin, fromPascals, fromSI, toKelvin, toPascals, toSI } from './convert'
import { type PressureUnit, type Quantity, type TemperatureUnit, type Unit, unitRow } from './units'

/**
 * A quantity's number in another unit of its kind. Gauge and absolute pressures are turned into each other by the local
 * atmosphere.
 * @param atmosphere Pa
 * @throws OrzoError out-of-range below a perfect vacuum
 */
export function convertValue({ value, unit }: Quantity, to: Unit, atmosphere?: number): number {
  if (unit === to) return value
  const { kind } = unitRow(unit)
  if (kind === 'pressure')
    return fromPascals(
      toPascals({ value, unit: unit as PressureUnit }, atmosphere),
      to as PressureUnit,
      atmosphere,
    )
  if (kind === 'temperature')
    return fromKelvin(toKelvin({ value, unit: unit as TemperatureUnit }), to as TemperatureUnit)
  return fromSI(toSI({ value, unit }), to)
}
