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
  /** the last one whose search was over */
  readonly whole?: DayPlan
  readonly problem?: string | undefined
}
type Ask = (onStep: (day: DayPlan) => void) => Promise<DayPlan>

const NOTHING: Known = {}

/** One question at a time for all that show its answer: a second one would supersede the first. */
class Asked {
  #known: Known = {}
  readonly #listeners = new Set<() => void>()
  readonly latest = () => this.#known
  readonly subscribe = (listener: () => void) => {
    this.#listeners.add(listener)
    return () => void this.#listeners.delete(listener)
  }
  #tell(change: Partial<Known>) {
    this.#known = { ...this.#known, ...change }
    for (const each of this.#listeners) each()
  }
  ask(job: string, what: object | string, by: Ask) {
    const { asked, job: before } = this.#known
    if (asked === what && before === job) return
    // what stood there of another job is none of this one's
    this.#known = before === job ? { ...this.#known, asked: what } : { job, asked: what }
    const isAsked = () => this.#known.asked === what && this.#known.job === job
    const take = (isWhole: boolean) => (day: DayPlan) => {
      if (isAsked())
        this.#tell({ of: what, day, isWhole, problem: undefined, ...(isWhole ? { whole: day } : {}) })
    }
    by(take(false)).then(take(true), (error: Error) => {
      if (isAsked() && !(error instanceof Superseded)) this.#tell({ problem: error.message })
    })
  }
}
const ofPlan = new Asked()
const ofRest = new Asked()

type KnownDay = {
  readonly day: DayPlan | undefined
  /** it belongs to the plan on the screen, and the search is over */
  readonly isFresh: boolean
  /** the last one whose search was over: its order stands until the next one is found */
  readonly whole: DayPlan | undefined
  readonly problem: string | undefined
}

function useKnownDay(asked: Asked, job: string, what: object | string): KnownDay {
  const {
    job: known,
    of,
    day,
    isWhole,
    whole,
    problem,
  } = useSyncExternalStore(asked.subscribe, asked.latest, () => NOTHING)
  if (known !== job) return { day: undefined, isFresh: false, whole: undefined, problem: undefined }
  return { day, isFresh: of === what && isWhole === true, whole, problem }
}

/**
 * The time plan of the plan of an answer, searched in its worker: a good one at once, the best a moment later. What stood
 * before stays until then, and is known to be old. The plan does not go there by way of the page.
 */
export function useDay({ id, round }: Pick<StoredJob, 'id' | 'round'>, plan: Plan): KnownDay {
  useEffect(() => ofPlan.ask(id, plan, (onStep) => askDay({ id, round }, onStep)), [id, round, plan])
  return useKnownDay(ofPlan, id, plan)
}

/**
 * The time plan that answers a question.
 * @param of whose it is; text the question as JSON
 */
export function useQuestion(of: string, text: string): KnownDay {
  useEffect(
    () =>
      ofRest.ask(of, text, (onStep) =>
        scheduleClient().ask('day', JSON.parse(text) as DayQuestion, { channel: 'rest', onStep }),
      ),
    [of, text],
  )
  return useKnownDay(ofRest, of, text)
}
