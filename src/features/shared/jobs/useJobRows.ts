'use client'
import { useEffect, useSyncExternalStore } from 'react'
import { tellFailed } from '@/data/health'
import { jobRows, signOf } from '@/data/jobRows'
import { database } from '@/data/shared'
import { useLive } from '../storage/useLive'

const EMPTY = { rows: [], whole: false } as const

/** The lines of all jobs, kept in memory and up to date; `known` once the first of them are there. */
export function useJobRows(ready: boolean) {
  const sign = useLive(() => (ready ? signOf(database()) : undefined), [ready])
  const { rows, whole } = useSyncExternalStore(
    (listener) => jobRows(database()).subscribe(listener),
    () => jobRows(database()).get(),
    () => EMPTY,
  )
  useEffect(() => {
    if (sign !== undefined)
      jobRows(database())
        .refresh()
        .catch((error: Error) => tellFailed(database(), error))
  }, [sign])
  return { rows, whole, known: sign !== undefined && (rows.length > 0 || sign.count === 0) }
}
