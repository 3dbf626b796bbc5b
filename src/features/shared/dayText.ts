import type { LaterVisit } from '@/core/repair/day/laterVisits'
import type { DayPlan } from '@/core/repair/day/planDay'
import { daysOn, momentAt, timeAt } from '@/ui/timeplan/layout'
import { durationText } from '@/core/base/units/wall'

/** How long until a minute of the plan on its first day; on another one its day and time, as a night between says nothing. */
export const doneText = (day: DayPlan, minute: number): string =>
  daysOn(day, minute) > 0 ? momentAt(day, minute) : durationText(minute)

/** When a later visit begins and ends. */
export function laterText(day: DayPlan, { from, likely, p90 }: LaterVisit): string {
  if (from === undefined || likely === undefined) return 'no room in the days looked at'
  const safe = p90 === undefined ? '' : `, 90 % likely by ${timeAt(day, p90)}`
  return `${momentAt(day, from)} to ${timeAt(day, likely)}${safe}`
}

/** The day in a few lines for the office. */
export function officeText(title: string, day: DayPlan): string {
  const { finish, p50, p90, running, open, visits, later, problem } = day
  if (problem || finish === undefined) return `${title}: no time can be given. ${problem ?? ''}`
  const likely = p50 ?? finish
  return [
    `${title}, where nothing runs over: ${visits.map((visit) => `${momentAt(day, visit.from)} to ${timeAt(day, visit.to)}`).join('; ')}.`,
    `Done likely ${momentAt(day, likely)}${p90 === undefined ? ', 90 % likely: not within a week' : `, 90 % likely by ${momentAt(day, p90)}`}.`,
    ...(running
      ? [
          `The unit runs again about ${momentAt(day, running.likely)}${running.p90 === undefined ? '' : `, 90 % likely by ${momentAt(day, running.p90)}`}.`,
        ]
      : []),
    ...(open ? [`Circuit open ${momentAt(day, open.from)} to ${timeAt(day, open.to)}.`] : []),
    ...later.map((visit) => `Later visit: ${laterText(day, visit)}, ${visit.sentence}.`),
  ].join('\n')
}
