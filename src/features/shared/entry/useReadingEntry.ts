'use client'
import { useEffect, useState, useSyncExternalStore } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { PadDraft } from '@/ui/pad/draft'
import { createPadEntry, type PadContext, type PadEntry } from './padEntry'

/** The pad of a place where readings are typed; it is the same object as long as the place is shown. */
export function useReadingEntry(
  readings: PadContext['readings'],
  display: PadContext['display'],
  save: PadContext['save'],
): PadEntry {
  const [entry] = useState(() => createPadEntry({ readings, display, save }))
  useEffect(() => {
    entry.follow({ readings, display, save })
  })
  useEffect(() => {
    const { flush } = entry
    addEventListener('pagehide', flush)
    document.addEventListener('visibilitychange', flush)
    return () => {
      removeEventListener('pagehide', flush)
      document.removeEventListener('visibilitychange', flush)
      flush()
    }
  }, [entry])
  return entry
}

const nothing = () => undefined

/** What stands on the pad; who asks is drawn again at each key. */
export const useDraft = ({ subscribe, current }: PadEntry): PadDraft | undefined =>
  useSyncExternalStore(subscribe, current, nothing)

/** Which tap is open; who asks is drawn again only when another one is. */
export const useOpenKey = ({ subscribe, current }: PadEntry): ReadingKey | undefined =>
  useSyncExternalStore(subscribe, () => current()?.key, nothing)
