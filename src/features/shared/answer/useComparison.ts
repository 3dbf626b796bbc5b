'use client'
import { useEffect, useState } from 'react'
import type { Comparison } from '@/core/answer/comparison'
import type { Display } from '@/core/base/units/show'
import type { StoredJob } from '@/core/record/job/job'
import { answerDoor } from '@/workers/answerDoor'

/** Two sets side by side, ranked in the worker; undefined until they are. */
export function useComparison(
  { unit, arrival, readingSets }: StoredJob,
  temperature: Display['temperature'],
  first?: string,
  second?: string,
): Comparison | undefined {
  const [comparison, setComparison] = useState<Comparison>()
  useEffect(() => {
    let current = true
    const job = { unit, arrival, readingSets }
    const ids = first === undefined ? undefined : [first, second]
    answerDoor()
      .ask<Comparison>('compare', { job, display: { temperature }, ids })
      .then((found) => {
        if (current) setComparison(found)
      })
      // the answer beside it tells what is wrong
      .catch(() => undefined)
    return () => {
      current = false
    }
  }, [unit, arrival, readingSets, temperature, first, second])
  return comparison
}
