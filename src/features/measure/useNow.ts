'use client'
import { useEffect, useState } from 'react'

const EVERY = 30_000

/** The time, coarse: ages of readings move on without drawing all the time. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY)
    return () => clearInterval(timer)
  }, [])
  return now
}
