'use client'
import type { ReactNode } from 'react'
import { readingRow } from '@/core/record/readings/vocabulary'
import { offeredUnits } from '@/ui/pad/entry'
import { NumericPad } from '@/ui/pad/NumericPad'
import type { useReadingEntry } from './useReadingEntry'

type Props = {
  entry: Omit<ReturnType<typeof useReadingEntry>, 'open' | 'close'>
  onNext: () => void
  /** the thumb that presses Next */
  hand?: 'right' | 'left'
  meaning?: ReactNode
}

/** The pad of the open tap. */
export function EntryPad({ entry, onNext, hand = 'right', meaning }: Props) {
  const { draft } = entry
  if (!draft) return null
  return (
    <NumericPad
      label={readingRow(draft.key).label}
      text={draft.text}
      unit={draft.unit}
      units={offeredUnits(draft.key)}
      message={entry.message}
      fresh={draft.fresh}
      hand={hand}
      meaning={meaning}
      onText={entry.type}
      onKey={entry.press}
      onEdit={entry.edit}
      onLeave={entry.discard}
      onUnit={entry.chooseUnit}
      onNext={onNext}
    />
  )
}
