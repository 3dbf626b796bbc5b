'use client'
import { useEffect, useRef } from 'react'

type Ending = () => Promise<void>
const endings = new Map<string, Map<symbol, Ending>>()

const keyOf = (job: string, task: string) => `${job} ${task}`

/** While a log of a step is written here, the end of the step ends it. @param end undefined: none is written */
export function useEnding(job: string, task: string, end: Ending | undefined): void {
  const latest = useRef(end)
  useEffect(() => {
    latest.current = end
  })
  const isWritten = end !== undefined
  useEffect(() => {
    if (!isWritten) return
    const key = keyOf(job, task)
    const all = endings.get(key) ?? new Map<symbol, Ending>()
    endings.set(key, all)
    const mine = Symbol(key)
    all.set(mine, () => latest.current?.() ?? Promise.resolve())
    return () => void all.delete(mine)
  }, [job, task, isWritten])
}

/** Ends the logs that are written at a step of a job. Never throws: each tells its own failure. */
export async function endLogsAt(job: string, task: string): Promise<void> {
  for (const end of endings.get(keyOf(job, task))?.values() ?? []) await end()
}
