'use client'
import { useEffect, useState } from 'react'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { isLoaded, loadRefrigerants } from '@/core/physics/refrigerants/tables'

/** Fetches the property tables of some refrigerants; undefined while they are under way, else a message or nothing. */
export function useTables(names: readonly RefrigerantName[]): {
  ready: boolean
  problem: string | undefined
} {
  const [, setRound] = useState(0)
  const [problem, setProblem] = useState<string>()
  const wanted = names.join(' ')
  useEffect(() => {
    let gone = false
    loadRefrigerants(wanted.split(' ') as RefrigerantName[]).then(
      () => {
        if (!gone) {
          setProblem(undefined)
          setRound((round) => round + 1)
        }
      },
      (error: Error) => {
        if (!gone) setProblem(error.message)
      },
    )
    return () => {
      gone = true
    }
  }, [wanted])
  return { ready: names.every(isLoaded), problem }
}
