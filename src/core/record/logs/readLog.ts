import { MINUTE } from '../../base/units/time'
import { attempt, OrzoError } from '../../base/errors/orzoError'
import { EITHER, THOUSANDS_COMMA } from '../../base/units/numberTyped'
import { parseTyped } from '../../base/units/parseTyped'
import { quantitySchema } from '../../base/units/quantitySchema'
import { type QuantityKind, type Unit, unitsOf } from '../../base/units/units'
import { type ChannelKey, channelRow, isChannelKey, WORK_CHANNEL_KEYS } from '../readings/channels'
import { READING_KEYS } from '../readings/vocabulary'
import { LOG_NUMBER, numberIn } from './logNumber'
import { DATE_ORDERS, type DateOrder, rowTimes, type TimeColumns } from './logTime'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { figureState } from '../readings/figureLimits'
import type { Samples } from './samples'

/** A table as it was read from a file: headings and cells, nothing judged yet. */
export type LogTable = { readonly headings: readonly string[]; readonly rows: readonly (readonly string[])[] }

/** What a column is: the clock, the day where it stands apart, a reading in a unit, or nothing that is wanted. */
export type ColumnUse =
  | { readonly use: 'time'; readonly order?: DateOrder }
  | { readonly use: 'date'; readonly order?: DateOrder }
  | {
      readonly use: 'reading'
      readonly key: ChannelKey
      readonly unit: Unit
      /** nothing in the file tells the unit: it was guessed from the size of the values, and a person must confirm it */
      readonly guessed?: true
    }
  | { readonly use: 'ignore' }

/** Words in headings that speak for a reading; the first row that fits wins. */
const HINTS: readonly (readonly [ChannelKey, RegExp])[] = [
  ['pumpVacuum', /(pump.*(vac|micron))|((vac|micron).*pump)/],
  ['systemVacuum', /\bvac\b|vacuum|micron|mtorr|\bsys(tem)?\b(?!.*(psi|bar|kpa|press|temp))/],
  ['cylinderWeight', /weight|scale|cylinder/],
  ['testPressure', /nitrogen|\bn2\b/],
  ['circuitPressure', /(circuit|\bsys(tem)?\b|recovery).*(press|psi|bar|kpa)/],
  ['gasTemp', /(gas|pipe|tube).*(temp|°|\bf\b|\bc\b)/],
  ['returnAirWetBulb', /(return.*(wet|wb))|((wet|wb).*return)/],
  ['supplyAirWetBulb', /(supply.*(wet|wb))|((wet|wb).*supply)/],
  ['returnAirHumidity', /return.*(humid|rh|%)/],
  ['returnAirTemp', /return/],
  ['supplyAirTemp', /supply/],
  ['outdoorAirTemp', /outdoor|\bamb(ient)?\b|outside/],
  ['boxTemp', /\bbox\b|cabinet|room/],
  ['waterInTemp', /water.*(in|enter)/],
  ['waterOutTemp', /water.*(out|leav)/],
  ['dryerInTemp', /dr[iy]er.*in/],
  ['dryerOutTemp', /dr[iy]er.*out/],
  ['dischargeLineTemp', /discharge.*(temp|line|°|\bf\b|\bc\b)/],
  ['dischargePressure', /discharge.*(press|psi|bar|kpa)/],
  ['liquidPressure', /(liquid|high).*(press|psi|bar|kpa|side)/],
  ['suctionPressure', /(suction|low|vapou?r).*(press|psi|bar|kpa|side)/],
  ['liquidLineTemp', /liquid/],
  ['suctionLineTemp', /suction|vapou?r/],
  ['voltageL1L2', /volt/],
  ['compressorAmps', /amp|current/],
]

const isTimeHeading = (heading: string) => /time|clock|timestamp/i.test(heading)
const isDateHeading = (heading: string) => /\b(date|day)\b/i.test(heading)

