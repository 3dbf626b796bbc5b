import type { LogPurpose } from './log'

/** What a log of the work is called. */
export const PURPOSE_NAMES: Readonly<Record<LogPurpose, string>> = {
  recovery: 'Recovery',
  'pressure-test': 'Pressure test',
  evacuation: 'Evacuation',
  decay: 'Decay test',
  'weigh-in': 'Weigh-in',
}
