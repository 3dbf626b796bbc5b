'use client'
import { useEffect, useMemo, useSyncExternalStore } from 'react'
import { samplesOfLooks } from '@/core/record/logs/looks'
import { countOf, type Samples } from '@/core/record/logs/samples'
import { clockOf } from '@/core/record/job/jobTime'
import type { LogHead } from '@/core/record/records/log'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import type { Plan } from '@/core/repair/plan/plan'
import { readSamples } from '@/data/logs'
import { database } from '@/data/shared'
import { demoPlant } from '@/demo/demoPlant'
import { WorkSource } from '@/instruments/workSource'
import type { StageProps } from '../../shared/stageProps'
import { useLive } from '../../shared/storage/useLive'
import { type Watching, WATCHING_NOTHING, WorkRecorder } from './workRecorder'

const recorders = new Map<string, WorkRecorder>()
/** The same job has the same noise. */
const SEED = 71

type Facts = Pick<StageProps, 'job' | 'unit'> & { readonly plan: Plan }

/**
 * The instruments and the log of a job at work, kept while the tab lives. Only demo jobs have simulated ones: in a job of a
 * customer no value may be made up.
 */
function recorderOf(facts: Facts): WorkRecorder {
  const { job } = facts
  const known = recorders.get(job.id)
  if (known) return known
  const source = job.demo
    ? new WorkSource({ plant: demoPlant(facts), seed: SEED, clock: clockOf(job) })
    : undefined
  const recorder = new WorkRecorder(job.id, source)
  recorders.set(job.id, recorder)
  return recorder
}

export type Work = {
  readonly recorder: WorkRecorder
  readonly source: WorkSource | undefined
  readonly watching: Watching
}

export function useWork(facts: Facts): Work {
  const recorder = recorderOf(facts)
  const watching = useSyncExternalStore(recorder.watch, recorder.get, () => WATCHING_NOTHING)
  const { source } = recorder
  return { recorder, source: source instanceof WorkSource ? source : undefined, watching }
}

/** A pass of a task: logs that name none belong to the first one. */
export type StepRef = { readonly id: string; readonly pass: number }

/** The newest log of a purpose that belongs to a pass of a task. */
const newest = (logs: readonly LogHead[], purpose: LogPurpose, { id, pass }: StepRef): LogHead | undefined =>
  logs
    .filter((log) => log.purpose === purpose && (log.step === id || (log.step === undefined && pass === 1)))
    .sort((a, b) => Date.parse(a.startedAt) - Date.parse(b.startedAt))
    .at(-1)

export type PurposeLog = {
  readonly head: LogHead | undefined
  readonly samples: Samples | undefined
  /** it is being written by this window */
  readonly isOwn: boolean
  /** it was not ended */
  readonly isOpen: boolean
  /** its looks are typed: any window may write them down, and correct them */
  readonly isTyped: boolean
}

/** A log of a task with its samples; one that was broken off is gone on with by the first window that can. */
export function usePurposeLog(
  job: Facts['job'],
  { recorder, watching }: Work,
  purpose: LogPurpose,
  step: StepRef,
): PurposeLog {
  const head = newest(job.logs, purpose, step)
  const isOpen = head !== undefined && head.samples === undefined
  const typed = head && samplesOfLooks(head)
  const isTyped = typed !== undefined
  const isOwn = watching.log !== undefined && watching.log.id === head?.id
  const stored = useLive(
    () => (head && !isOwn && !isTyped ? readSamples(database(), job.id, head) : undefined),
    [job.id, head?.id, isOwn, isTyped],
  )
  useEffect(() => {
    if (!head || !isOpen || isOwn || isTyped || watching.log) return
    void recorder.resume(head)
  }, [head, isOpen, isOwn, isTyped, recorder, watching.log])
  const samples = typed ?? (isOwn ? watching.samples : stored)
  return useMemo(() => ({ head, samples, isOwn, isOpen, isTyped }), [head, samples, isOwn, isOpen, isTyped])
}

/** Whether there is anything to judge. */
export const hasSamples = (samples: Samples | undefined): samples is Samples =>
  samples !== undefined && countOf(samples) > 0
