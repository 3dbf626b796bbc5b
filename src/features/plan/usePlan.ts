import { useMemo } from 'react'
import { faultToRepair } from '@/core/answer/diagnoseJob'
import { type Plan, planRepair } from '@/core/repair/plan/plan'
import type { StoredJob } from '@/data/jobs'

/** The plan of a job as it stands. */
export const usePlan = (job: StoredJob): Plan => useMemo(() => planRepair(job, faultToRepair(job)), [job])
