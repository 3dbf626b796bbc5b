import type { Stage } from '@/core/record/job/stages'

export const STAGE_LABELS: Readonly<Record<Stage, string>> = {
  arrive: 'Arrive',
  measure: 'Measure',
  diagnose: 'Diagnose',
  plan: 'Plan',
  work: 'Work',
  close: 'Close',
}

/** One letter a stage. */
export const STAGE_KEYS: Readonly<Record<Stage, string>> = {
  arrive: 'a',
  measure: 'm',
  diagnose: 'd',
  plan: 'p',
  work: 'w',
  close: 'c',
}
