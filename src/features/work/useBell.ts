'use client'
import { useEffect, useRef } from 'react'
import type { SheetStep } from '@/core/repair/work/runSheet'
import { ring, showNote } from './bell'

/** Tells once when what runs unattended is over while the page is open; what ran out before it was opened stands in the list. */
export function useBell(running: readonly SheetStep[]): void {
  const known = useRef(new Map<string, boolean>())
  useEffect(() => {
    for (const { task, record, minutesLeft } of running) {
      const key = `${task.id} ${record?.leftAt}`
      const isOver = (minutesLeft ?? 1) <= 0
      if (isOver && known.current.get(key) === false) {
        ring()
        showNote(`${task.label}: its time is over.`)
      }
      known.current.set(key, isOver)
    }
  }, [running])
}
