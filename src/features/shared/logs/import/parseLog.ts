import { MOST_TABLE_BYTES, readCsv, refuseLineBreaks } from '@/core/base/csv/csv'
import { attempt } from '@/core/base/errors/orzoError'
import { parseTyped } from '@/core/base/units/parseTyped'
import type { LogTable } from '@/core/record/logs/readLog'

const isNumber = (cell: string) => /^\s*[+-]?\d*[.,]?\d+\s*$/.test(cell)

/** Neither a number nor a moment: what a heading is. */
const isWord = (cell: string) =>
  cell.trim() !== '' && !/^[\d\s.,:/+-]*([ap]m)?z?t?$/i.test(cell.trim().replace(/T/g, ' '))

/** Kinds whose units stand in a row of their own below the names. */
const UNIT_KINDS = ['pressure', 'temperature', 'voltage', 'current', 'humidity', 'time'] as const
const CLOCK_WORDS =
  /^(s|sec|secs|seconds|min|minutes|h|hours?|hh:mm(:ss)?|[dmy]{1,4}([./-][dmy]{1,4}){1,2})$/i

function isUnitWord(cell: string): boolean {
  const bare = cell.replace(/[()[\]{}\s]/g, '')
  if (CLOCK_WORDS.test(bare)) return true
  return UNIT_KINDS.some((kind) => attempt(() => parseTyped(`1 ${bare}`, kind, 'K')).ok)
}

/** Whether a row holds the units of the names above it. */
function isUnitRow(row: readonly string[]): boolean {
  const said = row.filter((cell) => cell.trim() !== '')
  return said.length > 0 && said.filter(isUnitWord).length * 2 > said.length
}

/** The headings; units that stand in a row of their own are put behind the names. */
function headingsOf(
  cells: readonly (readonly string[])[],
  firstValues: number,
): readonly string[] | undefined {
  const [names, units] = [cells[firstValues - 2], cells[firstValues - 1]]
  if (!units || !names || names.length < 2 || names.some(isNumber) || !isUnitRow(units) || isUnitRow(names))
    return units
  const width = Math.max(names.length, units.length)
  return Array.from({ length: width }, (_v, i) => `${names[i]?.trim() ?? ''} ${units[i]?.trim() ?? ''}`)
}

/**
 * Cells of a file; the row above the first row with numbers is taken for the headings, what stands before it is left out.
 */
export function tableOf(cells: readonly (readonly string[])[]): LogTable | undefined {
  const isValues = (row: readonly string[] | undefined) =>
    row !== undefined && row.length > 1 && row.some(isNumber)
  // a file without headings begins with its first values: they are kept
  if (isValues(cells[0]) && isValues(cells[1]) && !cells[0]!.some(isWord))
    return {
      headings: cells[0]!.map((_cell, i) => `Column ${i + 1}`),
      rows: cells.filter((row) => row.length > 1),
    }
  const firstValues = cells.findIndex((row, i) => i > 0 && isValues(row))
  const headings = headingsOf(cells, firstValues)
  if (!headings || headings.length < 2) return undefined
  return {
    headings: headings.map((heading, i) => heading.trim() || `Column ${i + 1}`),
    rows: cells.slice(firstValues).filter((row) => row.length > 1),
  }
}

/** Reads a text file with separated columns. @throws Error with a sentence for the user */
export async function parseLog(file: File): Promise<LogTable> {
  if (file.size > MOST_TABLE_BYTES)
    throw new Error('This file is larger than 20 MB: export a shorter stretch of the log.')
  const text = await file.text()
  const read = attempt(() => {
    const cells = readCsv(text)
    const table = tableOf(cells)
    if (table) refuseLineBreaks(table.rows, cells.indexOf(table.rows[0] as string[]) + 1)
    return table
  })
  if (!read.ok) throw new Error(`This file cannot be read: ${read.error.message}.`)
  const table = read.value
  if (!table)
    throw new Error(
      'No table of numbers with headings was found: export the log as CSV, a heading row above the values.',
    )
  return table
}
