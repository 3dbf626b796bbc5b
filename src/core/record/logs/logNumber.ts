/** A number as programs write it, with one decimal mark. */
export const LOG_NUMBER = /^[+-]?\d*[.,]?\d+(e[+-]?\d+)?$/i

/** [practice] nothing that an instrument shows comes near, in any unit */
export const NO_READING = 1e13

/** The number in a cell; undefined where there is none. */
export function numberIn(cell: string | undefined): number | undefined {
  const text = (cell ?? '').trim()
  const value = LOG_NUMBER.test(text) ? Number(text.replace(',', '.')) : NaN
  return Math.abs(value) < NO_READING ? value : undefined
}
