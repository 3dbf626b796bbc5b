'use client'
import { useEffect } from 'react'
import { messageOf, type PadEntry } from './padEntry'
import { useOpenKey } from './useReadingEntry'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

/** Digits typed anywhere go to the display of the open tap; Escape closes it, a value that cannot be stored is left. */
export function useDigitsToPad(entry: PadEntry) {
  const active = useOpenKey(entry) !== undefined
  useEffect(() => {
    if (!active) return
    const leave = () => (messageOf(entry.current()) === undefined ? entry.close() : entry.discard())
    const focus = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) leave()
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      if (/^([0-9.,-]|Backspace)$/.test(event.key)) document.getElementById('pad-display')?.focus()
    }
    addEventListener('keydown', focus)
    return () => removeEventListener('keydown', focus)
  }, [active, entry])
}
