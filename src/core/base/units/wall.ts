import { MINUTE } from './time'

/**
 * Moments by the clock on the wall of a site, as "2026-11-27T08:00": no zone, so that a plan reads the same wherever it is
 * opened. Times of day as "08:00".
 */

export const MINUTES_A_DAY = 1440

/** Minutes since 1970 by that clock; undefined where the text is none. */
export function wallMinutes(text: string | undefined): number | undefined {
  if (text === undefined) return undefined
  const moment = Date.parse(`${text}:00Z`)
  return Number.isNaN(moment) ? undefined : Math.round(moment / MINUTE)
}

/** The wall clock at minutes since 1970. */
export const wallText = (minutes: number): string => new Date(minutes * MINUTE).toISOString().slice(0, 16)

/** Minutes since midnight of "08:30". */
export function clockMinutes(text: string): number {
  const [hours, minutes] = text.split(':').map(Number) as [number, number]
  return hours * 60 + minutes
}

/** The time of day of a wall clock: "08:30". */
export const clockOf = (text: string): string => text.slice(11, 16)

/** "2 h 10 min" of minutes. */
export function durationText(minutes: number): string {
  const whole = Math.round(minutes)
  const hours = Math.floor(whole / 60)
  const rest = whole % 60
  if (hours === 0) return `${rest} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}
