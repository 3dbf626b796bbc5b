import type { Minutes } from '../schedule/model'
import type { Day } from '../../record/records/day'
import type { TaskRole } from './tasks/row'
import { type TaskId, taskRow } from './tasks/tasks'

/** How hard it is to reach the unit: which part of its three points a task takes. */
type Ease = NonNullable<Day['access']>

/** A share of the way from one minute to another. */
const between = (from: number, to: number, share: number) => Math.round(from + (to - from) * share)

type Points = (minutes: Minutes) => Minutes

/** Half of the days take less than the table's likely figure, half take more; its upper part is what is hard. */
const evenly: Points = ([low, likely, high]) => [low, likely, Math.min(2 * likely - low, high)]

/** Points of a place. [practice] Easy: nothing in the way; hard: roof, crawl space, no helper. */
const PLACE_POINTS: Readonly<Record<Ease, Points>> = {
  easy: ([low, likely]) => [low, between(low, likely, 0.3), likely],
  usual: evenly,
  hard: ([, likely, high]) => [likely, between(likely, high, 0.5), high],
}
/** Points of the work itself. [practice] The upper part of the table is bad access, short hoses, cores that stay in. */
const WORK_POINTS: Readonly<Record<Ease, Points>> = {
  easy: ([low, likely, high]) => [low, between(low, likely, 0.75), between(likely, high, 0.35)],
  usual: evenly,
  hard: ([low, likely, high]) => [between(low, likely, 0.5), likely, high],
}
const scaled = ([low, likely, high]: Minutes, factor: number): Minutes => [
  Math.max(1, Math.round(low * factor)),
  Math.max(1, Math.round(likely * factor)),
  Math.max(1, Math.round(high * factor)),
]

export type TaskMinutes = {
  readonly handsOn: Minutes
  readonly unattended?: Minutes
  /** where the figures come from: the table, earlier jobs on this machine, or typed for this job */
  readonly from: 'table' | 'earlier' | 'typed'
}

type Timing = Pick<Day, 'access' | 'minutes' | 'earlier'>

/** What fills or empties a volume: quick where only a part of the circuit was isolated. [practice] */
const PART_POINTS: Points = ([low, likely, high]) => [
  low,
  between(low, likely, 0.25),
  between(likely, high, 0.25),
]

/**
 * Minutes of a task on this job: the table, moved by the place and by earlier jobs, or as typed.
 * @param isPart only a part of the circuit is emptied, tested and evacuated
 */
export function minutesOf(
  id: TaskId,
  { access = 'usual', minutes, earlier }: Timing,
  isPart = false,
): TaskMinutes {
  const row = taskRow(id)
  const goesBy = (role: TaskRole) => row.roles.includes(role)
  const ease = goesBy('time-fixed') ? WORK_POINTS.usual : WORK_POINTS[access]
  const quick: Points = isPart && goesBy('time-by-volume') ? PART_POINTS : (each) => each
  const rest = row.unattended ? { unattended: quick(ease(row.unattended)) } : {}
  const typed = minutes?.[id]
  if (typed) return { handsOn: typed, ...rest, from: 'typed' }
  const points = (goesBy('time-by-place') ? PLACE_POINTS : WORK_POINTS)[access]
  const own = points(row.handsOn)
  const learned = earlier?.[id]
  return learned
    ? { handsOn: scaled(own, learned.factor), ...rest, from: 'earlier' }
    : { handsOn: own, ...rest, from: 'table' }
}
