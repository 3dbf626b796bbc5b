import Papa from 'papaparse'
import { OrzoError } from '../errors/orzoError'

/** Rows that are read of one table: eleven days at one a second. [practice] */
export const MOST_ROWS = 1_000_000

/** Larger tables are refused before they are read, bytes. [practice] */
export const MOST_TABLE_BYTES = 20_000_000

const NEW_LINE = 0x0a

/** Whether a text has more lines than that; told before anything is built of it. */
function hasMoreLines(text: string, most: number): boolean {
  let lines = 0
  for (let at = text.indexOf('\n'); at !== -1; at = text.indexOf('\n', at + 1)) {
    lines += 1
    if (lines > most) return true
  }
  return text.length > 0 && text.charCodeAt(text.length - 1) !== NEW_LINE && lines + 1 > most
}

/** What is wrong with a table by the parser; quotes alone are, a table of one column has no separator. */
const SENTENCES: Readonly<Record<string, string>> = {
  MissingQuotes: 'begins a quote that does not end: take the quotation mark out, or export the table again',
  InvalidQuotes: 'holds a quotation mark in the middle of a cell: take it out, or export the table again',
}

/**
 * The cells of a table as text. Rows that are empty are left out; a mark of byte order too.
 * @param most rows that are allowed, headings included
 * @throws OrzoError bad-table naming the row, counted from 1, for a quote that swallows what follows; for too many rows
 */
export function readCsv(text: string, most = MOST_ROWS + 1): string[][] {
  if (hasMoreLines(text, most))
    throw new OrzoError(
      'bad-table',
      `row ${(most + 1).toLocaleString('en-US')} is one too many: export a shorter stretch, or fewer rows a minute`,
    )
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const wrong = errors.find(({ code }) => code in SENTENCES)
  if (wrong) throw new OrzoError('bad-table', `row ${(wrong.row ?? 0) + 1} ${SENTENCES[wrong.code]}`)
  return data
}

/**
 * Refuses a cell that goes over several lines: in a table of values two stray quotes have swallowed what stands between them.
 * @param rows of values, without the headings
 * @param first number of the first of them in the table, from 1
 * @throws OrzoError bad-table naming the row
 */
export function refuseLineBreaks(rows: readonly (readonly string[])[], first: number): void {
  const at = rows.findIndex((row) => row.some((cell) => cell.includes('\n') || cell.includes('\r')))
  if (at !== -1)
    throw new OrzoError(
      'bad-table',
      `row ${at + first} holds a cell of several lines between quotes: take the quotation marks out, or export the table again`,
    )
}

/** What a spreadsheet would run instead of showing it. */
const ESCAPED = /^'[=+\-@\t\r]/

/** What was escaped when it was written, as it was. */
export const unescaped = (cell: string): string => (ESCAPED.test(cell) ? cell.slice(1) : cell)

/**
 * A table as text that any program reads. Texts that a spreadsheet would take for a formula get a quote before them; numbers
 * stay numbers.
 */
export const writeCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse(rows as (string | number)[][], { escapeFormulae: true })}\r\n`
