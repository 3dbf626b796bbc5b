'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Reading, Readings } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import { editing, followed, given, inUnit, openDraft, type PadDraft, pressed, typed } from '@/ui/pad/draft'
import { type EntryUnits, judgeEntry } from '@/ui/pad/entry'

/** Stores a value; `original` is what the tap held when it was opened. */
type Save = (
  key: ReadingKey,
  reading: { value: number; unit: Unit } | undefined,
  original: Reading | undefined,
) => void

/** Typing pauses longer than this are taken as a finished value, ms; Next, Enter and another tap save at once. */
const PAUSE = 600

const judged = ({ text, key, unit }: PadDraft) => judgeEntry(text, key, unit)
const isBad = (draft: PadDraft | undefined) => draft !== undefined && judged(draft).state === 'bad'

/**
 * What stands on the pad, and when it is saved: on Next, on another tap, after a pause, when the page goes away. What was
 * saved is not saved again, so that nothing that came to the tap in the meantime is written over. A value that cannot be
 * stored keeps the pad open until it is put right or left as it was.
 */
export function useReadingEntry(readings: Readings, display: EntryUnits, save: Save) {
  const [held, setDraft] = useState<PadDraft>()
  const draft = held && followed(held, readings[held.key])
  // what came from the store is kept at once, so that it is told apart from what comes next
  if (draft !== held) setDraft(draft)
  const latest = useRef({ draft, save, readings, display })
  useEffect(() => {
    latest.current = { draft, save, readings, display }
  })
  const put = useCallback((next: PadDraft | undefined) => {
    latest.current = { ...latest.current, draft: next }
    setDraft(next)
  }, [])
  const flush = useCallback(() => {
    const { draft: now, save: store } = latest.current
    if (!now?.touched) return
    const entry = judged(now)
    if (entry.state === 'bad') return
    const reading = entry.state === 'good' ? { value: entry.value, unit: entry.unit } : undefined
    put(given(now, reading))
    store(now.key, reading, now.original)
  }, [put])
  const isTouched = draft?.touched === true
  const text = draft?.text
  useEffect(() => {
    if (!isTouched) return
    const timer = setTimeout(flush, PAUSE)
    return () => clearTimeout(timer)
  }, [isTouched, text, draft?.unit, flush])
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
      if (isBad(latest.current.draft)) return
      flush()
      put(openDraft(key, latest.current.readings[key], latest.current.display))
    },
    [flush, put],
  )
  const close = useCallback(() => {
    if (isBad(latest.current.draft)) return
    flush()
    put(undefined)
  }, [flush, put])
  /** Forgets what is typed, without saving it. */
  const discard = useCallback(() => put(undefined), [put])
  const change = (make: (now: PadDraft) => PadDraft) => {
    const { draft: now } = latest.current
    if (now) put(make(now))
  }
  const entry = draft && judged(draft)
  return {
    draft,
    message: entry?.state === 'bad' ? entry.message : undefined,
    open,
    close,
    discard,
    type: (next: string) => change((now) => typed(now, next)),
    press: (key: string) => change((now) => pressed(now, key)),
    edit: () => change(editing),
    chooseUnit: (unit: Unit) => change((now) => inUnit(now, unit)),
  }
}
