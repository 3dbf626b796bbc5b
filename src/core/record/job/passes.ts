import type { StepRecord } from '../records/step'
import { idInRound } from './idInRound'

/** The id of a pass of a task: of the first one of the first round the task's own name, as it always was. */
export const stepId = (round: string, task: string, pass = 1): string =>
  pass === 1 ? idInRound(round, task) : `${round}.${task}.${pass}`

/** Which time a task is done. */
export const passOf = ({ pass = 1 }: Pick<StepRecord, 'pass'>): number => pass

/** The pass of a task that counts: the last one. @param steps of one round */
export const latestPass = <S extends Pick<StepRecord, 'task' | 'pass'>>(
  steps: readonly S[],
  task: string,
): S | undefined =>
  steps.reduce<S | undefined>(
    (latest, step) => (step.task === task && (!latest || passOf(step) > passOf(latest)) ? step : latest),
    undefined,
  )

/** The earlier passes of a task, each with what it showed, the first one first. */
export const earlierPasses = <S extends Pick<StepRecord, 'task' | 'pass'>>(
  steps: readonly S[],
  task: string,
): S[] => {
  const latest = latestPass(steps, task)
  return steps.filter((step) => step.task === task && step !== latest).sort((a, b) => passOf(a) - passOf(b))
}
