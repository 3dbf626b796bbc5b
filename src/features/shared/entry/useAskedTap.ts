'use client'
import { useEffect } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { StageProps } from '../stageProps'

/** Opens the tap that a check asked for, once. */
export function useAskedTap(
  { tap, openTap }: Pick<StageProps, 'tap' | 'openTap'>,
  open: (key: ReadingKey) => void,
) {
  useEffect(() => {
    if (tap === undefined) return
    open(tap)
    openTap(undefined)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- openTap is made anew at each drawing
  }, [tap, open])
}
