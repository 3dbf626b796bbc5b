import { assess } from '@/core/diagnose/assess'
import { mergedSet } from '@/core/diagnose/decision'
import type { Suspect } from '@/core/diagnose/diagnose'
import { type Gate, gateIdOf, judgeGate } from '@/core/diagnose/gates'
import type { Job } from '@/core/job/job'

/** The gates before the parts of a suspect, of both faults of a pair, by what all sets up to this one put on record. */
export function gatesFor({ unit, readingSets }: Job, setIndex: number, { fault, also }: Suspect): Gate[] {
  const ids = [fault, ...(also ? [also] : [])].flatMap((each) => gateIdOf(each) ?? [])
  if (ids.length === 0) return []
  const record = assess(unit, mergedSet(readingSets.slice(0, setIndex + 1)))
  return [...new Set(ids)].map((id) => judgeGate(id, record))
}
