import { createEvents, type DateArray, type EventAttributes } from 'ics'
import { wallText } from '../../base/units/wall'
import type { DayPlan } from './planDay'

type Given = {
  readonly title: string
  readonly place: string | undefined
  readonly day: DayPlan
}

const partsOf = (wall: string): DateArray => [
  Number(wall.slice(0, 4)),
  Number(wall.slice(5, 7)),
  Number(wall.slice(8, 10)),
  Number(wall.slice(11, 13)),
  Number(wall.slice(14, 16)),
]

/** Stays the same for the same visit, so that a calendar replaces it when the day was planned anew. */
const uidOf = (title: string, name: string) =>
  `${`${title}-${name}`.toLowerCase().replace(/[^a-z0-9]+/g, '-')}@orzo.local`

/**
 * The visits as a calendar file (RFC 5545), by the clock on the wall of the site, without a zone.
 * @returns the text, or why there is none
 */
export function calendarFile({
  title,
  place,
  day,
}: Given): { readonly ok: true; readonly text: string } | { readonly ok: false; readonly reason: string } {
  const { calendar, visits, rows, later, problem } = day
  if (!calendar.isDated) return { ok: false, reason: 'No day is set: type when the work starts.' }
  if (problem || visits.length === 0) return { ok: false, reason: problem ?? 'There is nothing to do.' }
  const at = (minute: number) => partsOf(wallText(calendar.origin + minute))
  const common = {
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local',
    productId: 'orzo',
    calName: title,
    ...(place ? { location: place } : {}),
  } as const
  const work = visits.map(({ from, to, tasks }, i): EventAttributes => ({
    ...common,
    uid: uidOf(title, `visit-${i + 1}`),
    title: visits.length > 1 ? `${title}, visit ${i + 1} of ${visits.length}` : title,
    start: at(from),
    end: at(to),
    description: rows
      .filter(({ id }) => tasks.includes(id))
      .sort((a, b) => a.start - b.start)
      .map(({ start, label }) => `${wallText(calendar.origin + start).slice(11)} ${label}`)
      .join('\n'),
  }))
  const returns = later.flatMap(({ hours, sentence, from, likely }): EventAttributes[] =>
    from === undefined || likely === undefined
      ? []
      : [
          {
            ...common,
            uid: uidOf(title, `return-${hours}-h`),
            title: `${title}: ${sentence}`,
            start: at(from),
            end: at(likely),
          },
        ],
  )
  const { error, value } = createEvents([...work, ...returns])
  return typeof value !== 'string' || error
    ? { ok: false, reason: 'The calendar file could not be written: look at title and times.' }
    : { ok: true, text: value }
}
