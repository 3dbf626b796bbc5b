const DAY = 86_400_000
const WEEK = 6 * DAY

const formats = new Map<string, Intl.DateTimeFormat>()

/** A formatter costs as much as a hundred uses of it: each is made once. */
function formatOf(zone: string | undefined, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${zone} ${JSON.stringify(options)}`
  const known = formats.get(key)
  if (known) return known
  const made = new Intl.DateTimeFormat('en-GB', { ...options, ...(zone ? { timeZone: zone } : {}) })
  formats.set(key, made)
  return made
}

const msOf = (moment: number | string) => (typeof moment === 'number' ? moment : Date.parse(moment))
const TIME = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const
const DATE = { day: 'numeric', month: 'short' } as const
const dayOf = (ms: number, zone: string | undefined) =>
  formatOf(zone, { year: 'numeric', month: '2-digit', day: '2-digit' }).format(ms)

/**
 * "14:05" by the clock of a zone; "Tue 14:05" where it is another day than now, "27 Nov 14:05" where that is over a week away.
 * @param now ms; undefined tells no day
 * @param zone IANA; undefined is that of this machine
 */
export function clockIn(moment: number | string, now: number | undefined, zone?: string): string {
  const ms = msOf(moment)
  const time = formatOf(zone, TIME).format(ms)
  if (now === undefined || dayOf(ms, zone) === dayOf(now, zone)) return time
  const day = Math.abs(ms - now) < WEEK ? formatOf(zone, { weekday: 'short' }) : formatOf(zone, DATE)
  return `${day.format(ms)} ${time}`
}

/** "27 Nov 14:05" by the clock of a zone. */
export const momentIn = (moment: number | string, zone?: string): string =>
  `${formatOf(zone, DATE).format(msOf(moment))} ${formatOf(zone, TIME).format(msOf(moment))}`

/** "27 Nov" by the calendar of a zone. */
export const dateIn = (moment: number | string, zone?: string): string =>
  formatOf(zone, DATE).format(msOf(moment))

/** "27 Nov 2026": a record is read in another year. */
export const fullDateIn = (moment: number | string, zone?: string): string =>
  formatOf(zone, { ...DATE, year: 'numeric' }).format(msOf(moment))

/** "27 Nov 2026 14:05" by the clock of a zone. */
export const fullMomentIn = (moment: number | string, zone?: string): string =>
  `${fullDateIn(moment, zone)} ${formatOf(zone, TIME).format(msOf(moment))}`

/** "2026-11-27T14:05" by the clock on the wall of a zone. */
export function wallIn(moment: number, zone?: string): string {
  const parts = formatOf(zone, { year: 'numeric', month: '2-digit', day: '2-digit', ...TIME }).formatToParts(
    moment,
  )
  const of = (type: string) => parts.find((part) => part.type === type)?.value ?? ''
  return `${of('year')}-${of('month')}-${of('day')}T${of('hour')}:${of('minute')}`
}

/**
 * How far the clock of a zone is from another one at a moment, minutes; 0 where it shows the same.
 * @throws RangeError for a zone that does not exist
 */
export function minutesApart(moment: number, zone: string, from: string): number {
  const at = (name: string) => Date.parse(`${wallIn(moment, name)}Z`)
  return Math.round((at(zone) - at(from)) / 60_000)
}

/** "3 h behind here"; undefined where both clocks show the same. */
export function apartText(moment: number, zone: string, here: string): string | undefined {
  const minutes = minutesApart(moment, zone, here)
  if (minutes === 0) return undefined
  const hours = Math.abs(minutes) / 60
  return `${Number(hours.toFixed(2))} h ${minutes < 0 ? 'behind' : 'ahead of'} here`
}
