/** [practice] more than any winding or coil has, ohm: read as open. */
export const OPEN_OHMS_LEAST = 1e6
/** What is stored for "the meter shows no path", ohm. */
export const OPEN_OHMS = 1e9
