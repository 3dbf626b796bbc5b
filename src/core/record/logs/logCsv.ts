import { MOST_ROWS, readCsv, refuseLineBreaks, writeCsv } from '../../base/csv/csv'
import { OrzoError } from '../../base/errors/orzoError'
import { instantOf } from '../../base/units/instants'
import type { Unit } from '../../base/units/units'
import type { ChannelKey } from '../readings/channels'
import { NO_READING } from './logNumber'
import { mostSamples, type Samples } from './samples'

type Channel = { readonly key: ChannelKey; readonly unit: Unit }
type Head = {
  readonly startedAt: string
  readonly channels: readonly Channel[]
  /** how many it should hold; missing while it is recorded */
  readonly samples?: number | undefined
}

/** Columns before those of the channels: the moment for people, the seconds that are read back. */
const TIME = 'time'
const SECONDS = 'seconds'

/** Heading of a channel, as "suctionPressure (psig)": Orzo and others find reading and unit in it. */
const headingOf = ({ key, unit }: Channel) => `${key} (${unit})`

/** A number, written as shortest text that reads back the same; an empty cell where an instrument was silent. */
const cellOf = (value: number | undefined) => (value === undefined || Number.isNaN(value) ? '' : value)

/** A log as a table that any program reads: moment, seconds after the start, a column a channel. */
export function writeLogCsv({ startedAt, channels }: Head, { time, values }: Samples): string {
  const start = instantOf(startedAt) ?? 0
  const rows = Array.from(time, (seconds, i) => [
    new Date(start + Math.round(seconds * 1000)).toISOString(),
    cellOf(seconds),
    ...values.map((channel) => cellOf(channel[i])),
  ])
  return writeCsv([[TIME, SECONDS, ...channels.map(headingOf)], ...rows])
}

/** [std: ECMA-262] signs of the longest number, with the separator before it: a sign, 17 digits, a point, an exponent */
const LONGEST_CELL = 26
/** signs of a row before its values: a moment, its quotes, the seconds, the end of the line */
const ROW_START = 26 + LONGEST_CELL + 2
/** signs of the headings: 40 channels with key and unit stay far below */
const HEADINGS = 10_000

/** Bytes of the longest table that a log can have: one that is larger was not written by Orzo. */
export const longestTable = ({ channels, samples }: Head): number =>
  HEADINGS +
  Math.min(samples ?? Infinity, mostSamples(channels.length)) * (ROW_START + channels.length * LONGEST_CELL)

function numberOf(cell: string | undefined, row: number): number {
  const value = cell === undefined || cell === '' ? NaN : Number(cell)
  if (!Number.isFinite(value) && cell)
    throw new OrzoError('bad-log', `row ${row + FIRST_ROW} holds "${cell}", which is no number`)
  if (Math.abs(value) >= NO_READING)
    throw new OrzoError(
      'bad-log',
      `row ${row + FIRST_ROW} holds ${cell}, which is no reading of any instrument`,
    )
  return value
}
/** Rows as a table program counts them: from 1, the headings first. */
const FIRST_ROW = 2

/**
 * Reads a log back that `writeLogCsv` wrote.
 * @throws OrzoError bad-log naming the column or the row that is not as the log's head says; bad-table for what is no table
 */
export function readLogCsv({ channels, samples }: Head, text: string): Samples {
  const [headings = [], ...rows] = readCsv(text, Math.min(samples ?? MOST_ROWS, MOST_ROWS) + 1)
  refuseLineBreaks(rows, FIRST_ROW)
  if (samples !== undefined && rows.length < samples)
    throw new OrzoError('bad-log', `holds ${rows.length} rows of the ${samples} that were recorded`)
  const column = (heading: string) => {
    const at = headings.indexOf(heading)
    if (at === -1) throw new OrzoError('bad-log', `has no column "${heading}"`)
    return Float64Array.from(rows, (row, i) => numberOf(row[at], i))
  }
  const time = column(SECONDS)
  const broken = time.findIndex((each, i) => !Number.isFinite(each) || each < (time[i - 1] ?? -Infinity))
  if (broken !== -1)
    throw new OrzoError('bad-log', `row ${broken + FIRST_ROW} has no time after the one before it`)
  return { time, values: channels.map((channel) => column(headingOf(channel))) }
}
