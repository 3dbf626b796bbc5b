import type { Clock } from '@/core/base/units/instants'

/** The clock and zone of this machine: the only place that reads them. */
export const systemClock: Clock = {
  now: () => Date.now(),
  zone: () => Intl.DateTimeFormat().resolvedOptions().timeZone,
}
