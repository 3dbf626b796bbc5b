import { fullDateIn, fullMomentIn, wallIn } from '../base/units/siteTime'
import { HOUR } from '../base/units/time'
import { retestRows } from '../repair/work/retests'
import { otherMode } from '../repair/work/otherMode'
import { upperFirst } from './line'
import type { RoundScene } from './scene'

/** What is due after the job. */
export type FollowUp = {
  readonly what: string
  /** as it is written, where a moment is known */
  readonly when: string | undefined
  /** day like 2026-12-03, by which it is ordered */
  readonly day: string | undefined
}

/** The next first; what has no day comes last. */
export const byDay = (a: FollowUp, b: FollowUp): number => (a.day ?? '9999').localeCompare(b.day ?? '9999')

/** What comes after it: tests, cores, the other mode, the return reading; the next first. */
export function followUps(scene: RoundScene): FollowUp[] {
  const { job, known, answer, now } = scene
  const zone = job.unit.site?.zone
  const started = job.repair?.startedAt
  const due = (ms: number) => ({ when: fullMomentIn(ms, zone), day: wallIn(ms, zone).slice(0, 10) })
  const onDay = (day: string) => ({ when: fullDateIn(`${day}T12:00:00Z`, zone), day })
  const tests = retestRows(answer.plan, job.repair, job.run, now)
    .filter(({ state }) => state !== 'done')
    .map(({ what, dueAt }) => ({ what, ...due(Date.parse(dueAt)) }))
  const visits = answer.plan.returns.map(({ sentence, hours }) => ({
    what: upperFirst(sentence),
    ...(started
      ? due(Date.parse(started) + hours * HOUR)
      : { when: `${hours} h after the start`, day: undefined }),
  }))
  const other = otherMode({ ...job, unit: known.unit })
  const modes =
    other && other.left.length > 0 && other.bookedFor
      ? [{ what: `${upperFirst(other.left.join(' and '))} measured`, ...onDay(other.bookedFor) }]
      : []
  const { proven, returnOn } = job.closing ?? {}
  const back =
    proven === 'not-proven-today'
      ? [
          {
            what: 'Return reading under load',
            ...(returnOn ? onDay(returnOn) : { when: undefined, day: undefined }),
          },
        ]
      : []
  const isWorked = job.steps.length > 0
  return [...(isWorked ? [...tests, ...visits, ...modes] : []), ...back].sort(byDay)
}

/** "Oil tested again for acid, 3 Dec 14:05". */
export const followUpText = ({ what, when }: FollowUp): string => (when ? `${what}, ${when}` : what)
