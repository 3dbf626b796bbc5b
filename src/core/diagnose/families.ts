import type { FaultId, SuspectId } from './faults'

/** Suspects that lead to the same next action; a fault that stands alone is its own family. */
const FAMILIES = {
  'valve-starves': [
    'txv-underfeeding',
    'txv-lost-bulb-charge',
    'txv-inlet-screen-plugged',
    'moisture-freeze-at-valve',
    'txv-set-too-closed',
  ],
  'valve-floods': ['txv-overfeeding', 'txv-bulb-loose'],
  'liquid-line': ['liquid-line-restriction', 'plugged-liquid-dryer'],
  'does-not-pump': ['compressor-not-pumping', 'internal-relief-open'],
  'reversing-valve': ['reversing-valve-leaking-through', 'reversing-valve-stuck-mid'],
} as const satisfies Record<string, readonly FaultId[]>

export type FamilyId = keyof typeof FAMILIES | SuspectId

const BY_FAULT = new Map<SuspectId, FamilyId>(
  Object.entries(FAMILIES).flatMap(([family, faults]) =>
    faults.map((fault) => [fault, family as FamilyId] as const),
  ),
)

/** The family of a suspect. */
export const familyOf = (suspect: SuspectId): FamilyId => BY_FAULT.get(suspect) ?? suspect
