/** What a log was taken for; one without a purpose is a log of readings. */
export const LOG_PURPOSES = [
  'recovery',
  'pressure-test',
  'evacuation',
  'decay',
  'weigh-in',
  'pull-down',
] as const
/** Versions of the log record that came with a word of this list: a new word raises it, its number goes here. */
export const PURPOSE_VERSIONS: readonly number[] = [5]
export type LogPurpose = (typeof LOG_PURPOSES)[number]
