'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useCallback, useMemo, useState, useSyncExternalStore } from 'react'
import type { Edit } from '@/core/record/edits/edit'
import type { RecordProblem } from '@/core/record/job/assemble'
import type { StoredJob } from '@/core/record/job/job'
import { systemClock } from '@/data/clock'
import { database } from '@/data/database'
import { changeJob, loadJob } from '@/data/records'
import { useSwept } from './useSwept'
import { recordStep, redo, undo, type Undoable, undoable, watchUndo } from '@/data/undo'

export type JobState =
  | { readonly state: 'loading' }
  | { readonly state: 'missing' }
  | { readonly state: 'ready'; readonly job: StoredJob; readonly unread: readonly RecordProblem[] }

/** Undo and redo of this tab. */
export type Steps = Undoable & { readonly back: () => void; readonly forth: () => void }

const NO_STEPS: Undoable = { undo: false, redo: false }

/** Makes an edit and stores it. @returns whether it is stored; where not, the page says why and what was typed stays */
export type ChangeJob = (edit: Edit) => Promise<boolean>

/** What a failed store means, in a sentence. */
const storeProblem = (error: Error): string =>
  error.name === 'QuotaExceededError' || /quota/i.test(error.message)
    ? 'Not saved: the browser has no room left. Free some space on this device, then enter it again.'
    : `Not saved: ${error.message}`

/** One job, kept up to date across tabs; changes are saved at once. */
export function useJob(
  jobId: string,
): JobState & { change: ChangeJob; steps: Steps; problem: string | undefined; dismiss: () => void } {
  const { swept } = useSwept()
  const found = useLiveQuery(() => (swept ? loadJob(database(), jobId) : undefined), [jobId, swept])
  const [problem, setProblem] = useState<string>()
  const change = useCallback<ChangeJob>(
    (edit) => {
      return changeJob(database(), jobId, edit, systemClock).then(
        ({ changes }) => {
          recordStep(jobId, changes, systemClock.now())
          setProblem(undefined)
          return true
        },
        (error: Error) => {
          setProblem(storeProblem(error))
          return false
        },
      )
    },
    [jobId],
  )
  const step = useCallback(
    (move: typeof undo) => {
      move(database(), jobId, systemClock).then(
        (kept) =>
          setProblem(
            kept.length === 0
              ? undefined
              : `Kept as it is, because another window changed it since: ${kept.join(', ')}.`,
          ),
        (error: Error) => setProblem(`Not changed: ${error.message}`),
      )
    },
    [jobId],
  )
  const can = useSyncExternalStore(
    watchUndo,
    () => undoable(jobId),
    () => NO_STEPS,
  )
  const steps = useMemo<Steps>(
    () => ({ ...can, back: () => step(undo), forth: () => step(redo) }),
    [can, step],
  )
  const dismiss = useCallback(() => setProblem(undefined), [])
  const state: JobState =
    found === undefined
      ? { state: 'loading' }
      : found.job
        ? { state: 'ready', job: found.job, unread: found.problems }
        : { state: 'missing' }
  return { ...state, change, steps, problem, dismiss }
}
