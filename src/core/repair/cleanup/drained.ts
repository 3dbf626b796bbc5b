import { guess } from '../../base/known/known'
import type { Range } from './exposure'

/** [practice] share of the oil that one change takes out: 60-85 % leaves a tipped hermetic. High side: little. */
export const DRAINED: Range = { low: 0.85, likely: 0.75, high: 0.6 }

/** What rests on that share rests on a guess until the oil that comes out is measured. */
export const DRAINED_GUESS = guess('three quarters of the oil come out', 'oilOut')
