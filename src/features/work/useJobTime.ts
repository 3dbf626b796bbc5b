'use client'
import { useEffect, useState } from 'react'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { systemClock } from '@/data/clock'

/** What of a job says how its time goes. */
type Timed = Parameters<typeof clockOf>[0]

const EVERY = 1000

/** The time of the job, each second; on waking at once. ms */
export function useJobTime(job: Timed): number {
  const [real, setReal] = useState(() => systemClock.now())
  useEffect(() => {
    const look = () => setReal(systemClock.now())
    const timer = setInterval(look, EVERY)
    document.addEventListener('visibilitychange', look)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', look)
    }
  }, [])
  return jobTime(clockOf(job), real)
}

/** The time of the job now, as it is stored. */
export const jobNow = (job: Timed): string => new Date(jobTime(clockOf(job), systemClock.now())).toISOString()
