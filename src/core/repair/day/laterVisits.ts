import { MINUTES_A_DAY, wallText } from '../../base/units/wall'
import type { PlannedDay } from '../plan/plannedDay'
import type { Effort } from '../schedule/solve'
import type { DayTask } from './activities'
import { planWork, type WorkDay } from './workDay'

/** A visit that opens the circuit again some hours after the first start. */
export type DayReturn = {
  readonly hours: number
  readonly sentence: string
  readonly tasks: readonly DayTask[]
}

/** The same in time; minutes from the first one of the plan, undefined where it has no room. */
export type LaterVisit = Pick<DayReturn, 'hours' | 'sentence'> & {
  readonly from: number | undefined
  readonly likely: number | undefined
  readonly p90: number | undefined
  readonly handsOn: number
  readonly tasks: readonly string[]
}

/** What is searched of it: its tasks are nearly a chain. */
const EFFORT: Effort = { moves: 100, states: 1000 }
const MINUTES_AN_HOUR = 60

/**
 * A later visit in the hours of the site: from the first minute at which its hours have passed, or from the next morning where
 * that day does not hold it. Deliveries and pins of the first day are not its own.
 * @param plan of the first start; it must have one
 */
export function laterVisit(
  { hours, sentence, tasks }: DayReturn,
  day: PlannedDay,
  { calendar: { origin }, running }: Pick<WorkDay, 'calendar' | 'running'>,
): LaterVisit {
  const { deadline: _none, notBefore: _pins, wetFrom: _wet, until: _until, goodsUntil: _goods, ...same } = day
  const plannedFrom = (wall: number) => ({
    shift: wall - origin,
    plan: planWork({ tasks, parts: [], day: { ...same, start: wallText(wall) } }, EFFORT),
  })
  const due = origin + (running?.likely ?? 0) + hours * MINUTES_AN_HOUR
  const first = plannedFrom(due)
  const midnight = (Math.floor(due / MINUTES_A_DAY) + 1) * MINUTES_A_DAY
  const [visit, ...more] = first.plan.visits
  const isThatDay = visit !== undefined && more.length === 0 && due + visit.from < midnight
  const { plan, shift } = isThatDay ? first : plannedFrom(midnight)
  const at = (minute: number | undefined) => (minute === undefined ? undefined : shift + minute)
  return {
    hours,
    sentence,
    from: at(plan.visits[0]?.from),
    likely: at(plan.p50 ?? plan.finish),
    p90: at(plan.p90),
    handsOn: plan.handsOn,
    tasks: tasks.map(({ id }) => id),
  }
}
