'use client'
import { useEffect, useMemo, useState } from 'react'
import { assess } from '@/core/diagnose/assess'
import { type Diagnosis, diagnose } from '@/core/diagnose/diagnose'
import type { UnitPlate } from '@/core/job/unit'
import type { ReadingSet } from '@/core/readings/schema'
import type { Display } from '@/core/units/show'
import { diagnosisDoor } from '@/workers/diagnosisDoor'

/**
 * The diagnosis of a set: arithmetic, targets and flags at once, the ranking from a worker a moment later, so that typing
 * never waits for it. Where there is no worker it is ranked in place.
 */
export function useDiagnosis(
  unit: UnitPlate,
  set: ReadingSet,
  temperature: Display['temperature'],
): Diagnosis {
  const display = useMemo<Display>(() => ({ temperature }), [temperature])
  const [ranked, setRanked] = useState<Diagnosis>(() => diagnose(unit, set, display))
  const assessed = useMemo(() => assess(unit, set), [unit, set])
  useEffect(() => {
    let current = true
    const take = (result: Diagnosis) => {
      if (current) setRanked(result)
    }
    const door = diagnosisDoor()
    const here = () => take(diagnose(unit, set, display))
    if (door) door.diagnose(unit, set, display).then(take, here)
    else queueMicrotask(here)
    return () => {
      current = false
    }
  }, [unit, set, display])
  return useMemo(() => ({ ...ranked, ...assessed }), [ranked, assessed])
}
