import type { Span } from '@/core/repair/schedule/schedule'
import { fromSI } from '@/core/base/units/convert'

/** "2 h 10 min" from minutes. */
export function duration(minutes: number): string {
  const hours = Math.floor(minutes / 60)
  const rest = Math.round(minutes % 60)
  if (hours === 0) return `${rest} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}

export const spanText = ({ low, high }: Span): string => `${duration(low)} to ${duration(high)}`

/** Grams as read on a ledger. */
export const grams = (kg: number): string => `${(kg * 1000).toFixed(kg * 1000 < 10 ? 2 : 1)} g`

/** Ounces and grams of a charge. */
export const ounces = (kg: number): string => `${fromSI(kg, 'oz').toFixed(1)} oz`

/** Oil volume in both of the trade's units. */
export const oilVolume = (cubicMetres: number): string =>
  `${fromSI(cubicMetres, 'mL').toFixed(0)} mL (${fromSI(cubicMetres, 'floz').toFixed(1)} floz)`
