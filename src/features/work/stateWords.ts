import type { ClockText } from '@/ui/siteClock'
import { durationText } from '@/core/base/units/wall'
import type { SheetStep, StepState } from '@/core/repair/work/runSheet'

/** Shape and word of a state: never colour alone. */
export const STATE_MARKS: Readonly<Record<StepState, string>> = {
  done: '●',
  skipped: '–',
  hands: '▶',
  running: '◔',
  paused: '‖',
  ready: '○',
  blocked: '⬣',
  waits: '·',
}

export const STATE_WORDS: Readonly<Record<StepState, string>> = {
  done: 'done',
  skipped: 'left out',
  hands: 'at work',
  running: 'runs unattended',
  paused: 'begun',
  ready: 'can begin',
  blocked: 'held by a gate',
  waits: 'waits',
}

/** "18 min left", "over for 4 min". */
export function leftText(minutes: number): string {
  if (minutes >= 1) return `${durationText(Math.ceil(minutes))} left`
  return minutes > -1 ? 'over now' : `over for ${durationText(Math.floor(-minutes))}`
}

/** What stands behind a step in a list. */
export function stepNote({ state, record, hands, minutesLeft, task }: SheetStep, time: ClockText): string {
  if (state === 'done' && record?.doneAt)
    return `${time(record.doneAt)}${hands >= 1 ? `, ${durationText(hands)} hands-on` : ''}`
  if (state === 'skipped') return record?.skipped?.reason ?? ''
  if (state === 'running' && minutesLeft !== undefined) return leftText(minutesLeft)
  if (state === 'hands') return durationText(hands)
  const alone = task.unattended ? ` + ${durationText(task.unattended[1])} unattended` : ''
  return `${durationText(task.handsOn[1])}${alone}`
}
