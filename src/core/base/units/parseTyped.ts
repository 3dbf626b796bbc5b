import { OrzoError } from '../errors/orzoError'
import { parseCompound, type TypedQuantity } from './compound'
import { numberTyped } from './numberTyped'
import { type QuantityKind, type Unit, unitsOf } from './units'

/** What people write for a unit on the machine: gauges show gauge pressure unless "a" or "abs" is said. [practice] */
const SPOKEN: Readonly<Record<string, Unit>> = {
  psi: 'psig',
  psia: 'psia',
  kpa: 'kPag',
  kpaa: 'kPa',
  kpaabs: 'kPa',
  bar: 'barg',
  bara: 'bar',
  inhg: 'inHgVac',
  microns: 'micron',
  um: 'micron',
  deg: 'F',
  '°f': 'F',
  '°c': 'C',
  volts: 'V',
  amps: 'A',
  amp: 'A',
  ohms: 'ohm',
  k: 'kohm',
  mfd: 'uF',
  µf: 'uF',
  lbs: 'lb',
  pounds: 'lb',
  ounces: 'oz',
  grams: 'g',
  ml: 'mL',
  'm³/h': 'm3/h',
  feet: 'ft',
  "'": 'ft',
  '"': 'in',
  rh: '%',
}

const NUMBER = '[+-]?(?:\\d[\\d.,]*|[.,]\\d+)'
const PLAIN = new RegExp(`^(${NUMBER})\\s*([^\\s\\d.,+-].*)?$`)

/** Sizes of tube as the trade writes them: "3/8", "1-1/8 in", "1 1/8\"". */
const FRACTION = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)\s*(?:in|inch(?:es)?|")?$/i

/** A length written as a fraction of an inch; undefined where the text is none. */
function fractionOfInch(text: string): TypedQuantity | undefined {
  const [, whole = '0', over, under] = FRACTION.exec(text) ?? []
  if (over === undefined || under === undefined || Number(under) === 0) return undefined
  return { value: Number(whole) + Number(over) / Number(under), unit: 'in' }
}

/** The unit that a word means for a kind; undefined where none. */
function spokenUnit(word: string, kind: QuantityKind): Unit | undefined {
  const fitting = unitsOf(kind)
  const plain = word.replace(/[\s.]/g, '').toLowerCase()
  const exact = fitting.find((unit) => unit === word.trim())
  // a bare "kPa" or "bar" read off a gauge is gauge pressure
  const spoken = SPOKEN[plain]
  if (spoken && fitting.includes(spoken)) return spoken
  return exact ?? fitting.find((unit) => unit.toLowerCase() === plain)
}

/**
 * Reads what is typed into a field: "118", "12 inHg", "250kPa", "6 lb 4 oz", "12 ft 6 in", "3,5", "1-1/8".
 * @param unit the unit that a bare number is in
 * @throws OrzoError bad-number or unknown-unit with a sentence that says what to type
 */
export function parseTyped(text: string, kind: QuantityKind, unit: Unit): TypedQuantity {
  const trimmed = text.trim()
  const both = parseCompound(trimmed, kind)
  if (both) return both
  const fraction = kind === 'length' ? fractionOfInch(trimmed) : undefined
  if (fraction) return fraction
  const match = PLAIN.exec(trimmed)
  if (!match)
    throw new OrzoError('bad-number', `"${trimmed}" is no number: digits, one point, a sign in front.`)
  const value = numberTyped(match[1] as string)
  if (match[2] === undefined) return { value, unit }
  const spoken = spokenUnit(match[2], kind)
  if (!spoken) {
    const fitting = unitsOf(kind).join(', ')
    throw new OrzoError('unknown-unit', `"${match[2].trim()}" is no unit here: use ${fitting}.`)
  }
  return { value, unit: spoken }
}