/** "(psig)", "[°F]", "Temp F": a unit written in a heading. */
export function unitInHeading(heading: string, kind: QuantityKind): Unit | undefined {
  const words = heading.match(/[(\[{/,]?\s*°?[a-zµ%][a-z0-9/%]*\s*[)\]}]?/gi) ?? []
  for (const word of words.reverse()) {
    const bare = word.replace(/[()[\]{},/\s°]/g, '')
    const found = attempt(() => parseTyped(`1 ${bare}`, kind, 'K'))
    if (bare !== '' && found.ok && unitsOf(kind).includes(found.value.unit)) return found.value.unit
  }
  return undefined
}

/** Temperatures whose middle value is above this, C, are Fahrenheit in a log that says no unit. [practice] */
const HARDLY_CELSIUS = 45
/** Pressures whose middle value is above the first, psi, are kPa in a log that says no unit, below the second bar. [practice] */
const HARDLY_PSI = 700
const HARDLY_BAR = 45

function unitByValues(kind: QuantityKind, values: readonly number[]): Unit {
  const middle = [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0
  if (kind === 'temperature') return middle > HARDLY_CELSIUS ? 'F' : 'C'
  if (kind === 'pressure') return middle > HARDLY_PSI ? 'kPag' : middle < HARDLY_BAR ? 'barg' : 'psig'
  return unitsOf(kind)[0] as Unit
}

/**
 * Reads the cells of one column by what its other cells tell of the comma.
 * @throws OrzoError bad-log where nothing tells whether it marks thousands or decimals
 */
function numberReader(cells: readonly (string | undefined)[], label: string) {
  const texts = cells.map((cell) => (cell ?? '').trim())
  const either = texts.find((text) => EITHER.test(text))
  const isThousands =
    texts.some((text) => THOUSANDS_COMMA.test(text) && !EITHER.test(text)) ||
    texts.some((text) => /^[+-]?\d+\.\d+$/.test(text))
  const isDecimal = texts.some((text) => LOG_NUMBER.test(text) && text.includes(',') && !EITHER.test(text))
  if (either !== undefined && isThousands === isDecimal)
    throw new OrzoError(
      'bad-log',
      `${label}: a comma may mark thousands or decimals in "${either}". Export the log with a decimal point and without marks for thousands.`,
    )
  if (!isThousands) return numberIn
  return (cell: string | undefined) => {
    const text = (cell ?? '').trim()
    return numberIn(THOUSANDS_COMMA.test(text) ? text.replaceAll(',', '') : text)
  }
}

const numbersOf = (table: LogTable, column: number): number[] =>
  table.rows.flatMap((row) => {
    const value = numberIn(row[column])
    return value === undefined ? [] : [value]
  })

/** What a column that tells the time is by its heading; one clock is enough. */
function timeUse(heading: string, before: readonly ColumnUse[]): ColumnUse | undefined {
  if (isTimeHeading(heading)) return { use: before.some(({ use }) => use === 'time') ? 'ignore' : 'time' }
  return isDateHeading(heading) ? { use: 'date' } : undefined
}

/** A guess of what each column is, from its heading and its values; to be looked at by a person. */
export function guessColumns(table: LogTable): ColumnUse[] {
  const taken = new Set<ChannelKey>()
  const guessed: ColumnUse[] = []
  table.headings.forEach((heading, column) => {
    const plain = heading.toLowerCase()
    const values = numbersOf(table, column)
    const exact = [...WORK_CHANNEL_KEYS, ...READING_KEYS].find((key) => plain.startsWith(key.toLowerCase()))
    const key = exact ?? HINTS.find(([hinted, words]) => !taken.has(hinted) && words.test(plain))?.[0]
    const time = timeUse(heading, guessed)
    if (time) guessed.push(time)
    else if (!key || values.length === 0) guessed.push({ use: 'ignore' })
    else {
      taken.add(key)
      const { kind } = channelRow(key)
      const told = unitInHeading(heading, kind)
      // where a kind has one unit only there is nothing to guess
      const sure = told !== undefined || unitsOf(kind).length === 1
      guessed.push({
        use: 'reading',
        key,
        unit: told ?? unitByValues(kind, values),
        ...(sure ? {} : { guessed: true as const }),
      })
    }
  })
  return guessed
}

type LogSeries = {
  readonly key: ChannelKey
  readonly unit: Unit
  /** minutes since the log began */
  readonly points: readonly { readonly minute: number; readonly value: number }[]
}
export type Log = {
  readonly series: readonly LogSeries[]
  /** every row that has a time, a column a series */
  readonly samples: Samples
  /** ms since the epoch of the first row; undefined where the log tells no date */
  readonly beganAt: number | undefined
  readonly minutes: number
  /** cells that held no number */
  readonly skipped: number
  /** row at which the clock runs backwards: its rows are put in order, and nothing can be judged by them */
  readonly backAt: number | undefined
}

type Wanted = { readonly key: ChannelKey; readonly unit: Unit; readonly index: number }

const seriesOf = ({ key, unit }: Wanted, time: Float64Array, values: Float64Array): LogSeries => ({
  key,
  unit,
  points: Array.from(values).flatMap((value, i) =>
    Number.isNaN(value) ? [] : [{ minute: (time[i] as number) / 60, value }],
  ),
})

/** @throws OrzoError bad-log where no column is the time or no reading is mapped, or one twice */
function wantedColumns(
  { headings }: LogTable,
  columns: readonly ColumnUse[],
): { clock: TimeColumns; wanted: Wanted[] } {
  const only = (use: 'time' | 'date') => {
    const found = columns.flatMap((column, index) =>
      column.use === use ? [{ index, order: column.order }] : [],
    )
    if (found.length > 1) throw new OrzoError('bad-log', `Two columns are the ${use}: keep one.`)
    return found[0]
  }
  const [time, date] = [only('time'), only('date')]
  // a day alone is the time of logs that have a row a day
  const clock = time ?? date
  if (!clock) throw new OrzoError('bad-log', 'Say which column is the time.')
  const wanted = columns.flatMap((column, index) => (column.use === 'reading' ? [{ ...column, index }] : []))
  if (wanted.length === 0) throw new OrzoError('bad-log', 'Say for one column at least which reading it is.')
  const unsure = wanted.find(({ guessed }) => guessed)
  if (unsure)
    throw new OrzoError(
      'bad-log',
      `Nothing in the file tells the unit of ${channelRow(unsure.key).label.toLowerCase()}: ${unsure.unit} is a guess from its values. Confirm it or choose another.`,
    )
  const twice = wanted.find(({ key }, i) => wanted.findIndex((other) => other.key === key) !== i)
  if (twice) throw new OrzoError('bad-log', `Two columns are ${channelRow(twice.key).label}: keep one.`)
  return {
    clock: {
      time: clock.index,
      heading: headings[clock.index] ?? '',
      date: time ? date?.index : undefined,
      order: (date ?? clock).order,
    },
    wanted,
  }
}

type TimedRow = { readonly row: readonly string[]; readonly ms: number }

/**
 * The series of a log as its columns were mapped; rows in order of time.
 * @throws OrzoError bad-log where the mapping does not do, or where no row can be read
 */
export function readLog(table: LogTable, columns: readonly ColumnUse[]): Log {
  const { clock, wanted } = wantedColumns(table, columns)
  const { times, dated } = rowTimes(table.rows, clock)
  const rows = table.rows
    .flatMap((row, i): TimedRow[] => {
      const ms = times[i]
      return ms === undefined ? [] : [{ row, ms }]
    })
    .sort((a, b) => a.ms - b.ms)
  const [first, last] = [rows[0], rows.at(-1)]
  if (!first || !last) throw new OrzoError('bad-log', `No row has a time in "${clock.heading}".`)
  const time = Float64Array.from(rows, ({ ms }) => (ms - first.ms) / 1000)
  const samples = { time, values: columnValues(rows, wanted) }
  const silent = samples.values.reduce((sum, channel) => sum + channel.filter(Number.isNaN).length, 0)
  return {
    series: wanted.map((each, i) => seriesOf(each, time, samples.values[i] as Float64Array)),
    samples,
    beganAt: dated ? first.ms : undefined,
    minutes: (last.ms - first.ms) / MINUTE,
    skipped: table.rows.length - rows.length + silent,
    backAt: backAt(times),
  }
}

/** The values of the mapped columns, NaN where a cell holds none. @throws OrzoError bad-log for commas that may be either */
function columnValues(rows: readonly TimedRow[], wanted: readonly Wanted[]): Float64Array[] {
  return wanted.map(({ index, key }) => {
    const read = numberReader(
      rows.map(({ row }) => row[index]),
      channelRow(key).label,
    )
    return Float64Array.from(rows, ({ row }) => read(row[index]) ?? NaN)
  })
}

/** What is told where the clock of a log goes in again. @param row of the table */
export const timeGoesBack = (row: number): string =>
  `row ${row}: the time runs backwards. Put the rows in order of time, or cut the log where its clock was set.`

/** The row of a table, its headings being the first, at which the time runs backwards; a table that begins with its end is in order. */
function backAt(times: readonly (number | undefined)[]): number | undefined {
  const known = times.flatMap((ms, i) => (ms === undefined ? [] : [{ ms, row: i + 2 }]))
  const isBackward = (known.at(-1)?.ms ?? 0) < (known[0]?.ms ?? 0)
  const back = known.find(({ ms }, i) => {
    const before = known[i - 1]
    return before !== undefined && (isBackward ? ms > before.ms : ms < before.ms)
  })
  return back?.row
}

/** Mean of each series between two minutes, of the looks that can be; series without a value there are left out. */
export function meansBetween(
  log: Log,
  from: number,
  to: number,
): { key: ChannelKey; value: number; unit: Unit }[] {
  return log.series.flatMap(({ key, unit, points }) => {
    const inside = points.filter(({ minute }) => minute >= from && minute <= to)
    if (inside.length === 0) return []
    const sound = inside.filter(
      ({ value }) => figureState(key, { value, unit }, SEA_LEVEL_PASCALS).state !== 'impossible',
    )
    // where nothing of it can be, the mean tells so
    const counted = sound.length > 0 ? sound : inside
    const mean = counted.reduce((sum, { value }) => sum + value, 0) / counted.length
    return [{ key, unit, value: Number(mean.toFixed(2)) }]
  })
}

/** Why a mean cannot be a reading; undefined where it can. */
export function impossible({
  key,
  value,
  unit,
}: {
  key: ChannelKey
  value: number
  unit: Unit
}): string | undefined {
  const result = quantitySchema(channelRow(key).kind).safeParse({ value, unit })
  if (result.success) return undefined
  return `${channelRow(key).label} ${value} ${unit} is left out: ${result.error.issues[0]?.message ?? 'it cannot be stored'} Look at its unit.`
}

/** A mapping as it is remembered, checked when it is read back; undefined where it does not fit the file. */
export function checkColumns(value: unknown, count: number): ColumnUse[] | undefined {
  if (!Array.isArray(value) || value.length !== count) return undefined
  const checked = (value as unknown[]).map((each): ColumnUse | undefined => {
    const { use, key, unit, order } = (each ?? {}) as Record<string, unknown>
    if (use === 'ignore') return { use }
    if (use === 'time' || use === 'date') {
      const known = DATE_ORDERS.find((each) => each === order)
      return { use, ...(known ? { order: known } : {}) }
    }
    if (use !== 'reading' || typeof key !== 'string' || !isChannelKey(key)) return undefined
    const fits = unitsOf(channelRow(key).kind).find((fitting) => fitting === unit)
    return fits && { use, key, unit: fits }
  })
  return checked.every((each) => each !== undefined) ? checked : undefined
}
