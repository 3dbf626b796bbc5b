import { readCsv, refuseLineBreaks } from '../base/csv/csv'
import { OrzoError } from '../base/errors/orzoError'
import type { Unit } from '../base/units/units'
import { rowTimes } from '../record/logs/logTime'
import { type ColumnUse, type LogTable, readLog, timeGoesBack, unitInHeading } from '../record/logs/readLog'
import { channelRow, type WorkChannel } from '../record/readings/channels'
import type { LogMark, MarkKind } from '../record/records/log'
import type { LogPurpose } from '../record/readings/logPurposes'
import { LOG_KINDS } from '../repair/logs/kinds'
import type { WorkLog } from '../repair/logs/series'

/** Words of a heading that speak for a channel of a log of the work; the first one that fits wins. */
const HEADINGS: Readonly<Record<WorkChannel, RegExp>> = {
  pumpVacuum: /pump/i,
  systemVacuum: /system|vacuum|micron|gauge/i,
  gasTemp: /clamp|temp|pipe|gas/i,
  testPressure: /press|nitrogen|psi|gauge/i,
  circuitPressure: /press|circuit|psi|gauge/i,
  spaceNow: /space|room|box|air|temp/i,
  cylinderWeight: /weight|cylinder|scale/i,
}
const IS_MARK = /^\s*marks?\s*$/i
/** A mark cell holds one id or several. */
const BETWEEN_MARKS = /[\s,;]+/

type Channels = readonly (readonly [WorkChannel, Unit])[]

/** What a column is: the clock stands first; a unit in the heading counts, else that of the kind. */
function useOf(heading: string, at: number, channels: Channels, taken: Set<WorkChannel>): ColumnUse {
  if (at === 0) return { use: 'time' }
  if (IS_MARK.test(heading)) return { use: 'ignore' }
  // the pump is looked for first: both gauges are of the vacuum
  const order = [...channels].sort(([a], [b]) => Number(b === 'pumpVacuum') - Number(a === 'pumpVacuum'))
  const found = order.find(([key]) => !taken.has(key) && HEADINGS[key].test(heading))
  if (!found) return { use: 'ignore' }
  const [key, unit] = found
  taken.add(key)
  return { use: 'reading', key, unit: unitInHeading(heading, channelRow(key).kind) ?? unit }
}

function columnsOf({ headings }: LogTable, channels: Channels): ColumnUse[] {
  const taken = new Set<WorkChannel>()
  return headings.map((heading, at) => useOf(heading, at, channels, taken))
}

/** The marks of a table, at the times of their rows. @throws OrzoError bad-log naming the row of an unknown one */
function marksOf({ headings, rows }: LogTable, known: readonly MarkKind[]): LogMark[] {
  const column = headings.findIndex((heading) => IS_MARK.test(heading))
  if (column === -1) return []
  const { times } = rowTimes(rows, { time: 0, heading: headings[0] ?? '', date: undefined, order: undefined })
  const first = Math.min(...times.flatMap((time) => time ?? []))
  return rows.flatMap((row, i) => {
    const time = times[i]
    const words = (row[column] ?? '').split(BETWEEN_MARKS).filter((word) => word !== '')
    return words.flatMap((word): LogMark[] => {
      const what = known.find((each) => each === word)
      // row 1 holds the headings
      if (!what)
        throw new OrzoError(
          'bad-log',
          `row ${i + 2}: "${word}" is no mark of this log: use ${known.join(', ')}`,
        )
      return time === undefined ? [] : [{ seconds: (time - first) / 1000, what }]
    })
  })
}

/**
 * A log of the work from a table: the time first, then channels by their headings, marks in a column "mark". A table without
 * any mark begins with what the log begins with, as an imported one does; a recovery alone has to say when it was stopped.
 * @throws OrzoError bad-log, bad-table
 */
export function readWorkLog(text: string, purpose: LogPurpose): WorkLog {
  const [headings = [], ...rows] = readCsv(text)
  refuseLineBreaks(rows, 2)
  const table = { headings, rows }
  const { channels, marks: known, begins } = LOG_KINDS[purpose]
  const columns = columnsOf(table, channels)
  const { samples, series, beganAt, backAt } = readLog(table, columns)
  if (backAt !== undefined) throw new OrzoError('bad-log', timeGoesBack(backAt))
  const told = marksOf(table, known)
  const [, mark] = begins
  const marks = told.length > 0 || mark === 'stop' ? told : [{ seconds: 0, what: mark }]
  return {
    head: {
      channels: series.map(({ key, unit }) => ({ key, unit })),
      marks,
      purpose,
      startedAt: new Date(beganAt ?? 0).toISOString(),
    },
    samples,
  }
}
