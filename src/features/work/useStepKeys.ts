'use client'
import type { RefObject } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'

const LOOK = 'form[aria-label="Type a look"] input'

/** Everything of a step by one key each; nothing fires while text is typed. */
export function useStepKeys(article: RefObject<HTMLElement | null>, onMove: (by: 1 | -1) => void): void {
  const press = (selector: string) =>
    article.current?.querySelector<HTMLButtonElement>(`${selector}:not(:disabled)`)?.click()
  const enter = (selector: string) => {
    const field = article.current?.querySelector<HTMLElement>(selector)
    field?.focus()
    return field !== undefined && field !== null
  }
  const quiet = { preventDefault: true }
  useHotkeys('x', () => press('[data-step-bar] button'), quiet)
  useHotkeys('s', () => press('[data-act=pause]:not(:disabled), [data-act=start]'), quiet)
  useHotkeys('l', () => void (enter(LOOK) || press('[data-begin=hand]')), quiet)
  useHotkeys('n', () => void enter('[data-note] textarea, [data-note] input'), quiet)
  useHotkeys('j', () => onMove(1), quiet)
  useHotkeys('k', () => onMove(-1), quiet)
}
