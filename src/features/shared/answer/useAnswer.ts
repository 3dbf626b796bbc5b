'use client'
import { useEffect, useMemo, useState } from 'react'
import type { Answer, Question } from '@/core/answer/answer'
import type { Display } from '@/core/base/units/show'
import type { StoredJob } from '@/core/record/job/job'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { askAnswer } from '@/workers/answerClient'
import { Superseded } from '@/threads/protocol'

/** What is known of a job: each part with the question that it answers. */
export type Answered = Answer & {
  /** arithmetic, targets and flags belong to the readings on the screen */
  readonly isArithmeticFresh: boolean
  /** ranking, gates, causes and plan belong to the readings on the screen */
  readonly isFresh: boolean
}

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
): { readonly answer: Answered | undefined; readonly problem: string | undefined } {
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
      ...whole.answer,
      assessment: arithmetic?.assessment ?? whole.answer.assessment,
      isArithmeticFresh: arithmetic?.of === question,
      isFresh: whole.of === question,
    }
  }, [known, question])
  return { answer, problem: known.problem }
}
