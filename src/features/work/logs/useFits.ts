'use client'
import { useEffect, useRef, useState } from 'react'
import type { DecayFit } from '@/core/physics/processes/decay'
import type { Look } from '@/core/repair/work/series'
import type { DecayQuestion, ForecastAnswer, ForecastQuestion } from '@/workers/fitHandlers'
import { fitClient } from '@/workers/fitClient'

const MOST_POINTS = 2000

const pointsOf = (looks: readonly Look[]) => {
  const every = Math.max(1, Math.ceil(looks.length / MOST_POINTS))
  return looks
    .filter((_look, i) => i % every === 0 || i === looks.length - 1)
    .map(({ seconds, value }) => ({ seconds, pascals: value }))
}

/** What a worker said of a log; a problem where it could say nothing. */
export type Asked<A> = { readonly answer: A | undefined; readonly problem: string | undefined }
type Known<A> = Asked<A> & { readonly of: string }

const NOTHING = { answer: undefined, problem: undefined } as const

/**
 * Asks the worker anew whenever the key changes, one question at a time: what comes while it thinks waits, the newest alone.
 * What stood before stays until then.
 * @param of the log that is asked about; key what the question depends on
 */
function useAsked<Q, A>(name: string, of: string, key: string, question: Q | undefined): Asked<A> {
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
        const said = await fitClient()
          .ask<A>(name, own)
          .then(
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
  }, [name, of, key])
  return known?.of === of ? known : NOTHING
}

/** The fit of a decay, anew with every few looks. @param id of the log; ceiling Pa */
export function useDecayFit(
  id: string,
  looks: readonly Look[],
  ceiling: number,
): Asked<DecayFit | undefined> {
  const last = looks.at(-1)?.seconds ?? 0
  const question = looks.length > 0 ? { points: pointsOf(looks), ceiling } : undefined
  return useAsked<DecayQuestion, DecayFit | undefined>(
    'decay',
    id,
    `${Math.floor(last / 10)} ${ceiling}`,
    question,
  )
}

/** The forecast of a pull, anew each quarter of a minute and with what it is reckoned from. @param id of the log */
export function useForecast(
  id: string,
  looks: readonly Look[],
  question: Omit<ForecastQuestion, 'points'>,
): Asked<ForecastAnswer> {
  const last = looks.at(-1)?.seconds ?? 0
  return useAsked<ForecastQuestion, ForecastAnswer>(
    'forecast',
    id,
    `${Math.floor(last / 15)} ${JSON.stringify(question)}`,
    { ...question, points: pointsOf(looks) },
  )
}
