/**
 * Moments are stored as ISO 8601 text with an offset and compared as moments: 11:00-04:00 is after 14:00Z.
 * @returns ms since the epoch; undefined where there is no text or no moment in it
 */
export function instantOf(text: string | undefined): number | undefined {
  if (text === undefined) return undefined
  const moment = Date.parse(text)
  return Number.isNaN(moment) ? undefined : moment
}

/** Whether a moment is at or before another one; a moment that is not known is before all. */
export const isAtOrBefore = (text: string | undefined, limit: number): boolean =>
  (instantOf(text) ?? -Infinity) <= limit

const days = new Map<string, Intl.DateTimeFormat>()

function dayFormat(zone: string): Intl.DateTimeFormat {
  const known = days.get(zone)
  if (known) return known
  const made = new Intl.DateTimeFormat('en-CA', { timeZone: zone, dateStyle: 'short' })
  days.set(zone, made)
  return made
}

/**
 * The calendar day of a moment at a place.
 * @param zone IANA time zone, as "America/Santiago"
 * @returns "2026-05-04"
 * @throws RangeError for a zone that does not exist
 */
export const dayIn = (moment: number, zone: string): string => dayFormat(zone).format(moment)

/** Where "now" and the time zone come from: one clock, given to everything that needs the time. */
export type Clock = {
  /** ms since the epoch */
  readonly now: () => number
  /** IANA time zone of the site */
  readonly zone: () => string
}

/** Now as it is stored. */
export const isoNow = (clock: Pick<Clock, 'now'>): string => new Date(clock.now()).toISOString()
