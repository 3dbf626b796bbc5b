'use client'
import { useState } from 'react'

const kept = new Map<string, unknown>()

/** State that outlives its component while the tab lives: what one looked at is there when one comes back. */
export function useKept<T>(name: string, first: T): [T, (value: T) => void] {
  const [value, setValue] = useState<T>(() => (kept.has(name) ? (kept.get(name) as T) : first))
  const set = (next: T) => {
    kept.set(name, next)
    setValue(next)
  }
  return [value, set]
}
