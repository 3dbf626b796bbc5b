'use client'
import { observe, putReading, replaceReading, togglePoint } from '@/core/record/edits/readingEdits'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Observations } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { VetoId } from '@/core/safety/vetoes'
import { useDigitsToPad } from '../../shared/entry/useDigitsToPad'
import { useReadingEntry } from '../../shared/entry/useReadingEntry'
import type { StageProps } from '../../shared/stageProps'

/** What the bench does with a reading, a word, a point of the path. */
export function useBench({ set, setId, change, display }: StageProps) {
  const entry = useReadingEntry(set.readings, display, (key, reading, original) =>
    change(putReading(setId, key, reading, original)),
  )
  useDigitsToPad(entry)
  const store = (key: ReadingKey, value: number) =>
    void change(replaceReading(setId, key, { value, unit: 'ohm' }))
  const see = (key: keyof Observations, value: string | number | undefined) =>
    void change(observe(setId, key, value))
  const point = (id: string) => void change(togglePoint(setId, id))
  return { entry, store, see, point }
}

export type Bench = ReturnType<typeof useBench>

/** What each part of the bench is given. */
export type BenchProps = { unit: UnitPlate; set: StageProps['set']; bench: Bench; vetoes: readonly VetoId[] }
