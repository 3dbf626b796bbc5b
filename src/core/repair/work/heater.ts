import { HOUR } from '../../base/units/time'
import type { HeaterSpan } from '../../record/records/run'

/** [practice] handbook 09: hours of the heater before a charged circuit that stood cold is started, from and to. */
export const HEATER_HOURS = [12, 24] as const

/** Hours for which the heater had power; a stretch that runs still counts up to now. @param now ms; undefined: it counts for nothing */
export const heaterHours = (spans: readonly HeaterSpan[], now?: number): number =>
  spans.reduce((sum, { from, to }) => {
    const end = to === undefined ? now : Date.parse(to)
    return end === undefined ? sum : sum + Math.max(0, end - Date.parse(from)) / HOUR
  }, 0)

/** Whether the heater had its hours. */
export const isWarmed = (spans: readonly HeaterSpan[] | undefined, now?: number): boolean =>
  heaterHours(spans ?? [], now) >= HEATER_HOURS[0]
