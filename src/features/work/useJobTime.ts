'use client'
import { useEffect, useState } from 'react'
import type { Job } from '@/core/record/job/job'
import { jobTime } from '@/core/record/job/jobTime'
import { systemClock } from '@/data/clock'

const EVERY = 1000

/** The time of the job, each second; on waking at once. ms */
export function useJobTime(job: Pick<Job, 'run'>): number {
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
  return jobTime(job.run?.clock, real)
}

/** The time of the job now, as it is stored. */
export const jobNow = (job: Pick<Job, 'run'>): string =>
  new Date(jobTime(job.run?.clock, systemClock.now())).toISOString()
