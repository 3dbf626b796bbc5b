import type { FaultId, SuspectId } from './faults'

/** Suspects that lead to the same next action; a fault that stands alone is its own family. */
const FAMILIES = {
  /** find the leak, repair it, evacuate, weigh in */
  leak: ['charge-lost', 'undercharge', 'access-fitting-leak', 'relief-plug-melted', 'rv-pilot-tube-leak'],
  /** open the expansion valve or its screen */
  'valve-starves': [
    'txv-underfeeding',
    'txv-lost-bulb-charge',
    'txv-inlet-screen-plugged',
    'moisture-freeze-at-valve',
    'txv-set-too-closed',
    'equalizer-broken-or-blocked',
    'eev-fault',
  ],
  /** bulb first, then the valve; in heating the check valve beside it */
  'valve-floods': ['txv-overfeeding', 'txv-bulb-loose', 'check-valve-leaking'],
  /** walk the liquid line: the first drop is the place */
  'liquid-line': [
    'liquid-line-restriction',
    'plugged-liquid-dryer',
    'service-valve-damaged',
    'liquid-solenoid-stuck-closed',
  ],
  /** fan, filter, ice, coil of the evaporator */
  'low-air': ['low-evaporator-airflow', 'evaporator-fan-failed', 'defrost-failure'],
  'does-not-pump': ['compressor-not-pumping', 'internal-relief-open'],
  'reversing-valve': ['reversing-valve-leaking-through', 'reversing-valve-stuck-mid'],
  'head-pressure-control': ['head-pressure-control-stuck', 'head-pressure-control-stuck-closed'],
  /** prove and replace the compressor */
  'motor-failed': ['compressor-open-winding', 'compressor-shorted-turns', 'compressor-locked-rotor'],
  /** recover, take the leads off, measure at the compressor's own terminals */
  'path-to-ground': [
    'compressor-grounded',
    'wire-rubbed-to-ground',
    'fan-motor-grounded',
    'crankcase-heater-grounded',
  ],
} as const satisfies Record<string, readonly FaultId[]>

/** Faults of which each leads to a next action of its own. */
export const STANDING_ALONE: readonly FaultId[] = [
  'overcharge',
  'non-condensables',
  'fixed-orifice-plugged',
  'fixed-orifice-oversized',
  'capillary-plugged',
  'high-load',
  'condenser-fouled',
  'condenser-water-low-flow',
  'suction-line-restriction',
  'wrong-or-mixed-refrigerant',
  'liquid-solenoid-leaking',
  'phase-reversed',
  'compressor-overload-open',
  'terminal-plug-burnt',
  'start-gear-failed',
  'contactor-failed',
  'supply-fault',
  'control-open',
  'crankcase-heater-open',
  'rv-coil-failed',
  'rv-control-voltage-fault',
  'intermittent-start',
]

export type FamilyId = keyof typeof FAMILIES | SuspectId

const BY_FAULT = new Map<SuspectId, FamilyId>(
  Object.entries(FAMILIES).flatMap(([family, faults]) =>
    faults.map((fault) => [fault, family as FamilyId] as const),
  ),
)

/** The family of a suspect: what would be done next. Of two faults at once, the one that shows more is seen to first. */
export const familyOf = (suspect: SuspectId): FamilyId => BY_FAULT.get(suspect) ?? suspect
