import { durationText } from '../../base/units/wall'

/** "10 min" that are still to go, never none. @param seconds */
export const minutesLeft = (seconds: number): string =>
  durationText(Math.max(1, Math.ceil(seconds / 60 - 1e-9)))
