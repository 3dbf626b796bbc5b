'use client'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { systemClock } from '@/data/clock'
import { useNow } from '../shared/display/useNow'

/** What of a job says how its time goes. */
type Timed = Parameters<typeof clockOf>[0]

const EVERY = 1000

/** The time of the job, each second. ms */
export const useJobTime = (job: Timed): number => jobTime(clockOf(job), useNow(EVERY))

/** The time of the job now, as it is stored. */
export const jobNow = (job: Timed): string => new Date(jobTime(clockOf(job), systemClock.now())).toISOString()
