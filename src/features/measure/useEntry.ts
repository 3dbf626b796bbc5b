'use client'
import { useCallback } from 'react'
import { putReading } from '@/core/record/edits/readingEdits'
import { readingRow } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import type { PadEntry } from '../shared/entry/padEntry'
import { useDigitsToPad } from '../shared/entry/useDigitsToPad'
import { useReadingEntry } from '../shared/entry/useReadingEntry'
import type { StageProps } from '../shared/stageProps'

/** The entry of readings into the set that is looked at. */
export function useEntry({ set, setId, change, display }: StageProps): PadEntry {
  const entry = useReadingEntry(set.readings, display, (key, reading, original) =>
    change(putReading(setId, key, reading, original)),
  )
  useDigitsToPad(entry)
  return entry
}

/** Chooses the unit of the open tap; it is remembered for its kind. */
export const useUnitChoice = (entry: PadEntry, rememberUnit: StageProps['rememberUnit']) =>
  useCallback(
    (unit: Unit) => {
      const draft = entry.current()
      if (draft) rememberUnit(readingRow(draft.key).kind, unit)
      entry.chooseUnit(unit)
    },
    [entry, rememberUnit],
  )
