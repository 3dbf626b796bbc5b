'use client'
import { useEffect, useMemo, useState } from 'react'
import { allLogs } from '@/core/record/job/acrossRounds'
import type { StoredJob } from '@/core/record/job/job'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { documentOf } from '@/core/record/job/rounds'
import type { JobReport } from '@/core/report/jobReport'
import { systemClock } from '@/data/clock'
import { Superseded } from '@/threads/protocol'
import { reportClient } from '@/workers/reportClient'
import type { ReportCall } from '@/workers/reportHandlers'
import { useSamples } from '../answer/useSamples'
import { useLook } from '../display/DisplayProvider'
import { useDisplay } from '../display/useDisplay'

/** ms in which nothing more is typed before the report is written anew; the first one is written at once. */
const PAUSE = 250

/** What a report is asked with; undefined until the samples of every ended log are here. */
export function useReportCall(job: StoredJob): ReportCall | undefined {
  const { system } = useLook()
  const { temperature } = useDisplay()
  const logs = allLogs(job)
  const samples = useSamples({ id: job.id, logs })
  const isWhole = logs.every(
    ({ id, purpose, samples: count, looks }) =>
      purpose === undefined || count === undefined || looks !== undefined || samples[id] !== undefined,
  )
  return useMemo(() => {
    if (!isWhole) return undefined
    const now = jobTime(clockOf(job), systemClock.now())
    return { document: documentOf(job), samples, display: { temperature }, system, now }
  }, [job, samples, temperature, system, isWhole])
}

/** The record of a job, written in the worker; undefined until it is, or why it cannot be. */
export function useReport(call: ReportCall | undefined): {
  readonly report: JobReport | undefined
  readonly problem: string | undefined
  /** it answers the records on the screen */
  readonly isFresh: boolean
} {
  const [state, setState] = useState<{ report?: JobReport; of?: ReportCall; problem?: string }>({})
  const isFirst = state.report === undefined
  useEffect(() => {
    if (!call) return
    let current = true
    const ask = () =>
      void reportClient()
        .ask('report', call, { channel: 'report' })
        .then(
          (report) => current && setState({ report, of: call }),
          (error: Error) => {
            if (current && !(error instanceof Superseded))
              setState((now) => ({ ...now, problem: error.message }))
          },
        )
    const timer = setTimeout(ask, isFirst ? 0 : PAUSE)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [call, isFirst])
  return { report: state.report, problem: state.problem, isFresh: state.of === call }
}
