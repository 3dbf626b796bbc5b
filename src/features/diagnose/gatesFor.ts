import { assess } from '@/core/diagnosis/evidence/assess'
import { mergedSet } from '@/core/diagnosis/proof/decision'
import type { Suspect } from '@/core/answer/diagnose'
import { type Gate, judgeGate } from '@/core/diagnosis/proof/gates'
import { gateIdOf } from '@/core/diagnosis/faults/gateIds'
import type { Job } from '@/core/record/job/job'

/** The gates before the parts of a suspect, of both faults of a pair, by what all sets up to this one put on record. */
export function gatesFor({ unit, readingSets }: Job, setIndex: number, { fault, also }: Suspect): Gate[] {
  const ids = [fault, ...(also ? [also] : [])].flatMap((each) => gateIdOf(each) ?? [])
  if (ids.length === 0) return []
  const record = assess(unit, mergedSet(readingSets.slice(0, setIndex + 1)))
  return [...new Set(ids)].map((id) => judgeGate(id, record))
}
