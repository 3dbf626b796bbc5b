'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Reading, Readings } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import { type EntryUnits, judgeEntry, startingUnit } from '@/ui/pad/entry'

/** Stores a value; `original` is what the tap held when it was opened. */
type Save = (
  key: ReadingKey,
  reading: { value: number; unit: Unit } | undefined,
  original: Reading | undefined,
) => void
type Draft = {
  readonly key: ReadingKey
  readonly text: string
  readonly unit: Unit
  readonly touched: boolean
  readonly original: Reading | undefined
}

/** Typing pauses longer than this are taken as a finished value, ms; Next, Enter and another tap save at once. */
const PAUSE = 600

/** What stands on the pad, and when it is saved: on Next, on another tap, after a pause, when the page goes away. */
export function useReadingEntry(readings: Readings, display: EntryUnits, save: Save) {
  const [draft, setDraft] = useState<Draft>()
  const latest = useRef({ draft, save, readings, display })
  useEffect(() => {
    latest.current = { draft, save, readings, display }
  })
  const flush = useCallback(() => {
    const { draft: now, save: store } = latest.current
    if (!now?.touched) return
    const entry = judgeEntry(now.text, now.key, now.unit)
    if (entry.state === 'bad') return
    const reading = entry.state === 'good' ? { value: entry.value, unit: entry.unit } : undefined
    store(now.key, reading, now.original)
    // a unit typed behind the number becomes the chosen one
    if (reading && reading.unit !== now.unit)
      setDraft((draft) =>
        draft && draft.key === now.key && draft.text === now.text
          ? { ...draft, text: String(reading.value), unit: reading.unit }
          : draft,
      )
  }, [])
  useEffect(() => {
    if (!draft?.touched) return
    const timer = setTimeout(flush, PAUSE)
    return () => clearTimeout(timer)
  }, [draft, flush])
  useEffect(() => {
    addEventListener('pagehide', flush)
    document.addEventListener('visibilitychange', flush)
    return () => {
      removeEventListener('pagehide', flush)
      document.removeEventListener('visibilitychange', flush)
      flush()
    }
  }, [flush])
  // Stable, so that the list of taps is not drawn again at each digit.
  const open = useCallback(
    (key: ReadingKey) => {
      flush()
      const reading = latest.current.readings[key]
      setDraft({
        key,
        text: reading ? String(reading.value) : '',
        unit: reading?.unit ?? startingUnit(key, latest.current.display),
        touched: false,
        original: reading,
      })
    },
    [flush],
  )
  const close = () => {
    flush()
    setDraft(undefined)
  }
  /** Forgets what is typed, without saving it. */
  const discard = () => {
    latest.current = { ...latest.current, draft: undefined }
    setDraft(undefined)
  }
  const type = (text: string) => setDraft((now) => now && { ...now, text, touched: true })
  const chooseUnit = (unit: Unit) => setDraft((now) => now && { ...now, unit, touched: true })
  const entry = draft && judgeEntry(draft.text, draft.key, draft.unit)
  return {
    draft,
    message: entry?.state === 'bad' ? entry.message : undefined,
    open,
    close,
    discard,
    type,
    chooseUnit,
  }
}
