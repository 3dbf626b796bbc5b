import type { Unit } from '../../base/units/units'
import type { WorkChannel } from '../../record/readings/channels'
import type { LogPurpose } from '../../record/records/log'

const MICRONS = [
  ['systemVacuum', 'micron'],
  ['pumpVacuum', 'micron'],
] as const

/** What each log of the work is made of. */
export const PURPOSE_CHANNELS: Readonly<Record<LogPurpose, readonly (readonly [WorkChannel, Unit])[]>> = {
  recovery: [
    ['circuitPressure', 'psig'],
    ['cylinderWeight', 'lb'],
  ],
  'pressure-test': [
    ['testPressure', 'psig'],
    ['gasTemp', 'F'],
  ],
  evacuation: MICRONS,
  decay: MICRONS,
  'weigh-in': [['cylinderWeight', 'lb']],
}
