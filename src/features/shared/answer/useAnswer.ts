'use client'
import { useEffect, useMemo, useState } from 'react'
import type { Answer, Question } from '@/core/answer/answer'
import type { Display } from '@/core/base/units/show'
import type { UnitSystem } from '@/core/base/units/system'
import { saidIn } from '@/core/base/units/textIn'
import type { StoredJob } from '@/core/record/job/job'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { askAnswer } from '@/workers/answerClient'
import { useLook } from '../display/DisplayProvider'
import { Superseded } from '@/threads/protocol'

/** What is known of a job: each part with the question that it answers. */
export type Answered = Answer & {
  /** arithmetic, targets and flags belong to the readings on the screen */
  readonly isArithmeticFresh: boolean
  /** ranking, gates, causes and plan belong to the readings on the screen */
  readonly isFresh: boolean
}

const said = new WeakMap<object, { readonly system: UnitSystem; readonly value: object }>()

/** What is said in a part of an answer, in the units of a system; the same part is said once. */
function saidOnce<T extends object>(part: T, system: UnitSystem): T {
  const known = said.get(part)
  if (known?.system === system) return known.value as T
  const value = saidIn(part, system)
  said.set(part, { system, value })
  return value
}

const saidParts = (answer: Answer, system: UnitSystem): Answer =>
  Object.fromEntries(
    Object.entries(answer).map(([key, part]) => [
      key,
      typeof part === 'object' && part !== null ? saidOnce(part as object, system) : part,
    ]),
  ) as Answer

/** ms: the whole is mostly there sooner, and the page is drawn once; where it takes longer, arithmetic is shown first. */
const PATIENCE = 80

type Known = {
  readonly arithmetic?: { readonly of: Question; readonly assessment: Answer['assessment'] }
  readonly whole?: { readonly of: Question; readonly answer: Answer }
  readonly problem?: string | undefined
}

/**
 * The answer to a job, computed in the worker: arithmetic first, the rest a moment later. Every part knows which state of the
 * job it answers, so that an old ranking is never shown beside new numbers without a mark.
 * @returns undefined until the first answer is there
 */
export function useAnswer(
  job: StoredJob,
  setId: string | undefined,
  temperature: Display['temperature'],
  samples: LogSamples,
): {
  /** said in the units of this browser */
  readonly answer: Answered | undefined
  /** as the judges said it, to be kept beside the logs */
  readonly verdicts: Answer['verdicts'] | undefined
  readonly problem: string | undefined
} {
  const { system } = useLook()
  const question = useMemo<Question>(
    () => ({ job, setId, samples, display: { temperature } }),
    [job, setId, samples, temperature],
  )
  const [known, setKnown] = useState<Known>({})
  useEffect(() => {
    let current = true
    let patience: ReturnType<typeof setTimeout> | undefined
    const onPart = ({ assessment }: Partial<Answer>) => {
      if (!current || !assessment || patience !== undefined) return
      const show = () => setKnown((now) => ({ ...now, arithmetic: { of: question, assessment } }))
      patience = setTimeout(show, PATIENCE)
    }
    askAnswer(question, onPart).then(
      (answer) => {
        clearTimeout(patience)
        if (!current) return
        const { assessment } = answer
        setKnown({ arithmetic: { of: question, assessment }, whole: { of: question, answer } })
      },
      (error: Error) => {
        if (current && !(error instanceof Superseded)) setKnown((now) => ({ ...now, problem: error.message }))
      },
    )
    return () => {
      current = false
      clearTimeout(patience)
    }
  }, [question])
  const answer = useMemo(() => {
    const { whole, arithmetic } = known
    if (!whole) return undefined
    return {
      ...saidParts(whole.answer, system),
      assessment: saidOnce(arithmetic?.assessment ?? whole.answer.assessment, system),
      isArithmeticFresh: arithmetic?.of === question,
      isFresh: whole.of === question,
    }
  }, [known, question, system])
  return {
    answer,
    verdicts: answer?.isFresh ? known.whole?.answer.verdicts : undefined,
    problem: known.problem,
  }
}
