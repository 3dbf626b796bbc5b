'use client'
import { useCallback, useEffect, useState } from 'react'
import { whenOpen } from '@/data/health'
import { database } from '@/data/shared'
import { changeSetting, readSettings, type Settings } from '@/data/settings'

type Stored = Readonly<Record<string, unknown>>

/** What was typed in the tables stays in this browser; `restored` says when it has been read. */
export function useRemembered<T extends object>(
  initial: T,
): { input: T; set: (part: Partial<T>) => void; restored: boolean } {
  const [input, setInput] = useState(initial)
  const [restored, setRestored] = useState(false)
  useEffect(() => {
    let gone = false
    const restore = (stored: Stored) => {
      if (gone) return
      const known = Object.entries(stored).filter(([key]) => key in initial)
      setInput((now) => ({ ...now, ...Object.fromEntries(known) }))
      setRestored(true)
    }
    // Without storage the tables still compute; they only forget what was typed.
    const read = async () => ((await whenOpen(database())) ? readSettings(database()) : {})
    read().then(
      ({ tablesInput }: Settings) => restore(tablesInput ?? {}),
      () => restore({}),
    )
    return () => {
      gone = true
    }
    // The first values are a constant of each table.
  }, []) // eslint-disable-line react-hooks/exhaustive-deps
  const set = useCallback((part: Partial<T>) => {
    setInput((now) => ({ ...now, ...part }))
    changeSetting(database(), 'tablesInput', (now) => ({ ...now, ...part })).catch(() => undefined)
  }, [])
  return { input, set, restored }
}
