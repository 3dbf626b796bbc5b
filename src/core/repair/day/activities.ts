import type { Day } from '../../record/records/day'
import type { PlanPart } from '../plan/parts/planParts'
import type { PlanTask } from '../plan/planTasks'
import type { Activity } from '../schedule/model'
import type { Estimate } from '../schedule/spread'
import { type DayCalendar, minutesTo } from './calendar'

export type DayTask = Pick<
  PlanTask,
  | 'id'
  | 'label'
  | 'handsOn'
  | 'unattended'
  | 'machine'
  | 'after'
  | 'alongside'
  | 'opens'
  | 'flame'
  | 'refused'
  | 'from'
  | 'fails'
  | 'second'
>
/** What of a task its time plan depends on. */
export const dayTaskOf = ({
  id,
  label,
  handsOn,
  unattended,
  machine,
  after,
  alongside,
  opens,
  flame,
  refused,
  from,
  fails,
  second,
}: PlanTask): DayTask => ({
  id,
  label,
  handsOn,
  ...(unattended ? { unattended } : {}),
  ...(machine ? { machine } : {}),
  after,
  alongside,
  opens,
  flame,
  ...(refused ? { refused } : {}),
  from,
  ...(fails ? { fails } : {}),
  ...(second ? { second } : {}),
})

/** What of a part its time plan depends on. */
export const dayPartOf = ({ id, label, needs, arrives, struck }: PlanPart): DayPart => ({
  id,
  label,
  needs,
  ...(arrives ? { arrives } : {}),
  struck,
})

export type DayPart = Pick<PlanPart, 'id' | 'label' | 'needs' | 'arrives' | 'struck'>

/** What it waits for where tasks that are refused are taken out: what those waited for. */
function waitsFor(tasks: readonly DayTask[], ids: readonly string[]): string[] {
  return [
    ...new Set(
      ids.flatMap((id) => {
        const task = tasks.find((each) => each.id === id)
        return task?.refused ? waitsFor(tasks, task.after) : [id]
      }),
    ),
  ]
}

/** Tasks that a part holds up until it is in hand. */
function heldUp({ needs }: DayPart, tasks: readonly DayTask[]): readonly string[] {
  const own = needs.filter((id) => tasks.some((task) => task.id === id))
  return own.length > 0 ? own : ['partsIn']
}

/** The earliest minute of each task: where it was dragged to, and when its parts are in hand. */
function releases(tasks: readonly DayTask[], parts: readonly DayPart[], day: Day, calendar: DayCalendar) {
  const earliest = new Map<string, number>()
  const hold = (id: string, wall: string | undefined) => {
    const at = minutesTo(calendar, wall)
    if (at !== undefined && at > 0) earliest.set(id, Math.max(at, earliest.get(id) ?? 0))
  }
  for (const [id, wall] of Object.entries(day.notBefore ?? {})) hold(id, wall)
  for (const part of parts) if (!part.struck) for (const id of heldUp(part, tasks)) hold(id, part.arrives)
  return earliest
}

/** The tasks of a plan as activities, and what each may take. Refused ones are left out. */
export function activitiesOf(
  tasks: readonly DayTask[],
  parts: readonly DayPart[],
  day: Day,
  calendar: DayCalendar,
): {
  readonly activities: readonly Activity[]
  readonly estimates: readonly Estimate[]
  readonly done: readonly DayTask[]
} {
  const earliest = releases(tasks, parts, day, calendar)
  const done = tasks.filter(({ refused }) => !refused)
  const isHelped = (day.crew ?? 1) > 1
  const activities = done.map(
    ({ id, handsOn, unattended, machine, after, alongside, opens, second }): Activity => {
      const notBefore = earliest.get(id)
      const hands = Math.max(1, Math.round(handsOn[1]))
      return {
        id,
        handsOn: hands,
        ...(second && isHelped ? { second: Math.min(second, hands) } : {}),
        unattended: unattended?.[1] ?? 0,
        ...(machine ? { machine } : {}),
        after: waitsFor(tasks, after),
        ...(alongside.length > 0 ? { alongside: waitsFor(tasks, alongside) } : {}),
        ...(notBefore === undefined ? {} : { notBefore }),
        ...(opens ? { opening: 0 } : {}),
      }
    },
  )
  const estimates = done.map(({ handsOn, unattended, fails }): Estimate => ({
    handsOn,
    unattended,
    ...(fails?.chance && fails.minutes ? { again: { chance: fails.chance, minutes: fails.minutes } } : {}),
  }))
  return { activities, estimates, done }
}
