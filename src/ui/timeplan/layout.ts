import { format } from 'date-fns'
import { orderOf } from '@/core/repair/day/order'
import type { DayPlan } from '@/core/repair/day/planDay'
import type { DayRow, Visit } from '@/core/repair/day/workDay'
import type { Stretch } from '@/core/repair/schedule/model'
import { clockOf, MINUTES_A_DAY, wallText } from '@/core/base/units/wall'

/** One bar: hands on, or what a machine does with hands and unattended. */
export type Bar = {
  readonly id: string
  readonly number: number
  readonly from: number
  readonly to: number
  /** nobody stands by: drawn hatched */
  readonly isAlone: boolean
  /** somebody helps another: told with the bar of who does it */
  readonly isHelp?: true
}

/** A person or a machine with what it does. */
export type Lane = {
  readonly name: string
  readonly kind: 'person' | 'machine'
  readonly bars: readonly Bar[]
}

/** One visit as it is drawn. */
export type Strip = {
  readonly title: string
  readonly from: number
  readonly to: number
  readonly lanes: readonly Lane[]
  readonly open: Stretch | undefined
  readonly rain: readonly Stretch[]
  readonly breaks: readonly Stretch[]
  readonly nights: readonly Stretch[]
  readonly ticks: readonly number[]
}

const QUARTER = 15
/** Minutes between two marks of the clock, by how long the strip is. */
const STEPS = [15, 30, 60, 120, 240] as const
const MOST_TICKS = 9

const down = (minute: number, step: number) => Math.floor(minute / step) * step
const up = (minute: number, step: number) => Math.ceil(minute / step) * step

/** Marks of the clock at whole steps of the wall. */
function ticksOf(from: number, to: number, origin: number): number[] {
  const step = STEPS.find((each) => (to - from) / each <= MOST_TICKS) ?? STEPS.at(-1)!
  const first = up(origin + from, step) - origin
  return Array.from({ length: Math.floor((to - first) / step) + 1 }, (_x, i) => first + i * step)
}

const cut = (all: readonly Stretch[], from: number, to: number): Stretch[] =>
  all
    .map((each) => ({ from: Math.max(from, each.from), to: Math.min(to, each.to) }))
    .filter((each) => each.to > each.from)

const handBar = (row: DayRow, number: number): Bar => ({
  id: row.id,
  number,
  from: row.start,
  to: row.handsOff,
  isAlone: false,
})

function machineBars(row: DayRow, number: number): Bar[] {
  const alone: Bar = { id: row.id, number, from: row.handsOff, to: row.end, isAlone: true }
  return [handBar(row, number), ...(row.end > row.handsOff ? [alone] : [])]
}

/** Who helps lifts from its start. */
const helpBar = (row: DayRow, number: number, until: number): Bar => ({
  ...handBar(row, number),
  to: until,
  isHelp: true,
})

/** Somebody who is not on site for the rest of the day. */
const HELP_WANTED = 'second person'

/** What runs unattended without one of the machines: a watch, a settling unit. */
const UNATTENDED = 'unattended'

function lanesOf(rows: readonly DayRow[], numbers: ReadonlyMap<string, number>, people: number): Lane[] {
  const numberOf = ({ id }: DayRow) => numbers.get(id) ?? 0
  const persons = Array.from({ length: people }, (_x, person): Lane => ({
    name: people === 1 ? 'hands-on' : `person ${person + 1}`,
    kind: 'person',
    bars: rows.flatMap((row) => [
      ...(row.person === person ? [handBar(row, numberOf(row))] : []),
      ...(row.helper?.person === person ? [helpBar(row, numberOf(row), row.helper.until)] : []),
    ]),
  }))
  const wanted = rows.flatMap((row) =>
    row.helpWanted ? [helpBar(row, numberOf(row), row.helpWanted.to)] : [],
  )
  const called: Lane[] = wanted.length > 0 ? [{ name: HELP_WANTED, kind: 'machine', bars: wanted }] : []
  const machines = [...new Set(rows.flatMap(({ machine }) => machine ?? []))].map((machine): Lane => ({
    name: machine,
    kind: 'machine',
    bars: rows.filter((row) => row.machine === machine).flatMap((row) => machineBars(row, numberOf(row))),
  }))
  const alone = rows.filter((row) => !row.machine && row.end > row.handsOff)
  const rest: Lane = {
    name: UNATTENDED,
    kind: 'machine',
    bars: alone.flatMap((row) => machineBars(row, numberOf(row)).filter(({ isAlone }) => isAlone)),
  }
  return [...persons, ...called, ...machines, ...(alone.length > 0 ? [rest] : [])]
}

/** Tasks in the order in which they begin, from 1: the same numbers in drawing and list. */
export const numbersOf = (rows: readonly DayRow[]): Map<string, number> =>
  new Map(orderOf(rows).map((id, i) => [id, i + 1]))

/** "Fri 27 Nov" of a wall clock. */
export const dayText = (wall: string): string => format(new Date(wall), 'EEE d MMM')
/** "Fri 27 Nov, 09:35" of a wall clock. */
export const wallWords = (wall: string): string => `${dayText(wall)}, ${clockOf(wall)}`

/** The time of day at a minute of the plan: "09:35". */
export const timeAt = ({ calendar }: Pick<DayPlan, 'calendar'>, minute: number): string =>
  clockOf(wallText(calendar.origin + minute))

/** Calendar days between the first minute of the plan and another: 0 on the first day. */
export const daysOn = ({ calendar: { origin } }: Pick<DayPlan, 'calendar'>, minute: number): number =>
  Math.floor((origin + minute) / MINUTES_A_DAY) - Math.floor(origin / MINUTES_A_DAY)

/** The day at a minute of the plan: "Fri 27 Nov", or "day 2" while the plan has no date. */
export const dayAt = (day: Pick<DayPlan, 'calendar'>, minute: number): string =>
  day.calendar.isDated ? dayText(wallText(day.calendar.origin + minute)) : `day ${daysOn(day, minute) + 1}`

/** Day and time at a minute of the plan; the time alone on the first day of a plan without a date. */
export const momentAt = (day: Pick<DayPlan, 'calendar'>, minute: number): string =>
  day.calendar.isDated || daysOn(day, minute) > 0
    ? `${dayAt(day, minute)}, ${timeAt(day, minute)}`
    : timeAt(day, minute)

/** One visit as a strip of lanes. */
export function stripOf(day: DayPlan, visit: Visit): Strip {
  const { calendar, rows, open } = day
  const own = rows.filter(({ id }) => visit.tasks.includes(id))
  const last = Math.max(visit.to, ...own.map(({ end }) => Math.min(end, visit.to + 240)))
  const from = down(calendar.origin + visit.from, QUARTER) - calendar.origin
  const to = up(calendar.origin + last + 1, QUARTER) - calendar.origin
  const [openHere] = open ? cut([open], from, to) : []
  return {
    title: dayAt(day, visit.from),
    from,
    to,
    lanes: lanesOf(own, numbersOf(rows), day.people),
    open: openHere,
    rain: cut(calendar.rain, from, to),
    breaks: cut(calendar.breaks, from, to),
    nights: cut(calendar.nights, from, to),
    ticks: ticksOf(from, to, calendar.origin),
  }
}
