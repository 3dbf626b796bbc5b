'use client'
import { useEffect, useState } from 'react'
import { systemClock } from '@/data/clock'

const EVERY = 30_000

/** The time, coarse: ages of readings move on without drawing all the time. */
export function useNow(): number {
  const [now, setNow] = useState(() => systemClock.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(systemClock.now()), EVERY)
    return () => clearInterval(timer)
  }, [])
  return now
}
