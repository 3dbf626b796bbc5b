import { isDecided } from './decisions'
import type { Job } from './job'
import { isMeasured } from './measured'
import { LAST_TASK } from './lastTask'
import { latestPass } from './passes'

export const STAGES = ['arrive', 'measure', 'diagnose', 'plan', 'work', 'close'] as const
export type Stage = (typeof STAGES)[number]

const hasReadings = (job: Job): boolean => job.readingSets.some((set) => Object.keys(set.readings).length > 0)

const DONE: Readonly<Record<Stage, (job: Job) => boolean>> = {
  arrive: (job) => Boolean(job.title && job.arrival?.complaint),
  measure: isMeasured,
  diagnose: isDecided,
  plan: (job) => job.ticks.length > 0,
  work: (job) => latestPass(job.steps, LAST_TASK)?.doneAt !== undefined,
  close: (job) => job.closing?.proven !== undefined,
}

const BLOCKED: Readonly<Record<Stage, (job: Job) => string | undefined>> = {
  arrive: () => undefined,
  measure: () => undefined,
  diagnose: (job) => (hasReadings(job) ? undefined : 'needs readings'),
  plan: (job) => (isDecided(job) || hasReadings(job) ? undefined : 'needs a suspect'),
  work: (job) => (isDecided(job) ? undefined : 'needs a decision'),
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

/** Weights are written while one works; all else of the closing is written at the end. */
const WEIGHTS: readonly string[] = ['recovered', 'charged']
const isClosing = ({ closing = {}, steps }: Job): boolean =>
  Object.keys(closing).some((key) => steps.length === 0 || !WEIGHTS.includes(key))

/** What shows that a job has come to a stage, the last stage first. */
const REACHED: readonly (readonly [Stage, (job: Job) => boolean])[] = [
  ['close', isClosing],
  ['work', (job) => job.steps.length > 0],
  ['plan', (job) => isDecided(job) || job.ticks.length > 0],
  ['diagnose', hasReadings],
  ['measure', (job) => Boolean(job.arrival?.complaint)],
]

/** The stage at which a job stands, from what is on record; looking at a stage moves nothing. */
export const progressOf = (job: Job): Stage => REACHED.find(([, holds]) => holds(job))?.[0] ?? 'arrive'
