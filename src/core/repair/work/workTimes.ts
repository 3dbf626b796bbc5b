import { handMinutes } from '../../record/job/hands'
import type { StepRecord } from '../../record/records/step'

/** When a repair was worked on, by the moments of its steps. ms, minutes */
export type WorkTimes = { readonly from: number; readonly to: number; readonly hands: number }

/** From the first hand on it to the last moment of a step, and the hands of all; undefined before anybody worked. @param now ms */
export function workTimes(
  steps: readonly Pick<StepRecord, 'spans' | 'doneAt'>[],
  now: number,
): WorkTimes | undefined {
  const begins = steps.flatMap(({ spans }) => spans.map(({ from }) => Date.parse(from)))
  if (begins.length === 0) return undefined
  const ends = steps.flatMap(({ spans, doneAt }) => [
    ...spans.map(({ to }) => (to === undefined ? now : Date.parse(to))),
    ...(doneAt === undefined ? [] : [Date.parse(doneAt)]),
  ])
  return {
    from: Math.min(...begins),
    to: Math.max(...ends),
    hands: steps.reduce((sum, step) => sum + handMinutes(step, now), 0),
  }
}
