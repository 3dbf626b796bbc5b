import type { SheetStep, StepState } from '@/core/repair/work/runSheet'

/** What can be done with a step. "next" does it in one tap: its start is implied. */
export type Act =
  'next' | 'start' | 'pause' | 'leave' | 'done' | 'already' | 'back' | 'repeat' | 'drop' | 'remove'

/** In each state, the first one large: of a step that takes no more than hands, and of one that runs unattended. */
const ACTS: Readonly<
  Record<StepState, { readonly hands: readonly Act[]; readonly unattended: readonly Act[] }>
> = {
  ready: { hands: ['next', 'start'], unattended: ['start', 'already'] },
  paused: { hands: ['done', 'start'], unattended: ['start', 'done'] },
  blocked: { hands: ['start'], unattended: ['start'] },
  waits: { hands: ['start', 'already'], unattended: ['start', 'already'] },
  hands: { hands: ['done', 'pause'], unattended: ['done', 'leave', 'pause'] },
  running: { hands: ['done', 'start'], unattended: ['done', 'start'] },
  done: { hands: ['repeat', 'back'], unattended: ['repeat', 'back'] },
  skipped: { hands: ['back', 'repeat'], unattended: ['back', 'repeat'] },
}

const LABELS: Readonly<Record<Act, string>> = {
  next: 'Done, next',
  start: 'Start',
  pause: 'Pause',
  leave: 'Leave it running',
  done: 'Done, next',
  already: 'Done already',
  back: 'Take back',
  repeat: 'Do it again',
  drop: 'Not again after all',
  remove: 'Remove this step',
}
const STATE_LABELS: { readonly [S in StepState]?: { readonly [A in Act]?: string } } = {
  paused: { start: 'Continue' },
  running: { start: 'Hands-on again' },
}
/** After them the sheet leads on. */
const OVER: readonly Act[] = ['next', 'done', 'already', 'remove', 'leave']

export const isOverAfter = (act: Act): boolean => OVER.includes(act)

/** After them the step is done. */
const ENDS: readonly Act[] = ['next', 'done', 'already']
/** Acts that end a step share one button: a tap that falls while the state changes under it is not lost. */
export const buttonOf = (act: Act): string => (ENDS.includes(act) ? 'ends' : act)

/** What the button of an act says. @param isLast nothing comes after it */
export function actLabel(act: Act, state: StepState, isLast: boolean): string {
  if (isLast && (act === 'next' || act === 'done')) return 'Done'
  return STATE_LABELS[state]?.[act] ?? LABELS[act]
}

/** What can be done with a step now, the first one large. */
export function actsOf({ task, state, record }: SheetStep): readonly Act[] {
  const isUntouched =
    record?.own !== undefined && record.pass === undefined && record.spans.length === 0 && !record.doneAt
  const isFreshPass = (record?.pass ?? 1) > 1 && record?.spans.length === 0
  return [
    ...ACTS[state][task.unattended ? 'unattended' : 'hands'],
    ...(isFreshPass && state !== 'skipped' ? (['drop'] as const) : []),
    ...(isUntouched ? (['remove'] as const) : []),
  ]
}
