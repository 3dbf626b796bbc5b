import type { ObservationKey } from './observations'

/** Words that say how the unit stands at a moment, not what is wrong with it: when each was put is kept with its set. */
const STATE_WORDS = [
  'terminalCover',
  'pressureOff',
  'servicePortState',
  'gasInside',
  'circuitWork',
  'lowSide',
  'waterCoil',
  'flammableClear',
] as const satisfies readonly ObservationKey[]
export type StateWord = (typeof STATE_WORDS)[number]

export const isStateWord = (key: string): key is StateWord => (STATE_WORDS as readonly string[]).includes(key)
