'use client'
import { useEffect, useMemo, useState } from 'react'
import { assess } from '@/core/diagnosis/evidence/assess'
import { contextOf, type Diagnosis, diagnose } from '@/core/answer/diagnose'
import type { Job } from '@/core/record/job/job'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { Display } from '@/core/base/units/show'
import { diagnosisDoor } from '@/workers/diagnosisDoor'

/**
 * The diagnosis of a set: arithmetic, targets and flags at once, the ranking from a worker a moment later, so that typing
 * never waits for it. Where there is no worker it is ranked in place.
 */
export function useDiagnosis(
  { unit, arrival, readingSets }: Pick<Job, 'unit' | 'arrival' | 'readingSets'>,
  set: ReadingSet,
  temperature: Display['temperature'],
): Diagnosis {
  const context = useMemo(() => contextOf({ arrival, readingSets }), [arrival, readingSets])
  const display = useMemo<Display>(() => ({ temperature }), [temperature])
  const [ranked, setRanked] = useState<Diagnosis>(() => diagnose(unit, set, display, context))
  const assessed = useMemo(() => assess(unit, set), [unit, set])
  useEffect(() => {
    let current = true
    const take = (result: Diagnosis) => {
      if (current) setRanked(result)
    }
    const door = diagnosisDoor()
    const here = () => take(diagnose(unit, set, display, context))
    if (door) door.diagnose(unit, set, display, context).then(take, here)
    else queueMicrotask(here)
    return () => {
      current = false
    }
  }, [unit, set, display, context])
  return useMemo(() => ({ ...ranked, ...assessed }), [ranked, assessed])
}
