'use client'
import { useEffect, useMemo, useState } from 'react'
import type { Answer, Partly, Question } from '@/core/answer/answer'
import type { Display } from '@/core/base/units/show'
import type { StoredJob } from '@/core/record/job/job'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { answerClient } from '@/workers/answerClient'
import { Superseded } from '@/workers/protocol'

/** What is known of a job: each part with the question that it answers. */
export type Answered = Answer & {
  /** arithmetic, targets and flags belong to the readings on the screen */
  readonly isArithmeticFresh: boolean
  /** ranking, gates, causes and plan belong to the readings on the screen */
  readonly isFresh: boolean
}

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
    const onStep = ({ assessment }: Partly) => {
      if (current)
        setKnown((now) =>
          now.arithmetic?.of === question ? now : { ...now, arithmetic: { of: question, assessment } },
        )
    }
    answerClient()
      .ask<Answer>('answer', question, { channel: `answer ${question.job.id} ${question.job.round}`, onStep })
      .then(
        (answer) => {
          if (!current) return
          const { assessment } = answer
          setKnown({ arithmetic: { of: question, assessment }, whole: { of: question, answer } })
        },
        (error: Error) => {
          if (current && !(error instanceof Superseded))
            setKnown((now) => ({ ...now, problem: error.message }))
        },
      )
    return () => {
      current = false
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
