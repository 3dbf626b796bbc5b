'use client'
import { useEffect } from 'react'
import { readingRow } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import type { StageProps } from '../job/stageProps'
import { repeated, withReading, withSet } from './sets'
import { useReadingEntry } from './useReadingEntry'

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
export function useEntry({ set, setIndex, change, display, rememberUnit }: StageProps) {
  const entry = useReadingEntry(set.readings, display, (key, reading, original) => {
    const at = new Date().toISOString()
    const stored = reading && repeated({ ...reading, at, source: 'typed' as const }, original)
    change((job) => withSet(job, setIndex, at, (each) => withReading(each, key, stored)))
  })
  const chooseUnit = (unit: Unit) => {
    if (entry.draft) rememberUnit(readingRow(entry.draft.key).kind, unit)
    entry.chooseUnit(unit)
  }
  useDigitsToPad(entry.draft !== undefined, entry.close)
  return { ...entry, chooseUnit }
}
