import { faultRow, type SuspectId } from './faults'
import type { NextAction } from './nextActions'

export type FamilyId = NextAction | SuspectId

/** The family of a suspect: what would be done next; a fault that stands alone is its own. Of two faults at once, the one that shows more is seen to first. */
export const familyOf = (suspect: SuspectId): FamilyId =>
  suspect === 'healthy' || suspect === 'unlisted' ? suspect : (faultRow(suspect).family ?? suspect)
