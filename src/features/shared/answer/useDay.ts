'use client'
import { useEffect, useMemo, useSyncExternalStore } from 'react'
import type { DayPlan, DayQuestion } from '@/core/repair/day/planDay'
import type { Plan } from '@/core/repair/plan/plan'
import { Superseded } from '@/workers/protocol'
import { scheduleClient } from '@/workers/scheduleClient'

/** What a time plan depends on: what is done, what must be in hand, and the day. */
const questionOf = ({ tasks, parts, day }: Plan): DayQuestion => ({
  tasks: tasks.map(
    ({ id, label, handsOn, unattended, machine, after, alongside, opens, flame, refused, from }) => ({
      id,
      label,
      handsOn,
      ...(unattended ? { unattended } : {}),
      ...(machine ? { machine } : {}),
      after,
      alongside,
      opens,
      flame,
      ...(refused ? { refused } : {}),
      from,
    }),
  ),
  parts: parts.map(({ id, label, needs, arrives, struck }) => ({
    id,
    label,
    needs,
    ...(arrives ? { arrives } : {}),
    struck,
  })),
  day,
})

type Known = {
  /** the question that was asked last, and of which job */
  readonly asked?: string
  readonly job?: string
  readonly of?: string
  readonly day?: DayPlan
  readonly isWhole?: boolean
  readonly problem?: string | undefined
}

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

function ask(job: string, text: string) {
  if (known.asked === text && known.job === job) return
  // what stood there of another job is none of this one's
  known = known.job === job ? { ...known, asked: text } : { job, asked: text }
  const take = (isWhole: boolean) => (day: DayPlan) => {
    if (known.asked === text && known.job === job) tell({ of: text, day, isWhole, problem: undefined })
  }
  scheduleClient()
    .ask<DayPlan>('day', JSON.parse(text) as DayQuestion, { channel: 'day', onStep: take(false) })
    .then(take(true), (error: Error) => {
      if (known.asked === text && !(error instanceof Superseded)) tell({ problem: error.message })
    })
}

type KnownDay = {
  readonly day: DayPlan | undefined
  /** it belongs to the plan on the screen, and the search is over */
  readonly isFresh: boolean
  readonly problem: string | undefined
}

/**
 * The time plan of a plan, searched in its worker: a good one at once, the best a moment later. What stood before stays until
 * then, and is known to be old.
 */
export function useDay(jobId: string, plan: Plan): KnownDay {
  const text = useMemo(() => JSON.stringify(questionOf(plan)), [plan])
  return useQuestion(jobId, text)
}

/**
 * The time plan that answers a question.
 * @param jobId what it is of; text the question as JSON
 */
export function useQuestion(jobId: string, text: string): KnownDay {
  const { job, of, day, isWhole, problem } = useSyncExternalStore(
    subscribe,
    () => known,
    () => NOTHING,
  )
  useEffect(() => ask(jobId, text), [jobId, text])
  if (job !== jobId) return { day: undefined, isFresh: false, problem: undefined }
  return { day, isFresh: of === text && isWhole === true, problem }
}
