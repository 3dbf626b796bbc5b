import { clockMinutes, MINUTES_A_DAY, wallMinutes } from '../../base/units/wall'
import type { Day } from '../../record/records/day'
import type { PlannedDay } from '../plan/plannedDay'
import type { Stretch } from '../schedule/model'

/** [practice] hours in which one works where nothing was said. */
export const USUAL_HOURS = { opensAt: '07:00', closesAt: '18:00', start: '08:00' } as const
/** Days that are looked at. */
const DAYS_AHEAD = 7
/** [practice] gear carried up again on a later day, minutes. */
const AGAIN = 20
/** A day without a date: any will do. */
const NO_DATE = '2001-01-01'

/** Minutes of a plan counted from its first one, and what stands in its way. */
export type DayCalendar = {
  /** wall clock of minute 0, minutes since 1970 */
  readonly origin: number
  /** the start was typed: rain and deliveries have a meaning */
  readonly isDated: boolean
  readonly horizon: number
  readonly nights: readonly Stretch[]
  readonly breaks: readonly Stretch[]
  readonly rain: readonly Stretch[]
  readonly shut: readonly Stretch[]
  readonly still: readonly Stretch[]
}

/** Stretches in order, those that touch as one. */
function joined(all: readonly Stretch[]): Stretch[] {
  const out: Stretch[] = []
  for (const each of [...all].sort((a, b) => a.from - b.from)) {
    const last = out.at(-1)
    if (last && each.from <= last.to)
      out[out.length - 1] = { from: last.from, to: Math.max(last.to, each.to) }
    else out.push(each)
  }
  return out
}

const later = (a: string, b: string | undefined) => (b !== undefined && b > a ? b : a)
const earlier = (a: string, b: string | undefined) => (b !== undefined && b < a ? b : a)

/** Hours of a working day: the building's, as far as there is light. */
function hoursOf({ opensAt, closesAt, lightFrom, lightTo }: Day): Stretch {
  return {
    from: clockMinutes(later(opensAt ?? USUAL_HOURS.opensAt, lightFrom)),
    to: clockMinutes(earlier(closesAt ?? USUAL_HOURS.closesAt, lightTo)),
  }
}

const within = (all: readonly Stretch[], horizon: number): Stretch[] =>
  all
    .map(({ from, to }) => ({ from: Math.max(0, from), to: Math.min(horizon, to) }))
    .filter(({ from, to }) => to > from)

/** From a clock time of the first day to its end. */
const restOfFirst = (clock: string | undefined, midnight: number): Stretch[] =>
  clock === undefined ? [] : [{ from: midnight + clockMinutes(clock), to: midnight + MINUTES_A_DAY }]

/** The calendar of a day's plan. Days after the first begin with the way up again. */
export function dayCalendar(day: PlannedDay): DayCalendar {
  const isDated = day.start !== undefined
  const origin = wallMinutes(day.start ?? `${NO_DATE}T${USUAL_HOURS.start}`)!
  const midnight = origin - (origin % MINUTES_A_DAY) - origin
  const horizon = DAYS_AHEAD * MINUTES_A_DAY
  const hours = hoursOf(day)
  const days = Array.from({ length: DAYS_AHEAD + 2 }, (_x, i) => midnight + i * MINUTES_A_DAY)
  const nights = joined(
    within(
      [
        ...days.flatMap((from, i): Stretch[] => [
          { from, to: from + hours.from + (i > 0 ? AGAIN : 0) },
          { from: from + Math.max(hours.from, hours.to), to: from + MINUTES_A_DAY },
        ]),
        ...restOfFirst(day.until, midnight),
      ],
      horizon,
    ),
  )
  const breaks = within(
    days.flatMap((from) =>
      (day.breaks ?? []).map((each) => ({
        from: from + clockMinutes(each.from),
        to: from + clockMinutes(each.to),
      })),
    ),
    horizon,
  )
  const forecast = isDated
    ? (day.rain ?? []).map(({ from, to }) => ({
        from: wallMinutes(from)! - origin,
        to: wallMinutes(to)! - origin,
      }))
    : []
  const rain = within([...forecast, ...restOfFirst(day.wetFrom, midnight)], horizon)
  return {
    origin,
    isDated,
    horizon,
    nights,
    breaks,
    rain,
    shut: [...nights, ...rain],
    still: day.leaveRunning ? [] : nights,
  }
}

/** Minutes from the first one to a time of day: of the first day, or of the next where that has passed. */
export function minutesToClock({ origin }: DayCalendar, clock: string): number {
  const at = clockMinutes(clock) - (origin % MINUTES_A_DAY)
  return at > 0 ? at : at + MINUTES_A_DAY
}

/** Minutes from the first one to a moment of the wall clock; undefined where the plan has no date. */
export const minutesTo = ({ origin, isDated }: DayCalendar, wall: string | undefined): number | undefined => {
  const at = wallMinutes(wall)
  return at === undefined || !isDated ? undefined : at - origin
}
