import { OrzoError } from '../errors/orzoError'

/** "7.5", "7,5", ".5", "12." */
const ONE_SEPARATOR = /^[+-]?(\d+[.,]?\d*|[.,]\d+)$/
/** "1,750": a thousand and more, or less than two. */
export const EITHER = /^[+-]?[1-9]\d{0,2},\d{3}$/
/** "1,750.5", "1,750,000": commas mark thousands. */
export const THOUSANDS_COMMA = /^[+-]?\d{1,3}(,\d{3})+(\.\d*)?$/
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
