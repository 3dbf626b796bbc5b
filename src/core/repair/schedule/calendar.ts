import type { Activity, Problem, Stretch } from './model'

/** Working minutes and dry spells of a problem, looked up by minute. */
export type Calendar = {
  readonly horizon: number
  /** working minutes before each minute */
  readonly worked: Int32Array
  /** the minute in which each working minute lies */
  readonly minuteOf: Int32Array
  /** spells in which a circuit may stand open, in order */
  readonly dry: readonly Stretch[]
  /** stretches over which no work is left begun, and in which nothing runs unattended; in order */
  readonly closed: readonly Stretch[]
  readonly still: readonly Stretch[]
}

const inOrder = (all: readonly Stretch[]) => [...all].sort((a, b) => a.from - b.from)

/** What is left of a span when stretches are taken out of it. */
export function gapsOf(stretches: readonly Stretch[], horizon: number): Stretch[] {
  const gaps: Stretch[] = []
  let from = 0
  for (const stretch of inOrder(stretches)) {
    if (stretch.from > from) gaps.push({ from, to: Math.min(stretch.from, horizon) })
    from = Math.max(from, stretch.to)
  }
  if (from < horizon) gaps.push({ from, to: horizon })
  return gaps.filter(({ from: a, to }) => to > a)
}

/** The calendar of a problem. */
export function calendarOf({ idle, closed, shut, still, horizon }: Problem): Calendar {
  const works = new Uint8Array(horizon).fill(1)
  for (const { from, to } of [...idle, ...closed])
    works.fill(0, Math.max(0, from), Math.min(horizon, Math.max(0, to)))
  const worked = new Int32Array(horizon + 1)
  const minuteOf: number[] = []
  for (let minute = 0; minute < horizon; minute += 1) {
    worked[minute + 1] = worked[minute]! + works[minute]!
    if (works[minute]) minuteOf.push(minute)
  }
  return {
    horizon,
    worked,
    minuteOf: Int32Array.from(minuteOf),
    dry: gapsOf(shut, horizon),
    closed: inOrder(closed),
    still: inOrder(still),
  }
}

/** Past every plan: what cannot be placed ends here. */
export const NEVER = 1_000_000_000

/** The first working minute at or after a minute; NEVER past the horizon. */
function workFrom({ worked, minuteOf, horizon }: Calendar, minute: number): number {
  if (minute >= horizon) return NEVER
  return minuteOf[worked[minute]!] ?? NEVER
}

/** When a person who begins at a working minute has worked for some minutes; idle stretches lie between. */
function workedUntil({ worked, minuteOf }: Calendar, start: number, minutes: number): number {
  const last = minuteOf[worked[start]! + minutes - 1]
  return last === undefined ? NEVER : last + 1
}

/** The latest working minute from which some minutes of work are done by a minute; negative where there is none. */
export function workBackFrom(
  { worked, minuteOf, horizon }: Calendar,
  until: number,
  minutes: number,
): number {
  const done = worked[Math.max(0, Math.min(until, horizon))]!
  return done < minutes ? -1 : minuteOf[done - minutes]!
}

/** The end of the first stretch that a span meets; undefined where it meets none. */
const metBy = (all: readonly Stretch[], from: number, to: number): number | undefined =>
  all.find((each) => each.from < to && each.to > from)?.to

/** Where an activity lies: hands on from the start, unattended to the end; a second person helps until `helpOff`. */
export type Fit = {
  readonly start: number
  /** its start where nobody helps */
  readonly helpOff: number
  readonly handsOff: number
  readonly end: number
}

/** Latest start from which the hands are off at or after a minute. */
function startFor(calendar: Calendar, handsOff: number, minutes: number, after: number): number {
  const back = workBackFrom(calendar, handsOff, minutes)
  let start = Math.max(after, back)
  for (;;) {
    start = workFrom(calendar, start)
    if (start === NEVER || workedUntil(calendar, start, minutes) >= handsOff) return start
    start += 1
  }
}

/** The first place at or after a minute that the calendar allows; undefined where the horizon ends before. */
export function fitFrom(
  calendar: Calendar,
  { handsOn, unattended, second = 0 }: Activity,
  minute: number,
): Fit | undefined {
  let start = workFrom(calendar, minute)
  for (;;) {
    if (start === NEVER) return undefined
    const handsOff = workedUntil(calendar, start, handsOn)
    if (handsOff === NEVER) return undefined
    const reopens = metBy(calendar.closed, start, handsOff)
    if (reopens !== undefined) {
      start = workFrom(calendar, reopens)
      continue
    }
    const until = unattended > 0 ? metBy(calendar.still, handsOff, handsOff + unattended) : undefined
    const end = handsOff + unattended
    const helpOff = second > 0 ? workedUntil(calendar, start, second) : start
    if (until === undefined) return end > calendar.horizon ? undefined : { start, helpOff, handsOff, end }
    start = startFor(calendar, until, handsOn, start + 1)
  }
}
