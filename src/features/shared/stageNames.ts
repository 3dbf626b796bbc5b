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

/** The keys of the run sheet, as the list of keys says them. */
export const STEP_KEYS = [
  ['x', 'the large button of the step: done, next'],
  ['s', 'start, continue, pause'],
  ['l', 'log: begin it, or the next look'],
  ['n', 'note to the step'],
  ['j', 'next step of the list'],
  ['k', 'step before it'],
] as const
