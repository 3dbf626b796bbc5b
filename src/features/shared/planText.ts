import type { ContaminationClass } from '@/core/repair/cleanup/classes'
import { CLASS_LABELS } from '@/core/repair/cleanup/classes'
import { fromSI } from '@/core/base/units/convert'

/** Grams as read on a ledger. */
export function grams(kg: number): string {
  const milligrams = Math.round(Math.abs(kg) * 1e6)
  if (milligrams > 0 && milligrams < 10) return `${kg < 0 ? '−' : ''}${milligrams} mg`
  return `${(kg * 1000).toFixed(Math.abs(kg) < 0.01 ? 2 : 1)} g`
}

const OUNCES_A_POUND = 16

/** "7 lb 15.2 oz" or "12.7 oz" of a charge; a loss is written with its sign. */
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

/** Oil in fluid ounces, and the same in millilitres. */
export const fluidOunces = (cubicMetres: number): string => `${fromSI(cubicMetres, 'floz').toFixed(1)} floz`
export const millilitres = (cubicMetres: number): string => `${fromSI(cubicMetres, 'mL').toFixed(0)} mL`

/** "Wet, debris" */
export const classText = (all: readonly ContaminationClass[]): string =>
  all.map((name, i) => (i === 0 ? CLASS_LABELS[name] : CLASS_LABELS[name].toLowerCase())).join(', ')

/** How sure, in a word. */
export const sureness = (chance: number): string =>
  chance >= 0.9 ? 'well founded' : chance >= 0.7 ? 'likely' : 'a guess'
