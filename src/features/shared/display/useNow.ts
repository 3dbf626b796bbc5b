'use client'
import { useEffect, useState } from 'react'
import { systemClock } from '@/data/clock'

const COARSE = 30_000

/**
 * The time of this machine, told again and again; at once when the page wakes, or when what asks is shown again.
 * @param every ms; coarse, so that ages of readings move on without drawing all the time
 */
export function useNow(every = COARSE): number {
  const [now, setNow] = useState(() => systemClock.now())
  useEffect(() => {
    const look = () => setNow(systemClock.now())
    const first = setTimeout(look)
    const timer = setInterval(look, every)
    document.addEventListener('visibilitychange', look)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
      document.removeEventListener('visibilitychange', look)
    }
  }, [every])
  return now
}
