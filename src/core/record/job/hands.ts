import { MINUTE } from '../../base/units/time'
import type { StepRecord } from '../records/step'

/** Minutes during which somebody was at a step. @param now ms */
export const handMinutes = (step: Pick<StepRecord, 'spans'>, now: number): number =>
  step.spans.reduce(
    (sum, { from, to }) => sum + Math.max((to ? Date.parse(to) : now) - Date.parse(from), 0),
    0,
  ) / MINUTE
