import { OrzoError } from '../errors/orzoError'
import { type Quantity, type QuantityKind, type Unit, unitsOf } from './units'

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
const POUNDS_OUNCES = new RegExp(`^(\\d+)\\s*(?:lbs?|pounds?)\\s*(${NUMBER})\\s*(?:oz|ounces)?$`, 'i')
const OUNCES_A_POUND = 16

/** "7.5", "7,5", ".5", "12." */
const ONE_SEPARATOR = /^[+-]?(\d+[.,]?\d*|[.,]\d+)$/
/** "1,750": a thousand and more, or less than two. */
const EITHER = /^[+-]?[1-9]\d{0,2},\d{3}$/
/** "1,750.5", "1,750,000": commas mark thousands. */
const THOUSANDS_COMMA = /^[+-]?\d{1,3}(,\d{3})+(\.\d*)?$/
/** "1.750,5": points mark thousands. */
const THOUSANDS_POINT = /^[+-]?\d{1,3}(\.\d{3})+,\d*$/

const plainZero = (value: number) => (value === 0 ? 0 : value)
const withPoint = (text: string) => plainZero(Number(text.replace(',', '.')))

/**
 * Reads a number as people write it, with a decimal point or comma and with thousands marked.
 * @throws OrzoError bad-number where a comma may mean either, or where it is no number
 */
export function numberTyped(text: string): number {
  const trimmed = text.trim()
  if (EITHER.test(trimmed)) {
    const [whole, part] = [trimmed.replace(',', ''), withPoint(trimmed)]
    throw new OrzoError(
      'bad-number',
      `"${trimmed}" may be ${whole} or ${part}: type it without the comma, or with a point.`,
    )
  }
  if (ONE_SEPARATOR.test(trimmed)) return withPoint(trimmed)
  if (THOUSANDS_COMMA.test(trimmed)) return Number(trimmed.replaceAll(',', ''))
  if (THOUSANDS_POINT.test(trimmed)) return withPoint(trimmed.replaceAll('.', ''))
  throw new OrzoError('bad-number', `"${trimmed}" is no number: digits, one point, a sign in front.`)
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
 * Reads what is typed into a field: "118", "12 inHg", "250kPa", "6 lb 4 oz", "3,5".
 * @param unit the unit that a bare number is in
 * @throws OrzoError bad-number or unknown-unit with a sentence that says what to type
 */
export function parseTyped(text: string, kind: QuantityKind, unit: Unit): Quantity {
  const trimmed = text.trim()
  const both = kind === 'mass' ? POUNDS_OUNCES.exec(trimmed) : null
  if (both) return { value: Number(both[1]) + numberTyped(both[2] as string) / OUNCES_A_POUND, unit: 'lb' }
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
