import { STAGES, type Job, type Stage } from '@/core/record/job/job'

export const STAGE_LABELS: Readonly<Record<Stage, string>> = {
  arrive: 'Arrive',
  measure: 'Measure',
  diagnose: 'Diagnose',
  plan: 'Plan',
  close: 'Close',
}

/** One letter a stage. */
export const STAGE_KEYS: Readonly<Record<Stage, string>> = {
  arrive: 'a',
  measure: 'm',
  diagnose: 'd',
  plan: 'p',
  close: 'c',
}

const hasReadings = (job: Job) => job.readingSets.some((set) => Object.keys(set.readings).length > 0)

const DONE: Readonly<Record<Stage, (job: Job) => boolean>> = {
  arrive: (job) => Boolean(job.title && job.arrival?.complaint),
  measure: hasReadings,
  diagnose: (job) => job.decision?.fault !== undefined,
  plan: (job) => (job.ticked?.length ?? 0) > 0,
  close: (job) => job.closing?.proven !== undefined,
}

const BLOCKED: Readonly<Record<Stage, (job: Job) => string | undefined>> = {
  arrive: () => undefined,
  measure: () => undefined,
  diagnose: (job) => (hasReadings(job) ? undefined : 'needs readings'),
  plan: (job) => (job.decision?.fault || hasReadings(job) ? undefined : 'needs a suspect'),
  close: (job) => (job.readingSets.length > 1 ? undefined : 'needs an after set'),
}

export type StageState = {
  readonly stage: Stage
  readonly done: boolean
  readonly blocked: string | undefined
}

/** What is done, and what still blocks the next gate. */
export const stageStates = (job: Job): StageState[] =>
  STAGES.map((stage) => {
    const done = DONE[stage](job)
    return { stage, done, blocked: done ? undefined : BLOCKED[stage](job) }
  })
