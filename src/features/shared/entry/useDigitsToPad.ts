'use client'
import { useEffect } from 'react'
import type { useReadingEntry } from './useReadingEntry'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

type Entry = Pick<ReturnType<typeof useReadingEntry>, 'draft' | 'message' | 'close' | 'discard'>

/** Digits typed anywhere go to the display of the open tap; Escape closes it, a value that cannot be stored is left. */
export function useDigitsToPad({ draft, message, close, discard }: Entry) {
  const active = draft !== undefined
  const leave = message === undefined ? close : discard
  useEffect(() => {
    if (!active) return
    const focus = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) leave()
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      if (/^([0-9.,-]|Backspace)$/.test(event.key)) document.getElementById('pad-display')?.focus()
    }
    addEventListener('keydown', focus)
    return () => removeEventListener('keydown', focus)
  }, [active, leave])
}
