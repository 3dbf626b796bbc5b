import { durationText, MINUTES_A_DAY } from '../../base/units/wall'
import type { Day } from '../../record/records/day'
import type { PlannedDay } from '../plan/plannedDay'
import { gapsOf, NEVER } from '../schedule/calendar'
import type { Placed, Problem, Stretch } from '../schedule/model'
import { type Effort, type Solution, solve, USUAL_EFFORT } from '../schedule/solve'
import { type Percentiles, type Spread, spreadOf } from '../schedule/spread'
import { activitiesOf, type DayPart, type DayTask } from './activities'
import { type DayCalendar, dayCalendar, minutesTo, minutesToClock } from './calendar'
import { dayWords } from './dayWords'

/** One task in the time plan, minutes from the first one. */
export type DayRow = Placed &
  Pick<DayTask, 'id' | 'label' | 'opens' | 'flame' | 'machine'> & {
    readonly ends: Percentiles
    /** when somebody must come to help, as one alone was planned for */
    readonly helpWanted?: Stretch
  }

/** A time on site: from the first minute hands-on to the last. */
export type Visit = Stretch & { readonly tasks: readonly string[] }

/** A moment that must not be passed, and how far the plan stays from it; negative minutes are past it. */
type Deadline = {
  readonly at: number
  readonly of: 'space' | 'goods'
  readonly marginLikely: number
  readonly marginSafe: number | undefined
}

/** The work of one opening, planned: what is done when. */
export type WorkDay = {
  readonly calendar: DayCalendar
  readonly people: number
  readonly rows: readonly DayRow[]
  /** minutes from the first one; undefined where the work has no room in the days looked at */
  readonly finish: number | undefined
  /** no plan ends before it */
  readonly bound: number | undefined
  readonly isProven: boolean
  /** half and nine in ten of the drawn days; undefined where so many do not end in the days looked at */
  readonly p50: number | undefined
  readonly p90: number | undefined
  /** when the unit runs again */
  readonly running: { readonly likely: number; readonly p90: number | undefined } | undefined
  readonly open: Stretch | undefined
  readonly visits: readonly Visit[]
  readonly deadline: Deadline | undefined
  /** minutes hands-on, and of what runs unattended */
  readonly handsOn: number
  readonly unattended: number
  /** why there is no plan, and what would make room */
  readonly problem: string | undefined
  /** pins that the work could not keep any earlier, by what they wait for */
  readonly refused: readonly string[]
  /** what was said on arrival of weather and hours, and what it does to the day */
  readonly words: readonly string[]
}

/** What is done, what must be in hand, and the day. */
export type WorkQuestion = {
  readonly tasks: readonly DayTask[]
  readonly parts: readonly DayPart[]
  readonly day: PlannedDay
}

const known = (minute: number): number | undefined => (minute >= NEVER ? undefined : minute)
const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0)

/** From the first opened joint to the last closed one. */
function openSpan(rows: readonly DayRow[]): Stretch | undefined {
  const open = rows.filter(({ opens }) => opens)
  if (open.length === 0) return undefined
  return { from: Math.min(...open.map(({ start }) => start)), to: Math.max(...open.map(({ end }) => end)) }
}

function visitsOf(rows: readonly DayRow[], { origin }: DayCalendar): Visit[] {
  const dayOf = (minute: number) => Math.floor((origin + minute) / MINUTES_A_DAY)
  const days = [...new Set(rows.map(({ start }) => dayOf(start)))].sort((a, b) => a - b)
  return days.map((day) => {
    const own = rows.filter(({ start }) => dayOf(start) === day)
    const midnight = (day + 1) * MINUTES_A_DAY - origin
    return {
      from: Math.min(...own.map(({ start }) => start)),
      to: Math.min(midnight, Math.max(...own.map(({ handsOff }) => handsOff))),
      tasks: own.map(({ id }) => id),
    }
  })
}

/** Work that is open, end to end, at its likely times. */
const openWork = ({ activities }: Problem) =>
  sum(
    activities
      .filter(({ opening }) => opening !== undefined)
      .map(({ handsOn, unattended }) => handsOn + unattended),
  )

