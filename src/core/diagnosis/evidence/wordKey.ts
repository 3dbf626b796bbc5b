import type { ElectricalTestKey } from '../electrical/electricalTests'
import type { ObservationKey } from '../../record/readings/observations'

/** Evidence in words: what was seen, what an electrical test says of its readings, how a branch stands among others,
 * what a circuit at rest tells. */
export type WordKey = ObservationKey | ElectricalTestKey | 'branches' | 'standing'
