'use client'
import { useEffect, useRef, useState } from 'react'
import type { DecayQuestion } from '@/core/repair/logs/decayFit'
import type { KnownFit } from '@/core/repair/logs/judgeDecay'
import { decayQuestionOf, forecastQuestion, type Given, type LogFacts } from '@/core/repair/logs/kinds'
import type { ForecastAnswer, ForecastQuestion } from '@/core/repair/logs/pullForecast'
import type { WorkLog } from '@/core/repair/logs/series'
import { fitClient } from '@/workers/fitClient'

/** What a worker said of a log; a problem where it could say nothing. */
type Asked<A> = { readonly answer: A | undefined; readonly problem: string | undefined }
type Known<A> = Asked<A> & { readonly of: string }

const NOTHING = { answer: undefined, problem: undefined } as const

/**
 * Asks the worker anew whenever the key changes, one question at a time: what comes while it thinks waits, the newest alone.
 * What stood before stays until then.
 * @param of the log that is asked about; key what the question depends on
 */
function useAsked<Q, A>(
  send: (question: Q) => Promise<A>,
  of: string,
  key: string,
  question: Q | undefined,
): Asked<A> {
  const [known, setKnown] = useState<Known<A>>()
  const wanted = useRef<{ of: string; question: Q }>(undefined)
  const isBusy = useRef(false)
  const isHere = useRef(true)
  const latest = useRef(question)
  useEffect(() => {
    latest.current = question
  })
  useEffect(() => {
    isHere.current = true
    return () => {
      isHere.current = false
    }
  }, [])
  useEffect(() => {
    const ask = async () => {
      isBusy.current = true
      while (wanted.current && isHere.current) {
        const { of: asked, question: own } = wanted.current
        wanted.current = undefined
        const said = await send(own).then(
          (answer): Asked<A> => ({ answer, problem: undefined }),
          (error: Error): Asked<A> => ({ answer: undefined, problem: error.message }),
        )
        if (isHere.current) setKnown({ ...said, of: asked })
      }
      isBusy.current = false
    }
    if (latest.current === undefined) return
    wanted.current = { of, question: latest.current }
    if (!isBusy.current) void ask()
  }, [send, of, key])
  return known?.of === of ? known : NOTHING
}

const askDecay = (question: DecayQuestion) => fitClient().ask('decay', question)
const askForecast = (question: ForecastQuestion) => fitClient().ask('forecast', question)
const lastOf = (log: WorkLog | undefined) => log?.samples.time.at(-1) ?? 0
/** What a log holds, as far as its question depends on it: the newest moment, of a typed one everything. */
const contentOf = (log: WorkLog | undefined, every: number) =>
  log?.head.looks
    ? JSON.stringify([log.head.looks, log.head.marks])
    : `${Math.floor(lastOf(log) / every)} ${log?.head.marks?.length ?? 0}`

/** What is known of the shape of a decay, asked anew with every few looks: pending until its worker has answered. @param id of the log */
export function useDecayFit(id: string, log: WorkLog | undefined, facts: LogFacts): Given {
  const question = log && decayQuestionOf(log, facts)
  const hasPoints = question !== undefined && question.points.length > 0
  const { answer, problem } = useAsked<DecayQuestion, KnownFit>(
    askDecay,
    id,
    `${contentOf(log, 10)} ${question?.ceiling ?? ''}`,
    hasPoints ? question : undefined,
  )
  if (problem !== undefined) return { fit: 'too-few', problem }
  return { fit: answer ?? (hasPoints ? 'pending' : 'too-few') }
}

/** The forecast of a pull, anew each quarter of a minute and with what it is calculated from. @param id of the log */
export function useForecast(id: string, log: WorkLog | undefined, facts: LogFacts): Given {
  const { plan, pump } = facts
  const question = log && forecastQuestion(log, facts)
  const { answer, problem } = useAsked<ForecastQuestion, ForecastAnswer>(
    askForecast,
    id,
    `${contentOf(log, 15)} ${JSON.stringify([plan?.size.volume, pump, question?.target, question?.guess.water])}`,
    question,
  )
  return { forecast: answer, problem }
}
