import type { Diagnosis, Suspect } from '@/core/diagnose/diagnose'
import { type Gate, gateIdOf, judgeGate } from '@/core/diagnose/gates'
import type { UnitPlate } from '@/core/job/unit'

/** The gates that stand before the parts of a suspect, of both faults of a pair, whatever its probability. */
export function gatesFor(unit: UnitPlate, diagnosis: Diagnosis, { fault, also }: Suspect): Gate[] {
  const ids = [fault, ...(also ? [also] : [])].flatMap((each) => gateIdOf(each) ?? [])
  return [...new Set(ids)].map((id) => judgeGate(id, { unit, ...diagnosis }))
}
