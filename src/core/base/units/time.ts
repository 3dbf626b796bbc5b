/** Milliseconds. */
export const MINUTE = 60_000
export const HOUR = 60 * MINUTE
