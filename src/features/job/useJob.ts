'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useCallback, useMemo, useState, useSyncExternalStore } from 'react'
import { loadCaseBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import type { Job } from '@/core/record/job/job'
import { propertiesNeeded } from '@/core/repair/plan/propertiesNeeded'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { database } from '@/data/database'
import { changeJob, getJob, type StoredJob } from '@/data/jobs'
import { recordStep, redo, undo, type Undoable, undoable, watchUndo } from '@/data/undo'

export type JobState =
  | { readonly state: 'loading' }
  | { readonly state: 'missing' }
  | { readonly state: 'ready'; readonly job: StoredJob }

/** Undo and redo of this tab. */
export type Steps = Undoable & { readonly back: () => void; readonly forth: () => void }

const NO_STEPS: Undoable = { undo: false, redo: false }

export type ChangeJob = (change: (job: Job) => Job) => void

/** The job, once the properties of its refrigerant are there to compute with. */
async function openJob(jobId: string): Promise<{ job: StoredJob | undefined }> {
  const job = await getJob(database(), jobId)
  if (job) await Promise.all([loadRefrigerants(propertiesNeeded(job.unit)), loadCaseBooks(job.unit)])
  return { job }
}

/** One job, kept up to date across tabs; changes are saved at once. */
export function useJob(
  jobId: string,
): JobState & { change: ChangeJob; steps: Steps; problem: string | undefined; dismiss: () => void } {
  const found = useLiveQuery(() => openJob(jobId), [jobId])
  const [problem, setProblem] = useState<string>()
  const change = useCallback<ChangeJob>(
    (recipe) => {
      const now = new Date()
      changeJob(database(), jobId, recipe, now.toISOString()).then(
        ({ before, after }) => {
          recordStep(jobId, before, after, now.getTime())
          setProblem(undefined)
        },
        (error: Error) => setProblem(`Not saved: ${error.message}`),
      )
    },
    [jobId],
  )
  const step = useCallback(
    (move: typeof undo) => {
      move(database(), jobId, new Date().toISOString()).then(
        () => setProblem(undefined),
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
        ? { state: 'ready', job: found.job }
        : { state: 'missing' }
  return { ...state, change, steps, problem, dismiss }
}
