'use client'
import type { ReactNode } from 'react'
import { readingRow } from '@/core/record/readings/vocabulary'
import type { Unit } from '@/core/base/units/units'
import { offeredUnits } from '@/ui/pad/entry'
import { NumericPad } from '@/ui/pad/NumericPad'
import { messageOf, type PadEntry } from './padEntry'
import { useDraft } from './useReadingEntry'

type Props = {
  entry: PadEntry
  onNext: () => void
  /** another unit was chosen; the pad itself changes it where not said */
  onUnit?: (unit: Unit) => void
  /** the thumb that presses Next */
  hand?: 'right' | 'left'
  meaning?: ReactNode
}

/** The pad of the open tap. */
export function EntryPad({ entry, onNext, onUnit = entry.chooseUnit, hand = 'right', meaning }: Props) {
  const draft = useDraft(entry)
  if (!draft) return null
  return (
    <NumericPad
      label={readingRow(draft.key).label}
      text={draft.text}
      unit={draft.unit}
      units={offeredUnits(draft.key)}
      message={messageOf(draft)}
      fresh={draft.fresh}
      hand={hand}
      meaning={meaning}
      onText={entry.type}
      onKey={entry.press}
      onEdit={entry.edit}
      onLeave={entry.discard}
      onUnit={onUnit}
      onNext={onNext}
    />
  )
}
