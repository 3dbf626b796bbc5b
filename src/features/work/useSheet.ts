'use client'
import { MINUTE } from '@/core/base/units/time'
import { useMemo } from 'react'
import { unitState } from '@/core/record/state/unitState'
import type { UnitState } from '@/core/record/state/unit'
import { isDecided } from '@/core/record/job/decisions'
import { saidIn } from '@/core/base/units/textIn'
import { orderOf } from '@/core/repair/day/order'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import { workBegan } from '@/core/repair/plan/workBegan'
import { holdingNow } from '@/core/repair/work/holdingNow'
import { type RunSheet, runSheet } from '@/core/repair/work/runSheet'
import { useDay } from '../shared/answer/useDay'
import { useLook } from '../shared/display/DisplayProvider'
import type { StageProps } from '../shared/stageProps'
import { useJobTime } from './useJobTime'

/** How the unit stands now: from the records on the screen, so that it never lags behind a step that was just ended. */
export function useUnitState({ job, unit }: Pick<StageProps, 'job' | 'unit'>): UnitState {
  return useMemo(() => unitState({ ...job, unit }, effectsOf), [job, unit])
}

/** The run sheet as it stands now. */
export function useSheet(props: StageProps): {
  readonly sheet: RunSheet
  readonly now: number
  /** the order of the day is known, or there is none */
  readonly isOrdered: boolean
} {
  const now = useJobTime(props.job)
  const { job, unit, answer } = props
  const { system } = useLook()
  const { day, whole, problem } = useDay(job, answer.plan)
  // a good order at once, the best when it is found
  const ordered = whole ?? day
  const order = useMemo(() => orderOf(ordered?.rows ?? []), [ordered])
  const state = useUnitState(props)
  // the sheet moves by the minute; clocks beside it by the second
  const minute = Math.floor(now / 5000) * 5000
  const sheet = useMemo(() => {
    const { plan, vetoes, verdicts } = answer
    const holding = holdingNow({ unit, vetoes, state, plan, began: workBegan(job) })
    // without a decision nothing is planned: what was done stays, as planned no longer
    const tasks = isDecided(job) ? plan.tasks : []
    const scene = { job: { ...job, unit }, tasks, state, holding, verdicts }
    return saidIn(runSheet(scene, Math.max(minute, latestMoment(job)), order), system)
  }, [job, unit, answer, state, minute, order, system])
  return { sheet, now, isOrdered: ordered !== undefined || problem !== undefined }
}

/** What was just done is never in the future of the sheet. */
function latestMoment({ steps }: StageProps['job']): number {
  return steps.reduce((latest, { spans, leftAt, doneAt }) => {
    const all = [spans.at(-1)?.from, leftAt, doneAt].flatMap((each) => (each ? [Date.parse(each)] : []))
    return Math.max(latest, ...all)
  }, -MINUTE)
}
