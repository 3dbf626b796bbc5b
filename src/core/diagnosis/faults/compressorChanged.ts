import { isSuspect, remedyIdOf } from './faults'

/** Whether the repair of these faults fits another compressor; a word that names no fault changes nothing. */
export const changesCompressor = (faults: readonly string[]): boolean =>
  faults.some((fault) => isSuspect(fault) && remedyIdOf(fault) === 'swap-compressor')
