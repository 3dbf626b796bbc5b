'use client'
import { useEffect } from 'react'
import { readingRow } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import type { StageProps } from '../shared/stageProps'
import { putReading } from '@/core/record/edits/readingEdits'
import { useReadingEntry } from '../shared/entry/useReadingEntry'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

/** Digits typed anywhere go to the display of the open tap; Escape closes it. */
function useDigitsToPad(active: boolean, close: () => void) {
  useEffect(() => {
    if (!active) return
    const focus = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) close()
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      if (/^[0-9.-]$/.test(event.key)) document.getElementById('pad-display')?.focus()
    }
    addEventListener('keydown', focus)
    return () => removeEventListener('keydown', focus)
  }, [active, close])
}

/** The entry of readings into the set that is looked at; units are remembered by kind. */
export function useEntry({ set, setId, change, display, rememberUnit }: StageProps) {
  const entry = useReadingEntry(set.readings, display, (key, reading, original) =>
    change(putReading(setId, key, reading, original)),
  )
  const chooseUnit = (unit: Unit) => {
    if (entry.draft) rememberUnit(readingRow(entry.draft.key).kind, unit)
    entry.chooseUnit(unit)
  }
  useDigitsToPad(entry.draft !== undefined, entry.close)
  return { ...entry, chooseUnit }
}
