import type { OffId } from './offParts'

/** Parts of the circuit that valves can part (handbook 07): what lies before the metering device, behind it, the compressor. */
export const SECTIONS = ['high', 'low', 'compressor'] as const
export type Section = (typeof SECTIONS)[number]

/** What a section holds. */
export type Contents =
  'unknown' | 'liquid' | 'vapour' | 'nitrogen' | 'nitrogen-pressure' | 'trace' | 'vacuum' | 'air' | 'mixed'

/** What nitrogen and a pump put into the part that is worked on. */
export type Filling = Extract<Contents, 'nitrogen' | 'nitrogen-pressure' | 'trace' | 'vacuum'>

/** Parts whose change ends a state. */
export type ReplacedPart =
  | 'compressor'
  | 'lead'
  | 'terminal-plug'
  | 'fan-motor'
  | 'crankcase-heater'
  | 'metering-device'
  | 'reversing-valve'
  | 'liquid-dryer'
  | 'oil'

/**
 * What a task does to the unit: a column of its row. What can hurt counts from its beginning, what ends a danger when it is
 * done.
 */
export type Effects = {
  /** from the beginning: the part that is worked on is open to air */
  readonly opens?: true
  /** from the beginning: a flame is used on the circuit */
  readonly flame?: true
  /** from the beginning: what is let or pumped into it */
  readonly fills?: Filling
  /** from the beginning: the compressor is shut off by its two valves */
  readonly isolates?: true
  /** from the beginning: what comes off */
  readonly takesOff?: readonly OffId[]
  /** when done: the charge is shut in behind the liquid valve */
  readonly pumpsDown?: true
  /** when done: refrigerant is out down to its depth */
  readonly empties?: true
  /** when done: the charge of this round is in */
  readonly charges?: true
  /** when done: shut valves are open again */
  readonly joins?: true
  /** when done: what is back on */
  readonly putsBack?: readonly OffId[]
  /** when done: solenoids and electronic valves are held open, or given back to their control */
  readonly holdsOpen?: boolean
  /** when done: what was replaced */
  readonly replaces?: readonly ReplacedPart[]
  /** when done: how the water coil stands */
  readonly water?: 'drained' | 'flowing'
  /** when done: no flammable gas is left, shown by a detector */
  readonly clears?: true
  /** from the beginning: power is locked out, for the crankcase heater too */
  readonly locksOut?: true
  /** from the beginning: the unit runs again */
  readonly starts?: true
}

export const NO_EFFECTS: Effects = {}
