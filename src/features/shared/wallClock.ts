import { addDays, format } from 'date-fns'
import { USUAL_HOURS } from '@/core/repair/day/calendar'
import { systemClock } from '@/data/clock'

/** A moment by the clock on the wall of this machine, as the day is stored. */
export const wallOf = (moment: Date | number): string => format(moment, "yyyy-MM-dd'T'HH:mm")

/** Now by that clock. */
export const wallNow = (): string => wallOf(systemClock.now())

/** Tomorrow at the usual hour. */
export const proposedStart = (): string =>
  `${wallOf(addDays(systemClock.now(), 1)).slice(0, 10)}T${USUAL_HOURS.start}`
