import { OrzoError } from '../errors/orzoError'
import { MINUTE } from './time'

const SECOND = MINUTE / 60
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR
/** A clock on the wall may be this far ahead of the device's, ms. */
const AHEAD = 5 * MINUTE

const UNIT = '(s|sec|secs|seconds?|min|mins|minutes?|h|hours?)'
const AGO = new RegExp(`^(\\d+(?:[.,]\\d+)?)\\s*${UNIT}\\s*ago$`)
const AFTER = new RegExp(`^(?:after\\s*|\\+\\s*)(\\d+(?:[.,]\\d+)?)\\s*${UNIT}$`)
const CLOCK = /^(\d{1,2})[:.](\d{2})(?:[:.](\d{2}))?\s*(am|pm)?$/

const sizeOf = (unit: string) => (unit.startsWith('s') ? SECOND : unit.startsWith('m') ? MINUTE : HOUR)
const span = (count: string, unit: string) => Number(count.replace(',', '.')) * sizeOf(unit)

/** What a typed time is told against. ms */
export type WhenFrom = {
  readonly now: number
  /** what "after 12 min" counts from; undefined where nothing began yet */
  readonly begin: number | undefined
  /** midnight of a moment by the clock on the wall, ms */
  readonly midnight: (at: number) => number
}

/** Twelve hours or twenty-four; undefined where the clock has no such hour. */
function hourOf(hour: number, half: string | undefined): number | undefined {
  if (half === undefined) return hour < 24 ? hour : undefined
  if (hour < 1 || hour > 12) return undefined
  return (hour % 12) + (half === 'pm' ? 12 : 0)
}

/** A time of the clock: the last time that it was so. */
function clockTime([, hours, minutes, seconds = '0', half]: RegExpExecArray, { now, midnight }: WhenFrom) {
  const hour = hourOf(Number(hours), half)
  if (hour === undefined || Number(minutes) > 59 || Number(seconds) > 59) return undefined
  const at = midnight(now) + hour * HOUR + Number(minutes) * MINUTE + Number(seconds) * SECOND
  return at > now + AHEAD ? midnight(midnight(now) - DAY / 2) + (at - midnight(now)) : at
}

/**
 * Reads when something was: "12 min ago", "14:05", "2:05 pm", "after 12 min"; nothing, or "now", is now.
 * @returns ms
 * @throws OrzoError bad-log with what to type
 */
export function whenTyped(text: string, from: WhenFrom): number {
  const plain = text.trim().toLowerCase()
  if (plain === '' || plain === 'now') return from.now
  const ago = AGO.exec(plain)
  if (ago) return from.now - span(ago[1] as string, ago[2] as string)
  const after = AFTER.exec(plain)
  if (after && from.begin === undefined)
    throw new OrzoError('bad-log', 'Nothing began yet: type a time such as 14:05, or 12 min ago.')
  const clock = CLOCK.exec(plain)
  const at = after
    ? (from.begin as number) + span(after[1] as string, after[2] as string)
    : clock && clockTime(clock, from)
  if (at === null || at === undefined)
    throw new OrzoError('bad-log', `"${text.trim()}" is no time: type 14:05, 12 min ago, or after 12 min.`)
  if (at > from.now + AHEAD)
    throw new OrzoError('bad-log', `"${text.trim()}" is still to come: a look is of now or before.`)
  return at
}
