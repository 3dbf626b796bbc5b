import { type Calendar, calendarOf } from './calendar'
import { type Activity, MACHINES, type Problem } from './model'

/** A problem with its names turned into numbers. */
export type Network = {
  readonly calendar: Calendar
  readonly people: number
  readonly activities: readonly Activity[]
  readonly size: number
  /** what each waits for: until it is over, until it runs unattended */
  readonly after: readonly (readonly number[])[]
  readonly alongside: readonly (readonly number[])[]
  /** what waits for each, either way */
  readonly followers: readonly (readonly number[])[]
  /** number of its machine, -1 for none */
  readonly machine: readonly number[]
  readonly notBefore: readonly number[]
  /** over by then */
  readonly dueBy: readonly number[]
  /** number of its opening, -1 for none */
  readonly opening: readonly number[]
  readonly openings: number
}

/**
 * Numbers the activities of a problem.
 * @throws RangeError where one waits for something that does not stand before it
 */
export function networkOf(problem: Problem): Network {
  const { activities, people } = problem
  const place = new Map(activities.map(({ id }, i) => [id, i]))
  const before = (ids: readonly string[] = [], own: number) =>
    ids.map((id) => {
      const at = place.get(id)
      if (at === undefined || at >= own)
        throw new RangeError(`${id} does not stand before ${activities[own]!.id}`)
      return at
    })
  const after = activities.map((each, i) => before(each.after, i))
  const alongside = activities.map((each, i) => before(each.alongside, i))
  const followers: number[][] = activities.map(() => [])
  activities.forEach((_each, i) => {
    for (const earlier of [...after[i]!, ...alongside[i]!]) followers[earlier]!.push(i)
  })
  const opening = activities.map((each) => each.opening ?? -1)
  return {
    calendar: calendarOf(problem),
    people,
    activities,
    size: activities.length,
    after,
    alongside,
    followers,
    machine: activities.map(({ machine }) => (machine ? MACHINES.indexOf(machine) : -1)),
    notBefore: activities.map(({ notBefore = 0 }) => Math.max(0, notBefore)),
    dueBy: activities.map(() => problem.horizon),
    opening,
    openings: Math.max(-1, ...opening) + 1,
  }
}
