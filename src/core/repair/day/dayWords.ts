import { clockMinutes, durationText, MINUTES_A_DAY, wallText } from '../../base/units/wall'
import type { PlannedDay } from '../plan/plannedDay'
import type { Stretch } from '../schedule/model'
import type { DayCalendar } from './calendar'

const clockOf = ({ origin }: DayCalendar, minute: number) => wallText(origin + minute).slice(11)
const spanOf = (calendar: DayCalendar, { from, to }: Stretch) =>
  `${clockOf(calendar, from)} to ${clockOf(calendar, to)}`

const STORMS = { 'storm-expected': 'Storm', 'rain-expected': 'Rain' } as const
const isWet = (weather: PlannedDay['weather']): weather is keyof typeof STORMS =>
  weather !== undefined && Object.hasOwn(STORMS, weather)

/** Rain of which the hour is known: the circuit is closed before it, or opened after it. */
function wetWords(clock: string, name: string, calendar: DayCalendar, open: Stretch | undefined): string {
  // of the first day, even where it has passed: that day stays wet to its end
  const at = clockMinutes(clock) - (calendar.origin % MINUTES_A_DAY)
  const said = `${name} from ${clock}, said on arrival`
  if (!open) return `${said}: the circuit stays closed.`
  return open.to <= at
    ? `${said}: the circuit is open ${spanOf(calendar, open)}, closed ${durationText(at - open.to)} before it.`
    : `${said}: the open work does not fit before it, so it is opened after it.`
}

/** Rain is expected and nobody said when: the plan cannot keep clear of it. */
const unknownHour = (name: string, calendar: DayCalendar, open: Stretch) =>
  `△ ${name} expected and no hour is known: the circuit is open ${spanOf(calendar, open)}. Enter the hour under Arrive, or the rain under Hours, weather.`

/** What was said on arrival of weather and hours, and what it does to the day. */
export function dayWords(day: PlannedDay, calendar: DayCalendar, open: Stretch | undefined): string[] {
  const { weather, wetFrom, until, rain = [] } = day
  const words: string[] = []
  if (isWet(weather)) {
    if (wetFrom !== undefined) words.push(wetWords(wetFrom, STORMS[weather], calendar, open))
    else if (open && rain.length === 0) words.push(unknownHour(STORMS[weather], calendar, open))
    if (weather === 'storm-expected') words.push('Lightning: nobody works on the roof while it is near.')
  }
  if (weather === 'humid' && open)
    words.push('Humid air, said on arrival: stubs plugged, nitrogen from the fit-up on.')
  if (until !== undefined) words.push(`Work ends at ${until} on the first day, said on arrival.`)
  return words
}
