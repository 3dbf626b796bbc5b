import { readCsv, unescaped, writeCsv } from '../../base/csv/csv'
import { attempt } from '../../base/errors/orzoError'
import { numberTyped } from '../../base/units/numberTyped'
import { parseTyped } from '../../base/units/parseTyped'
import { type QuantityKind, type Unit, unitsOf } from '../../base/units/units'
import { type Dryer, dryerSchema } from '../records/dryer'
import { problemsOf } from '../records/kind'

/** What one column of the table holds, how it is written and read. */
type Column = {
  readonly heading: string
  readonly write: (dryer: Dryer) => string
  /** the value for the field; undefined for an empty cell @throws OrzoError */
  readonly read: (cell: string) => unknown
  readonly field: keyof Dryer
}

const SEVERAL = ';'

const word = (field: keyof Dryer, heading: string = field): Column => ({
  heading,
  field,
  write: (dryer) => String(dryer[field] ?? ''),
  read: (cell) => cell,
})
const number = (field: keyof Dryer, heading: string): Column => ({
  heading,
  field,
  write: (dryer) => String(dryer[field] ?? ''),
  read: numberTyped,
})
const quantity = (
  field: 'pressure' | 'waterR22' | 'waterOther' | 'length',
  heading: string,
  kind: QuantityKind,
  usual: Unit,
): Column => ({
  heading,
  field,
  write: (dryer) => {
    const value = dryer[field]
    return value ? `${value.value} ${value.unit}` : ''
  },
  read: (cell) => measureOf(cell, kind, usual),
})

/** A number and a unit spelled as Orzo writes it; anything else is read as it is spoken. */
const EXACT = /^(\S+) (\S+)$/

/** A measure without the text that it was typed as: a table cell is no field of two units. */
export function measureOf(cell: string, kind: QuantityKind, usual: Unit): { value: number; unit: Unit } {
  const [, digits, name] = EXACT.exec(cell) ?? []
  if (digits !== undefined && name !== undefined && unitsOf(kind).some((unit) => unit === name))
    return { value: numberTyped(digits), unit: name as Unit }
  const { value, unit } = parseTyped(cell, kind, usual)
  return { value, unit }
}

const CONNECTIONS: Column = {
  heading: 'connections',
  field: 'connections',
  write: ({ connections }) => connections.map(({ value, unit }) => `${value} ${unit}`).join(`${SEVERAL} `),
  read: (cell) =>
    cell
      .split(SEVERAL)
      .map((part) => part.trim())
      .filter((part) => part !== '')
      .map((part) => measureOf(part, 'length', 'in')),
}

/** The columns of a table of dryers, each with its unit in the cell. */
const COLUMNS: readonly Column[] = [
  word('id'),
  word('label', 'name'),
  word('place'),
  word('flow'),
  word('core'),
  word('form'),
  number('block', 'block in3'),
  CONNECTIONS,
  word('joint'),
  quantity('pressure', 'pressure', 'pressure', 'psig'),
  number('tons', 'tons'),
  word('tonsFor', 'tons for'),
  quantity('waterR22', 'water R-22', 'mass', 'g'),
  quantity('waterOther', 'water other', 'mass', 'g'),
  quantity('length', 'length', 'length', 'in'),
  number('onVan', 'on van'),
]

/** Columns without which a row says nothing. */
const NEEDED = ['name', 'place', 'flow', 'core', 'block in3', 'connections', 'pressure', 'tons']

/** Own dryers as a table that any program reads. */
export const writeDryerCsv = (dryers: readonly Dryer[]): string =>
  writeCsv([
    COLUMNS.map(({ heading }) => heading),
    ...dryers.map((each) => COLUMNS.map(({ write }) => write(each))),
  ])

export type DryerCsv = {
  readonly dryers: readonly Dryer[]
  /** what could not be read: line of the file, and what to do */
  readonly problems: readonly { readonly line: number; readonly message: string }[]
}

const same = (text: string) => text.trim().toLowerCase().replace(/\s+/g, ' ')

function readRow(
  cells: readonly string[],
  at: ReadonlyMap<string, number>,
  id: () => string,
): Dryer | string {
  const values: Record<string, unknown> = {}
  for (const { heading, field, read } of COLUMNS) {
    const cell = unescaped((cells[at.get(same(heading)) ?? -1] ?? '').trim())
    if (cell === '') continue
    const found = attempt(() => read(cell))
    if (!found.ok) return `${heading} "${cell}": ${found.error.message}`
    values[field] = found.value
  }
  values.id ??= id()
  const result = dryerSchema.safeParse(values, { reportInput: true })
  return result.success
    ? result.data
    : problemsOf(result.error, 'the row')
        .map(({ path, message }) => `${path} ${message}`)
        .join('; ')
}

/**
 * Reads a table of dryers, of Orzo or of another program with the same headings; rows that cannot be read are named and the
 * others are given.
 * @param newId makes ids for rows without one
 */
export function readDryerCsv(text: string, newId: () => string): DryerCsv {
  const table = attempt(() => readCsv(text))
  if (!table.ok)
    return {
      dryers: [],
      problems: [{ line: 1, message: `The table cannot be read: ${table.error.message}.` }],
    }
  const [head, ...lines] = table.value
  const at = new Map((head ?? []).map((heading, i) => [same(heading), i]))
  const missing = NEEDED.filter((heading) => !at.has(same(heading)))
  if (missing.length > 0)
    return {
      dryers: [],
      problems: [
        {
          line: 1,
          message: `The first line lacks ${missing.map((each) => `"${each}"`).join(', ')}: export a table here and fill in its columns.`,
        },
      ],
    }
  const dryers: Dryer[] = []
  const problems: { line: number; message: string }[] = []
  lines.forEach((cells, i) => {
    const read = readRow(cells, at, newId)
    if (typeof read === 'string') problems.push({ line: i + 2, message: read })
    else dryers.push(read)
  })
  return { dryers, problems }
}