/** Why the work has no room: what would have to give way, tried one after another. */
function problemOf(problem: Problem, calendar: DayCalendar): string {
  const fits = (other: Partial<Problem>) =>
    solve({ ...problem, ...other }, { moves: 50, states: 500 }).placed !== undefined
  const opened = durationText(openWork(problem))
  const longest = Math.max(0, ...gapsOf(calendar.nights, calendar.horizon).map(({ from, to }) => to - from))
  if (openWork(problem) > longest * problem.people)
    return `The open work of about ${opened} is longer than a working day: bring a second person, or lengthen the hours.`
  if (calendar.rain.length > 0 && fits({ shut: calendar.nights }))
    return `No dry spell is long enough: the circuit is open for about ${opened}. Move the day, bring a second person, or put a roof over it.`
  if (fits({ still: [] }))
    return 'What runs unattended does not end before the building closes: let machines run on over night, or begin in the morning.'
  if (fits({ activities: problem.activities.map(({ notBefore: _none, ...each }) => each) }))
    return 'A delivery or a moved task comes later than the days looked at: take it back, or move the day.'
  return 'The work has no room in the hours of the building and the light: lengthen them.'
}

function deadlineOf(
  day: PlannedDay,
  calendar: DayCalendar,
  running: WorkDay['running'],
): Deadline | undefined {
  const said = day.goodsUntil === undefined ? undefined : minutesToClock(calendar, day.goodsUntil)
  const at = minutesTo(calendar, day.deadline) ?? said
  if (at === undefined || !running) return undefined
  return {
    at,
    of: day.deadlineOf ?? 'space',
    marginLikely: at - running.likely,
    marginSafe: running.p90 === undefined ? undefined : at - running.p90,
  }
}

const NO_ROWS = {
  rows: [],
  p50: undefined,
  p90: undefined,
  running: undefined,
  open: undefined,
  visits: [],
  deadline: undefined,
  refused: [],
  words: [],
} as const

/** Pins that lie before what the task waits for: the work keeps its order. */
const refusedPins = (rows: readonly DayRow[], day: Day, calendar: DayCalendar): string[] =>
  Object.entries(day.notBefore ?? {}).flatMap(([id, wall]) => {
    const at = minutesTo(calendar, wall)
    const row = rows.find((each) => each.id === id)
    return at !== undefined && row && row.start > at ? [id] : []
  })

/**
 * The time plan of a day or several: least finishing time for the people there are, each machine once, in the hours, weather
 * and deliveries given; half and nine in ten of drawn days.
 * @param effort how long is searched for a better one
 */
export function planWork({ tasks, parts, day }: WorkQuestion, effort: Effort = USUAL_EFFORT): WorkDay {
  const calendar = dayCalendar(day)
  const { activities, estimates, done } = activitiesOf(tasks, parts, day, calendar)
  const { breaks, nights, shut, still, horizon } = calendar
  const problem: Problem = {
    activities,
    people: day.crew ?? 1,
    idle: breaks,
    closed: nights,
    shut,
    still,
    horizon,
  }
  const solution = solve(problem, effort)
  const base = {
    calendar,
    people: problem.people,
    finish: known(solution.finish),
    bound: known(solution.bound),
    isProven: solution.isProven,
    handsOn: sum(activities.map((each) => each.handsOn)),
    unattended: sum(activities.map((each) => each.unattended)),
  }
  if (!solution.placed) return { ...base, ...NO_ROWS, problem: problemOf(problem, calendar) }
  const spread = spreadOf(problem, estimates, solution.placed)
  const rows = rowsOf(done, solution, spread, problem.people)
  const open = openSpan(rows)
  const start = rows.find(({ id }) => id === 'settle')
  const running = start && { likely: known(start.ends.p50) ?? start.end, p90: known(start.ends.p90) }
  return {
    ...base,
    rows,
    p50: known(spread.finish.p50),
    p90: known(spread.finish.p90),
    running,
    open,
    words: dayWords(day, calendar, open),
    visits: visitsOf(rows, calendar),
    deadline: deadlineOf(day, calendar, running),
    problem: undefined,
    refused: refusedPins(rows, day, calendar),
  }
}

const rowsOf = (done: readonly DayTask[], { placed }: Solution, { ends }: Spread, people: number): DayRow[] =>
  done.map(({ id, label, opens, flame, machine, second }, i) => {
    const { start, handsOff } = placed![i]!
    return {
      ...placed![i]!,
      id,
      label,
      opens,
      flame,
      ...(machine ? { machine } : {}),
      ends: ends[i]!,
      ...(second && people === 1
        ? { helpWanted: { from: start, to: Math.min(handsOff, start + second) } }
        : {}),
    }
  })
