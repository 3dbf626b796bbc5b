import type { InstrumentProps } from './instrumentProps'

/** Superheat and subcooling of the set that is looked at, where it was taken after the start. */
export function afterStart({ job, set, diagnosis }: InstrumentProps) {
  const started = job.repair?.startedAt
  const isAfter = started !== undefined && set.at !== undefined && Date.parse(set.at) >= Date.parse(started)
  return {
    isAfter,
    superheat: isAfter ? diagnosis.derived.superheat?.value : undefined,
    subcooling: isAfter ? diagnosis.derived.subcooling?.value : undefined,
  }
}
