import { differenceFromKelvin, fromKelvin, fromPascals } from './convert'
import type { TemperatureUnit } from './units'

/** The units a person reads in. */
export type Display = { readonly temperature: TemperatureUnit }
export const DEFAULT_DISPLAY: Display = { temperature: 'F' }

/** A number to so many places; nothing is never written "-0.0". */
export const rounded = (value: number, digits = 0): string => {
  const text = value.toFixed(digits)
  return Number(text) === 0 ? (0).toFixed(digits) : text
}

/** "94 F" from K. */
export const showTemperature = (kelvin: number, { temperature }: Display, digits = 0): string =>
  `${rounded(fromKelvin(kelvin, temperature), digits)} ${temperature}`

/** "25 F" from a difference in K. */
export const showDifference = (kelvin: number, { temperature }: Display, digits = 0): string =>
  `${rounded(differenceFromKelvin(kelvin, temperature), digits)} ${temperature}`

/** "82 %" from a share. */
export const showShare = (share: number): string => `${rounded(share * 100)} %`

/** "0.4 psi" or "3 kPa" from a pressure difference in Pa, by the temperature unit's country. */
export const showPressureDrop = (pascals: number, { temperature }: Display): string =>
  temperature === 'F'
    ? `${rounded(fromPascals(pascals, 'psia'), 1)} psi`
    : `${rounded(pascals / 1000, 1)} kPa`
