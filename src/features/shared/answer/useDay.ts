'use client'
import { useEffect, useSyncExternalStore } from 'react'
import type { StoredJob } from '@/core/record/job/job'
import type { DayPlan, DayQuestion } from '@/core/repair/day/planDay'
import type { Plan } from '@/core/repair/plan/plan'
import { Superseded } from '@/threads/protocol'
import { askDay } from '@/workers/answerClient'
import { scheduleClient } from '@/workers/scheduleClient'

type Known = {
  /** what was asked for last: a plan, or the text of a question */
  readonly asked?: object | string
  readonly of?: object | string
  readonly job?: string
  readonly day?: DayPlan
  readonly isWhole?: boolean
  readonly problem?: string | undefined
}
type Ask = (onStep: (day: DayPlan) => void) => Promise<DayPlan>

// one question at a time for all that show it: a second one would supersede the first
let known: Known = {}
const listeners = new Set<() => void>()
const tell = (change: Partial<Known>) => {
  known = { ...known, ...change }
  for (const each of listeners) each()
}
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}
const NOTHING: Known = {}

function ask(job: string, what: object | string, by: Ask) {
  if (known.asked === what && known.job === job) return
  // what stood there of another job is none of this one's
  known = known.job === job ? { ...known, asked: what } : { job, asked: what }
  const isAsked = () => known.asked === what && known.job === job
  const take = (isWhole: boolean) => (day: DayPlan) => {
    if (isAsked()) tell({ of: what, day, isWhole, problem: undefined })
  }
  by(take(false)).then(take(true), (error: Error) => {
    if (isAsked() && !(error instanceof Superseded)) tell({ problem: error.message })
  })
}

type KnownDay = {
  readonly day: DayPlan | undefined
  /** it belongs to the plan on the screen, and the search is over */
  readonly isFresh: boolean
  readonly problem: string | undefined
}

function useKnownDay(job: string, what: object | string): KnownDay {
  const {
    job: known,
    of,
    day,
    isWhole,
    problem,
  } = useSyncExternalStore(
    subscribe,
    () => latest(),
    () => NOTHING,
  )
  if (known !== job) return { day: undefined, isFresh: false, problem: undefined }
  return { day, isFresh: of === what && isWhole === true, problem }
}
const latest = () => known

/**
 * The time plan of the plan of an answer, searched in its worker: a good one at once, the best a moment later. What stood
 * before stays until then, and is known to be old. The plan does not go there by way of the page.
 */
export function useDay({ id, round }: Pick<StoredJob, 'id' | 'round'>, plan: Plan): KnownDay {
  useEffect(() => ask(id, plan, (onStep) => askDay({ id, round }, onStep)), [id, round, plan])
  return useKnownDay(id, plan)
}

/**
 * The time plan that answers a question.
 * @param of whose it is; text the question as JSON
 */
export function useQuestion(of: string, text: string): KnownDay {
  useEffect(
    () =>
      ask(of, text, (onStep) =>
        scheduleClient().ask('day', JSON.parse(text) as DayQuestion, { channel: 'day', onStep }),
      ),
    [of, text],
  )
  return useKnownDay(of, text)
}
