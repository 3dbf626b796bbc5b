import Papa from 'papaparse'
import type { LogTable } from '@/core/record/logs/readLog'

/** Larger files are refused before they are read, bytes. */
export const MOST_BYTES = 20_000_000

const isNumber = (cell: string) => /^\s*[+-]?\d*[.,]?\d+\s*$/.test(cell)

/** Cells of a file; the row above the first row with numbers is taken for the headings, what stands before it is left out. */
export function tableOf(cells: readonly (readonly string[])[]): LogTable | undefined {
  const firstValues = cells.findIndex((row, i) => i > 0 && row.length > 1 && row.some(isNumber))
  const headings = cells[firstValues - 1]
  if (!headings || headings.length < 2) return undefined
  return {
    headings: headings.map((heading, i) => heading.trim() || `Column ${i + 1}`),
    rows: cells.slice(firstValues).filter((row) => row.length > 1),
  }
}

/** Reads a text file with separated columns. @throws Error with a sentence for the user */
export async function parseLog(file: File): Promise<LogTable> {
  if (file.size > MOST_BYTES)
    throw new Error('This file is larger than 20 MB: export a shorter stretch of the log.')
  const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: true })
  const table = tableOf(data)
  if (!table)
    throw new Error(
      'No table of numbers with headings was found: export the log as CSV, a heading row above the values.',
    )
  return table
}
