import { quantitySchema } from '@/core/readings/schema'
import { type ReadingKey, readingRow } from '@/core/readings/vocabulary'
import { type Unit, unitRow, unitsOf } from '@/core/units/units'

/** Outcome of what stands on the display of the pad. */
export type Entry =
  | { readonly state: 'empty' }
  | { readonly state: 'good'; readonly value: number }
  | { readonly state: 'bad'; readonly message: string }

const NUMBER = /^-?(\d+\.?\d*|\.\d+)$/

/** Judges typed text as a reading: a number that its unit allows. */
export function judgeEntry(text: string, key: ReadingKey, unit: Unit): Entry {
  if (text === '' || text === '-') return { state: 'empty' }
  if (!NUMBER.test(text))
    return { state: 'bad', message: `"${text}" is no number: digits, one point, a sign in front.` }
  const value = Number(text)
  const result = quantitySchema(readingRow(key).kind).safeParse({ value, unit })
  if (result.success) return { state: 'good', value }
  return { state: 'bad', message: result.error.issues[0]?.message ?? 'This value cannot be stored.' }
}

const MOST_DIGITS = 9

/** Text after a key of the pad: a digit, ".", "±" or "⌫". */
export function pressKey(text: string, key: string): string {
  if (key === '⌫') return text.slice(0, -1)
  if (key === '±') return text.startsWith('-') ? text.slice(1) : `-${text}`
  if (key === '.' && text.includes('.')) return text
  return text.length >= MOST_DIGITS ? text : text + key
}

/** Units in daily use for pressures; the others stand behind one key. */
const USUAL_PRESSURES: readonly Unit[] = ['psig', 'kPag', 'barg', 'inHgVac']

/** Units offered at a tap, those in daily use apart from the rest. */
export function offeredUnits(key: ReadingKey): { usual: Unit[]; more: Unit[] } {
  const { kind } = readingRow(key)
  const all = unitsOf(kind)
  const isUsual = (unit: Unit) => kind !== 'pressure' || USUAL_PRESSURES.includes(unit)
  return { usual: all.filter(isUsual), more: all.filter((unit) => !isUsual(unit)) }
}

/** Unit a fresh reading starts with: the browser's for pressures and temperatures, else the kind's first. */
export function startingUnit(key: ReadingKey, display: { temperature: Unit; pressure: Unit }): Unit {
  const { kind } = readingRow(key)
  if (kind === 'pressure') return display.pressure
  if (kind === 'temperature') return display.temperature
  return unitsOf(kind)[0] as Unit
}

/** Whether a sign key makes sense. */
export const takesSign = (unit: Unit): boolean => ['temperature', 'pressure'].includes(unitRow(unit).kind)
