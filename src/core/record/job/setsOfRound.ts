import { instantOf } from '../../base/units/instants'
import { roundOf } from '../records/kinds'
import type { JobSet } from '../records/set'
import type { Job } from './job'
import { roundsOf } from './rounds'

type Rounds = Pick<Job, 'readingSets' | 'rounds' | 'createdAt' | 'round' | 'others'>

/** When the unit ran again after the last of some rounds, ms; undefined while it did in none. */
function lastStart({ others }: Rounds, rounds: readonly string[]): number | undefined {
  const starts = (others?.repairs ?? [])
    .filter((repair) => rounds.includes(roundOf(repair)))
    .flatMap(({ startedAt }) => instantOf(startedAt) ?? [])
  return starts.length > 0 ? Math.max(...starts) : undefined
}

/**
 * The sets that speak for a round: its own, and those of rounds before it that were taken since the unit last ran again:
 * what was read before that repair says nothing of what is inside now.
 */
export function setsOfRound(job: Rounds): JobSet[] {
  if (job.rounds.length === 0) return job.readingSets
  const order = roundsOf(job).map(({ id }) => id)
  const own = order.indexOf(job.round)
  const earlier = order.slice(0, own)
  const start = lastStart(job, earlier)
  const sets = job.readingSets.filter((set) => {
    const round = roundOf(set)
    if (round === job.round) return true
    if (!earlier.includes(round)) return false
    return start === undefined || (instantOf(set.at) ?? -Infinity) >= start
  })
  return sets.length === job.readingSets.length ? job.readingSets : sets
}
