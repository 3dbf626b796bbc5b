'use client'
import { useEffect, useRef } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { LiveTap } from '@/instruments/session'

/** Takes each live value once when it has settled, hands free; again only after it moved in between. */
export function useTakeSettled(
  on: boolean,
  taps: ReadonlyMap<ReadingKey, LiveTap>,
  take: (taken: readonly (readonly [ReadingKey, LiveTap])[]) => void,
) {
  const done = useRef(new Set<ReadingKey>())
  useEffect(() => {
    if (!on) {
      done.current.clear()
      return
    }
    const fresh: (readonly [ReadingKey, LiveTap])[] = []
    for (const [key, live] of taps) {
      if (live.state !== 'settled') done.current.delete(key)
      else if (!done.current.has(key)) {
        done.current.add(key)
        fresh.push([key, live])
      }
    }
    if (fresh.length > 0) take(fresh)
  }, [on, taps, take])
}
