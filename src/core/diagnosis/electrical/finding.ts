import type { Act } from '../../safety/vetoes'

/** Fault ids of the electrical side (handbook 05). */
type ElectricalFault =
  | 'compressor-grounded'
  | 'compressor-open-winding'
  | 'compressor-shorted-turns'
  | 'compressor-locked-rotor'
  | 'compressor-overload-open'
  | 'start-gear-failed'
  | 'contactor-failed'
  | 'supply-fault'
  | 'control-open'
  | 'wire-rubbed-to-ground'
  | 'fan-motor-grounded'
  | 'crankcase-heater-grounded'
  | 'terminal-plug-burnt'
  | 'crankcase-heater-open'
  | 'rv-coil-failed'
  | 'rv-control-voltage-fault'

/** What one electrical test says: a value for the screen, the ranking and the report. */
export type Finding = {
  /** good: ruled out; suspect: test further; failed: shown; unclear: the readings cannot be right */
  readonly verdict: 'good' | 'suspect' | 'failed' | 'unclear'
  /** what it points to; empty when good */
  readonly faults: readonly ElectricalFault[]
  /** what was found, in a sentence */
  readonly sentence: string
  /** what to do next, where there is something to do */
  readonly next?: string
  /** what that does, where it is more than a look or a reading with the power off */
  readonly nextActs?: readonly Act[]
}

export const good = (sentence: string): Finding => ({ verdict: 'good', faults: [], sentence })
export const unclear = (sentence: string, next: string, nextActs?: readonly Act[]): Finding => ({
  verdict: 'unclear',
  faults: [],
  sentence,
  next,
  ...(nextActs ? { nextActs } : {}),
})
