'use client'
import { useEffect, useState } from 'react'
import type { Comparison } from '@/core/answer/comparison'
import type { Display } from '@/core/base/units/show'
import type { StoredJob } from '@/core/record/job/job'
import { answerClient } from '@/workers/answerClient'

/** Two sets side by side, ranked in the worker; undefined until they are, or why they cannot be. */
export function useComparison(
  { unit, arrival, readingSets }: StoredJob,
  temperature: Display['temperature'],
  first?: string,
  second?: string,
): { readonly comparison?: Comparison; readonly problem?: string } {
  const [state, setState] = useState<{ comparison?: Comparison; problem?: string }>({})
  useEffect(() => {
    let current = true
    const job = { unit, arrival, readingSets }
    const ids = first === undefined ? undefined : [first, second]
    answerClient()
      .ask('compare', { job, display: { temperature }, ...(ids ? { ids } : {}) })
      .then(
        (comparison) => current && setState({ comparison }),
        (error: Error) => current && setState({ problem: error.message }),
      )
    return () => {
      current = false
    }
  }, [unit, arrival, readingSets, temperature, first, second])
  return state
}
