import { addDays, format } from 'date-fns'
import { wallIn } from '@/core/base/units/siteTime'
import { USUAL_HOURS } from '@/core/repair/day/calendar'
import { systemClock } from '@/data/clock'

/** A moment by the clock on the wall of this machine, as the day is stored. */
export const wallOf = (moment: Date | number): string => format(moment, "yyyy-MM-dd'T'HH:mm")

/** Now by the clock at a site; without a zone by that of this machine. */
export const wallNow = (zone?: string): string => wallIn(systemClock.now(), zone)

/** Tomorrow at the usual hour. */
export const proposedStart = (zone?: string): string =>
  `${wallIn(addDays(systemClock.now(), 1).getTime(), zone).slice(0, 10)}T${USUAL_HOURS.start}`
