import { MINUTE } from '../../base/units/time'
import { ONLY_ID, roundOf } from '../records/kinds'
import type { DemoClock } from '../records/run'
import type { Job } from './job'

/** The clock of a demo job; of one from before it stood in the head, that of its first round. */
export function clockOf(job: Pick<Job, 'clock' | 'round' | 'run' | 'others'>): DemoClock | undefined {
  if (job.clock) return job.clock
  const first = job.round === ONLY_ID ? job.run : job.others?.runs.find((run) => roundOf(run) === ONLY_ID)
  return first?.clock
}

/** Only while somebody looks on does the time of a demo job run fast: for this long after it was set, ms. */
const FAST_FOR = 30 * MINUTE

/**
 * The time of a job: the clock on the wall, or in a demo job that runs faster the time that it shows. A function of what is
 * stored alone, so that a page that was closed or killed comes back to the same time.
 * @param real ms since the epoch
 */
export function jobTime(clock: DemoClock | undefined, real: number): number {
  if (!clock) return real
  const [from, shown] = [Date.parse(clock.real), Date.parse(clock.shown)]
  const passed = Math.max(real - from, 0)
  const fast = Math.min(passed, FAST_FOR)
  return shown + fast * clock.speed + (passed - fast)
}

/** The clock from now on at another speed. @param real ms since the epoch */
export const clockAt = (clock: DemoClock | undefined, real: number, speed: number): DemoClock => ({
  real: new Date(real).toISOString(),
  shown: new Date(jobTime(clock, real)).toISOString(),
  speed,
})

/** How fast the time of a job runs at present. */
export const speedOf = (clock: DemoClock | undefined, real: number): number =>
  clock && real - Date.parse(clock.real) < FAST_FOR ? clock.speed : 1
