import type { Part } from './fault'
import { type FaultId, faultRow, type SuspectId } from './faults'

/** Proof gates by name; their points stand in proof/gates.ts. */
export const GATE_IDS = [
  'expansion-valve',
  'liquid-dryer',
  'fixed-orifice',
  'capillary',
  'compressor-electrical',
  'compressor-locked',
  'compressor-not-pumping',
  'reversing-valve',
  'reversing-valve-coil',
] as const
export type GateId = (typeof GATE_IDS)[number]

/** A gate, or why none stands before this part: it is confirmed by its tell. */
type Guard = GateId | { readonly exempt: string }
const REPAIRED: Guard = { exempt: 'nothing is condemned: it is found, mended or cleaned' }
const BY_TELL: Guard = { exempt: 'its own test shows it' }

/** One row a part; of a compressor the fault decides. */
const GATE_OF_PART: Readonly<Record<Exclude<Part, 'compressor'>, Guard>> = {
  charge: REPAIRED,
  'liquid-line': REPAIRED,
  'liquid-dryer': 'liquid-dryer',
  'expansion-valve': 'expansion-valve',
  'fixed-orifice': 'fixed-orifice',
  capillary: 'capillary',
  airflow: REPAIRED,
  condenser: REPAIRED,
  'water-side': REPAIRED,
  'reversing-valve': 'reversing-valve',
  'suction-line': REPAIRED,
  'head-pressure-control': BY_TELL,
  'check-valve': BY_TELL,
  supply: REPAIRED,
  controls: BY_TELL,
  'start-gear': BY_TELL,
  contactor: BY_TELL,
  wiring: REPAIRED,
  'crankcase-heater': BY_TELL,
  'reversing-valve-coil': 'reversing-valve-coil',
  nothing: REPAIRED,
}

/** Which gate stands before a compressor is condemned, by what killed it. */
const GATE_OF_COMPRESSOR: { readonly [F in FaultId]?: GateId } = {
  'compressor-not-pumping': 'compressor-not-pumping',
  'internal-relief-open': 'compressor-not-pumping',
  'compressor-locked-rotor': 'compressor-locked',
  'compressor-grounded': 'compressor-electrical',
  'compressor-open-winding': 'compressor-electrical',
  'compressor-shorted-turns': 'compressor-electrical',
}

/** The gate of a fault or why it has none; undefined is a hole in the tables. */
export function guardOf(fault: FaultId): Guard | undefined {
  const { part } = faultRow(fault)
  return part === 'compressor' ? GATE_OF_COMPRESSOR[fault] : GATE_OF_PART[part]
}

/** The gate of a suspect; undefined where nothing is condemned for it. */
export function gateIdOf(suspect: SuspectId): GateId | undefined {
  if (suspect === 'healthy' || suspect === 'unlisted') return undefined
  const guard = guardOf(suspect)
  return typeof guard === 'string' ? guard : undefined
}
