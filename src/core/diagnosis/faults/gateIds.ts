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
  'compressor-broken',
  'compressor-not-pumping',
  'internal-relief',
  'terminal-plug',
  'reversing-valve',
  'reversing-valve-coil',
] as const
export type GateId = (typeof GATE_IDS)[number]

/** A gate, or why none stands before this part: it is confirmed by its tell. */
export type Guard = GateId | { readonly exempt: string }
export const REPAIRED: Guard = { exempt: 'nothing is condemned: it is found, repaired or cleaned' }
export const BY_TELL: Guard = { exempt: 'its own test shows it' }
export const SET_RIGHT: Guard = {
  exempt: 'the valve stays: it is set, fixed, thawed or cleaned, and proven after',
}
