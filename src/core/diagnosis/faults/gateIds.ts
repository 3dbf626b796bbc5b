import type { Part } from './fault'
import { type FaultId, faultRow, type SuspectId } from './faults'

/** Proof gates by name; their points stand in proof/gateTable.ts. */
export const GATE_IDS = [
  'expansion-valve',
  'expansion-valve-overfeeding',
  'liquid-dryer',
  'liquid-line',
  'liquid-solenoid-stuck',
  'liquid-solenoid-leaking',
  'service-valve',
  'head-pressure-control',
  'fixed-orifice',
  'capillary',
  'compressor-grounded',
  'compressor-open-winding',
  'compressor-shorted-turns',
  'compressor-locked',
  'compressor-not-pumping',
  'internal-relief',
  'terminal-plug',
  'reversing-valve',
  'reversing-valve-coil',
] as const
export type GateId = (typeof GATE_IDS)[number]

/** A gate, or why none stands before this part: it is confirmed by its tell. */
type Guard = GateId | { readonly exempt: string }
const REPAIRED: Guard = { exempt: 'nothing is condemned: it is found, mended or cleaned' }
const BY_TELL: Guard = { exempt: 'its own test shows it' }
const SET_RIGHT: Guard = { exempt: 'the valve stays: it is set, fixed, thawed or cleaned, and proven after' }

/** Gates that the fault decides, not the part. */
const GATE_OF_FAULT: { readonly [F in FaultId]?: Guard } = {
  'compressor-not-pumping': 'compressor-not-pumping',
  'internal-relief-open': 'internal-relief',
  'compressor-locked-rotor': 'compressor-locked',
  'compressor-grounded': 'compressor-grounded',
  'compressor-open-winding': 'compressor-open-winding',
  'compressor-shorted-turns': 'compressor-shorted-turns',
  'txv-overfeeding': 'expansion-valve-overfeeding',
  'txv-bulb-loose': SET_RIGHT,
  'txv-set-too-closed': SET_RIGHT,
  'txv-inlet-screen-plugged': SET_RIGHT,
  'moisture-freeze-at-valve': SET_RIGHT,
  'equalizer-broken-or-blocked': BY_TELL,
  'liquid-line-restriction': 'liquid-line',
  'liquid-solenoid-stuck-closed': 'liquid-solenoid-stuck',
  'liquid-solenoid-leaking': 'liquid-solenoid-leaking',
}

/** One row a part. */
const GATE_OF_PART: Readonly<Record<Exclude<Part, 'compressor' | 'liquid-line' | 'liquid-solenoid'>, Guard>> =
  {
    charge: REPAIRED,
    'liquid-dryer': 'liquid-dryer',
    'service-valve': 'service-valve',
    'expansion-valve': 'expansion-valve',
    'fixed-orifice': 'fixed-orifice',
    capillary: 'capillary',
    airflow: REPAIRED,
    condenser: REPAIRED,
    'water-side': REPAIRED,
    'reversing-valve': 'reversing-valve',
    'suction-line': REPAIRED,
    'head-pressure-control': 'head-pressure-control',
    'check-valve': BY_TELL,
    supply: REPAIRED,
    controls: BY_TELL,
    'start-gear': BY_TELL,
    contactor: BY_TELL,
    wiring: REPAIRED,
    'terminal-plug': 'terminal-plug',
    'fan-motor': BY_TELL,
    'crankcase-heater': BY_TELL,
    'reversing-valve-coil': 'reversing-valve-coil',
    nothing: REPAIRED,
  }

/** The gate of a fault or why it has none; undefined is a hole in the tables. */
export function guardOf(fault: FaultId): Guard | undefined {
  const { part } = faultRow(fault)
  return GATE_OF_FAULT[fault] ?? (GATE_OF_PART as Partial<Record<Part, Guard>>)[part]
}

/** The gate of a suspect; undefined where nothing is condemned for it. */
export function gateIdOf(suspect: SuspectId): GateId | undefined {
  if (suspect === 'healthy' || suspect === 'unlisted') return undefined
  const guard = guardOf(suspect)
  return typeof guard === 'string' ? guard : undefined
}
