import type { Plan } from '../repair/plan/plan'
import type { ContaminationClass } from '../repair/cleanup/classes'
import { CLASS_LABELS } from '../repair/cleanup/classes'
import { fromSI } from '../base/units/convert'

/** Grams as read on a ledger. */
export function grams(kg: number): string {
  const milligrams = Math.round(Math.abs(kg) * 1e6)
  if (milligrams > 0 && milligrams < 10) return `${kg < 0 ? '−' : ''}${milligrams} mg`
  return `${(kg * 1000).toFixed(Math.abs(kg) < 0.01 ? 2 : 1)} g`
}

/** Oil in fluid ounces, and the same in millilitres. */
export const fluidOunces = (cubicMetres: number): string => `${fromSI(cubicMetres, 'floz').toFixed(1)} fl oz`
export const millilitres = (cubicMetres: number): string => `${fromSI(cubicMetres, 'mL').toFixed(0)} mL`

/** "Wet, debris" */
export const classText = (all: readonly ContaminationClass[]): string =>
  all.map((name, i) => (i === 0 ? CLASS_LABELS[name] : CLASS_LABELS[name].toLowerCase())).join(', ')

/** How sure, in a word. */
export const sureness = (chance: number): string =>
  chance >= 0.9 ? 'well founded' : chance >= 0.7 ? 'likely' : 'a guess'

/** All changes of the oil: the oil of a new compressor is the first, some come after it has run. */
export const oilChangesOf = ({ changes, laterChanges, newCompressor }: Plan['oil']): number =>
  changes + laterChanges + (newCompressor ? 1 : 0)
