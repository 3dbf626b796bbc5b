import { attempt } from '@/core/base/errors/orzoError'
import { SEA_LEVEL_PASCALS } from '@/core/base/units/atmosphere'
import { figureState } from '@/core/record/readings/figureLimits'
import { quantitySchema } from '@/core/base/units/quantitySchema'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { parseTyped } from '@/core/base/units/parseTyped'
import { type QuantityKind, type Unit, unitRow, unitsOf } from '@/core/base/units/units'

/** Outcome of what stands on the display of the pad. */
export type Entry =
  | { readonly state: 'empty' }
  | { readonly state: 'good'; readonly value: number; readonly unit: Unit }
  /** it can be, and hardly is: asked once */
  | { readonly state: 'unlikely'; readonly value: number; readonly unit: Unit; readonly message: string }
  | { readonly state: 'bad'; readonly message: string }

/** Judges typed text as a reading: a number that its unit allows; a unit typed behind it ("12 inHg") counts. */
export function judgeEntry(text: string, key: ReadingKey, unit: Unit): Entry {
  if (text === '' || text === '-') return { state: 'empty' }
  const { kind } = readingRow(key)
  const typed = attempt(() => parseTyped(text, kind, unit))
  if (!typed.ok) return { state: 'bad', message: typed.error.message }
  const result = quantitySchema(kind).safeParse(typed.value)
  if (result.success) {
    const figure = figureState(key, typed.value, SEA_LEVEL_PASCALS)
    if (figure.state === 'impossible') return { state: 'bad', message: figure.sentence }
    if (figure.state === 'unlikely') return { state: 'unlikely', ...typed.value, message: figure.sentence }
    return { state: 'good', ...typed.value }
  }
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

/** Units that this browser shows, and those last chosen on the pad. */
export type EntryUnits = {
  readonly temperature: Unit
  readonly pressure: Unit
  readonly chosen?: { readonly [K in QuantityKind]?: Unit }
}

/** Unit a fresh reading starts with: the one last chosen for its kind, else the browser's, else the kind's first. */
export function startingUnit(key: ReadingKey, { temperature, pressure, chosen }: EntryUnits): Unit {
  const { kind } = readingRow(key)
  const own = chosen?.[kind]
  if (own) return own
  if (kind === 'pressure') return pressure
  if (kind === 'temperature') return temperature
  return unitsOf(kind)[0] as Unit
}

/** Whether a sign key makes sense. */
export const takesSign = (unit: Unit): boolean => ['temperature', 'pressure'].includes(unitRow(unit).kind)
