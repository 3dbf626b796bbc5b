import { fromSI } from './convert'

const OUNCES_A_POUND = 16

/** "7 lb 15.2 oz" or "12.7 oz" of kilograms; a loss is written with its sign. */
export function pounds(kg: number): string {
  const tenths = Math.round(fromSI(Math.abs(kg), 'oz') * 10)
  const sign = kg < 0 && tenths > 0 ? '−' : ''
  const whole = Math.floor(tenths / 10 / OUNCES_A_POUND)
  const rest = (tenths / 10 - whole * OUNCES_A_POUND).toFixed(1)
  return whole === 0 ? `${sign}${rest} oz` : `${sign}${whole} lb ${rest} oz`
}

/** The same weight in kilograms or grams. */
export const kilograms = (kg: number): string =>
  Math.abs(kg) < 1 ? `${(kg * 1000).toFixed(0)} g` : `${kg.toFixed(2)} kg`
