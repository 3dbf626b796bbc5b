import { attempt, OrzoError } from '../../base/errors/orzoError'
import { numberIn } from './logNumber'

/** Which of two small numbers of a date is the day. */
export const DATE_ORDERS = ['day-first', 'month-first'] as const
export type DateOrder = (typeof DATE_ORDERS)[number]

const SECOND = 1000
const MINUTE = 60 * SECOND
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR

/** What a plain number in a column of times counts, by words of its heading; seconds where it says nothing. [practice] */
const SCALES: readonly (readonly [RegExp, number])[] = [
  [/\bms\b|milli/i, 1],
  [/\b(min|mins|minutes?)\b/i, MINUTE],
  [/\b(h|hrs?|hours?)\b/i, HOUR],
]
const scaleOf = (heading: string) => SCALES.find(([words]) => words.test(heading))?.[1] ?? SECOND

const CLOCK = /^(\d{1,3}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*(am|pm)?$/i
const SMALL_DATE = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4}|\d{2})(?:[ T,]+(.+))?$/

/** ms of "9:15", "21:15:30.5", "9:15 PM"; undefined where it is no clock. */
function clockOf(text: string): number | undefined {
  const match = CLOCK.exec(text)
  if (!match) return undefined
  const [hours, minutes, seconds] = [
    Number(match[1]),
    Number(match[2]),
    Number((match[3] ?? '0').replace(',', '.')),
  ]
  const half = match[4]?.toLowerCase()
  const inHalf = half === undefined ? hours : (hours % 12) + (half === 'pm' ? 12 : 0)
  return inHalf * HOUR + minutes * MINUTE + seconds * SECOND
}

const partsOf = (cell: string) => {
  const match = SMALL_DATE.exec(cell.trim())
  return match
    ? {
        first: Number(match[1]),
        second: Number(match[3]),
        point: match[2] === '.',
        year: match[4] as string,
        rest: match[5],
      }
    : undefined
}

/**
 * Which number of the dates of a column is the day.
 * @returns undefined where the file does not tell; "day-first" too where no date is written that way
 * @throws OrzoError bad-log where the dates contradict each other
 */
function dateOrderOf(cells: readonly (string | undefined)[]): DateOrder | undefined {
  const dates = cells.flatMap((cell) => partsOf(cell ?? '') ?? [])
  const [dayFirst, monthFirst] = [
    dates.some(({ first }) => first > 12),
    dates.some(({ second }) => second > 12),
  ]
  if (dayFirst && monthFirst)
    throw new OrzoError('bad-log', 'Its dates have the day now first, now second: no order fits them all.')
  if (dayFirst) return 'day-first'
  if (monthFirst) return 'month-first'
  // points are written between day, month and year, in this order [practice]
  return dates.every(({ point }) => point) ? 'day-first' : undefined
}

/** Whether a person must say which number of its dates is the day. */
export function isOrderUnclear(cells: readonly (string | undefined)[]): boolean {
  const order = attempt(() => dateOrderOf(cells))
  return order.ok && order.value === undefined
}

const centuryOf = (year: string) => (year.length === 2 ? 2000 + Number(year) : Number(year))

/** Midnight of a day at this machine's place, and what stands behind the date. */
function dayOf(cell: string, order: DateOrder): { ms: number; rest: string | undefined } | undefined {
  const small = partsOf(cell)
  if (small) {
    const [day, month] = order === 'day-first' ? [small.first, small.second] : [small.second, small.first]
    if (month > 12 || day > 31) return undefined
    return { ms: new Date(centuryOf(small.year), month - 1, day).getTime(), rest: small.rest?.trim() }
  }
  // a bare ISO day would be read as midnight elsewhere
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(cell.trim())
  if (iso)
    return { ms: new Date(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3])).getTime(), rest: undefined }
  const ms = Date.parse(cell)
  return Number.isNaN(ms) ? undefined : { ms, rest: undefined }
}

/** Columns that tell the time of a row. */
export type TimeColumns = {
  /** index and heading of the clock, the moment or the count */
  readonly time: number
  readonly heading: string
  /** index of the day, where it stands apart */
  readonly date?: number | undefined
  readonly order?: DateOrder | undefined
}
type RowTime = { readonly ms: number; readonly dated: boolean; readonly clock?: true }

function momentOf(cell: string, order: DateOrder, scale: number): RowTime | undefined {
  const count = numberIn(cell)
  if (count !== undefined) return { ms: count * scale, dated: false }
  const clock = clockOf(cell)
  if (clock !== undefined) return { ms: clock, dated: false, clock: true }
  const day = dayOf(cell, order)
  if (!day) return undefined
  if (day.rest === undefined) return { ms: day.ms, dated: true }
  const inDay = clockOf(day.rest)
  return inDay === undefined ? undefined : { ms: day.ms + inDay, dated: true }
}

/** A clock that runs on: newest first is turned round, one that falls by more than half a day went past midnight. */
function unwrapped(times: readonly (RowTime | undefined)[]): (RowTime | undefined)[] {
  const known = times.flatMap((time) => (time ? [time.ms] : []))
  // steps over midnight tell nothing of the direction
  const steps = known.slice(1).map((ms, i) => ms - (known[i] as number))
  const small = steps.filter((step) => step !== 0 && Math.abs(step) < DAY / 2)
  const isNewestFirst = small.filter((step) => step < 0).length > small.length / 2
  const ordered = isNewestFirst ? [...times].reverse() : times
  let [days, previous] = [0, -Infinity]
  const unrolled = ordered.map((time) => {
    if (!time) return undefined
    if (time.ms < previous - DAY / 2) days += 1
    previous = time.ms
    return { ...time, ms: time.ms + days * DAY }
  })
  return isNewestFirst ? unrolled.reverse() : unrolled
}

const ASK_ORDER = 'Say which stands first in its dates, the day or the month: the file does not tell.'

/**
 * Times of the rows of a log, ms: since the epoch where the file tells the day, else of its clock or its count.
 * @returns undefined for rows without a time
 * @throws OrzoError bad-log where the order of day and month is not known
 */
export function rowTimes(
  rows: readonly (readonly string[])[],
  { time, heading, date, order }: TimeColumns,
): { readonly times: readonly (number | undefined)[]; readonly dated: boolean } {
  const dates = rows.map((row) => row[date ?? time])
  const known = dateOrderOf(dates) ?? order
  if (known === undefined) throw new OrzoError('bad-log', ASK_ORDER)
  const scale = scaleOf(heading)
  const alone = rows.map((row) => momentOf((row[time] ?? '').trim(), known, scale))
  if (date !== undefined) {
    const times = alone.map((each, i) => {
      const day = dayOf((dates[i] ?? '').trim(), known)
      return each && day ? day.ms + each.ms : undefined
    })
    return { times, dated: true }
  }
  const isClock = alone.some((each) => each?.clock)
  const times = (isClock ? unwrapped(alone) : alone).map((each) => each?.ms)
  return { times, dated: alone.find((each) => each !== undefined)?.dated ?? false }
}
