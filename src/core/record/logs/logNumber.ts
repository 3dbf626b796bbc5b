/** A number as programs write it, with one decimal mark. */
export const LOG_NUMBER = /^[+-]?\d*[.,]?\d+(e[+-]?\d+)?$/i

/** The number in a cell; undefined where there is none. */
export function numberIn(cell: string | undefined): number | undefined {
  const text = (cell ?? '').trim()
  return LOG_NUMBER.test(text) ? Number(text.replace(',', '.')) : undefined
}
