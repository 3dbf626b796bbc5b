'use client'
import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react'
import type { RecordProblem } from '@/core/record/job/assemble'
import type { StoredDocument } from '@/core/record/job/job'
import { systemClock } from '@/data/clock'
import { loadJob } from '@/data/records'
import { database } from '@/data/shared'
import { redo, undo, type Undoable, undoable, watchUndo } from '@/data/undo'
import { storeSentence } from '../storage/storeSentence'
import { useLive } from '../storage/useLive'
import { type ChangeDocument, type ChangeJob, changesOf, type Unstored } from './changes'
import { withHeld } from './held'
import { useSwept } from './useSwept'

export type { ChangeDocument, ChangeJob }

export type JobState =
  | { readonly state: 'loading' }
  | { readonly state: 'missing' }
  | { readonly state: 'ready'; readonly job: StoredDocument; readonly unread: readonly RecordProblem[] }

/** Undo and redo of this tab. */
export type Steps = Undoable & { readonly back: () => void; readonly forth: () => void }

const NO_STEPS: Undoable = { undo: false, redo: false }
const STORED: Unstored = { held: [], problem: undefined }

/** What waits to be stored is tried again when the page is looked at again. */
function useRetryOnReturn(retry: () => Promise<void>) {
  useEffect(() => {
    const again = () => {
      if (document.visibilityState === 'visible') void retry()
    }
    document.addEventListener('visibilitychange', again)
    return () => document.removeEventListener('visibilitychange', again)
  }, [retry])
}

function useSteps(jobId: string, tell: (problem: string | undefined) => void): Steps {
  const step = useCallback(
    (move: typeof undo) => {
      move(database(), jobId, systemClock).then(
        (kept) =>
          tell(
            kept.length === 0
              ? undefined
              : `Kept as it is, because another window changed it since: ${kept.join(', ')}.`,
          ),
        (error: Error) => tell(`Not changed: ${storeSentence(error)}`),
      )
    },
    [jobId, tell],
  )
  const can = useSyncExternalStore(
    watchUndo,
    () => undoable(jobId),
    () => NO_STEPS,
  )
  return useMemo<Steps>(() => ({ ...can, back: () => step(undo), forth: () => step(redo) }), [can, step])
}

/** One job, kept up to date across tabs; changes are saved at once, and stay on screen until they are. */
export function useJob(jobId: string): JobState & {
  change: ChangeDocument
  steps: Steps
  problem: string | undefined
  dismiss: () => void
  /** stores what waits; undefined where nothing does */
  retry: (() => Promise<void>) | undefined
} {
  const { swept } = useSwept()
  const found = useLive(() => (swept ? loadJob(database(), jobId) : undefined), [jobId, swept])
  const changes = changesOf(jobId)
  const { held, problem } = useSyncExternalStore(changes.watch, changes.get, () => STORED)
  useRetryOnReturn(changes.retry)
  const steps = useSteps(jobId, changes.tell)
  const dismiss = useCallback(() => changes.tell(undefined), [changes])
  const stored = found?.job
  const job = useMemo(() => stored && withHeld(stored, held), [stored, held])
  const state: JobState =
    found === undefined
      ? { state: 'loading' }
      : job
        ? { state: 'ready', job, unread: found.problems }
        : { state: 'missing' }
  return {
    ...state,
    change: changes.change,
    steps,
    problem,
    dismiss,
    retry: held.length > 0 ? changes.retry : undefined,
  }
}
