'use client'
import { readingRow } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import type { StageProps } from '../shared/stageProps'
import { putReading } from '@/core/record/edits/readingEdits'
import { useDigitsToPad } from '../shared/entry/useDigitsToPad'
import { useReadingEntry } from '../shared/entry/useReadingEntry'

/** The entry of readings into the set that is looked at; units are remembered by kind. */
export function useEntry({ set, setId, change, display, rememberUnit }: StageProps) {
  const entry = useReadingEntry(set.readings, display, (key, reading, original) =>
    change(putReading(setId, key, reading, original)),
  )
  const chooseUnit = (unit: Unit) => {
    if (entry.draft) rememberUnit(readingRow(entry.draft.key).kind, unit)
    entry.chooseUnit(unit)
  }
  useDigitsToPad(entry)
  return { ...entry, chooseUnit }
}
