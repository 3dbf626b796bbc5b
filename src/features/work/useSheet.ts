'use client'
import { useMemo } from 'react'
import { type RunSheet, runSheet } from '@/core/repair/work/runSheet'
import type { StageProps } from '../shared/stageProps'
import { useJobTime } from './useJobTime'

const MINUTE = 60_000

/** The run sheet as it stands now. */
export function useSheet(props: StageProps): { readonly sheet: RunSheet; readonly now: number } {
  const now = useJobTime(props.job)
  const { job, unit, answer } = props
  // the sheet moves by the minute; clocks beside it by the second
  const minute = Math.floor(now / 5000) * 5000
  const sheet = useMemo(
    () =>
      runSheet(
        { job: { ...job, unit }, tasks: answer.plan.tasks, holding: answer.plan.holding },
        Math.max(minute, latestMoment(job)),
      ),
    [job, unit, answer.plan, minute],
  )
  return { sheet, now }
}

/** What was just done is never in the future of the sheet. */
function latestMoment({ steps }: StageProps['job']): number {
  return steps.reduce((latest, { spans, leftAt, doneAt }) => {
    const all = [spans.at(-1)?.from, leftAt, doneAt].flatMap((each) => (each ? [Date.parse(each)] : []))
    return Math.max(latest, ...all)
  }, -MINUTE)
}
