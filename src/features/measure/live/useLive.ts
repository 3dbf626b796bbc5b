'use client'
import { useDeferredValue, useMemo, useSyncExternalStore } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { demoUnit } from '@/demo/observatory'
import { IDLE, LiveSession, type LiveTap, type SessionState, tapsOfSession } from '@/instruments/session'
import { Recorder } from './recorder'
import { SimulatedSource } from '@/instruments/simulatedSource'

/** The simulated unit of a demo job lives ten times as fast as the clock, so that it settles while one looks on. */
export const DEMO_SPEED = 10

type Instruments = { readonly session: LiveSession; readonly recorder: Recorder }
const sessions = new Map<string, Instruments>()

/**
 * The instruments of a job, kept while the tab lives. Only demo jobs have simulated ones: in a job of a customer no
 * value may be made up.
 */
function instrumentsOf(jobId: string): Instruments | undefined {
  const known = sessions.get(jobId)
  if (known) return known
  const demo = demoUnit(jobId)
  if (!demo) return undefined
  const session = new LiveSession(new SimulatedSource({ ...demo, speed: DEMO_SPEED }))
  const instruments = { session, recorder: new Recorder(jobId, session) }
  sessions.set(jobId, instruments)
  return instruments
}

const nothing = () => () => undefined

export type Live = {
  readonly session: LiveSession | undefined
  readonly recorder: Recorder | undefined
  readonly state: SessionState
  /** live values by tap */
  readonly taps: ReadonlyMap<ReadingKey, LiveTap>
}

/** The instruments of a job and what they show now. */
export function useLive(jobId: string): Live {
  const { session, recorder } = instrumentsOf(jobId) ?? {}
  const now = useSyncExternalStore(session?.watch ?? nothing, session?.get ?? (() => IDLE), () => IDLE)
  // drawn in slices: a stream never holds up a finger
  const state = useDeferredValue(now)
  const taps = useMemo(() => tapsOfSession(state), [state])
  return { session, recorder, state, taps }
}
