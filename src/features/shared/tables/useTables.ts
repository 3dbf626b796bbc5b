'use client'
import { useEffect, useState } from 'react'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'

const NONE: ReadonlySet<RefrigerantName> = new Set()

/** Fetches the property tables of some refrigerants; what was fetched once stays ready. */
export function useTables(names: readonly RefrigerantName[]): {
  ready: boolean
  problem: string | undefined
} {
  const [loaded, setLoaded] = useState(NONE)
  const [problem, setProblem] = useState<string>()
  const wanted = names.join(' ')
  useEffect(() => {
    let gone = false
    const asked = wanted.split(' ') as RefrigerantName[]
    loadRefrigerants(asked).then(
      () => {
        if (gone) return
        setProblem(undefined)
        setLoaded((before) => new Set([...before, ...asked]))
      },
      (error: Error) => {
        if (!gone) setProblem(error.message)
      },
    )
    return () => {
      gone = true
    }
  }, [wanted])
  return { ready: names.every((name) => loaded.has(name)), problem }
}
