/** What a log was taken for; one without a purpose is a log of readings. */
export const LOG_PURPOSES = ['recovery', 'pressure-test', 'evacuation', 'decay', 'weigh-in'] as const
export type LogPurpose = (typeof LOG_PURPOSES)[number]
