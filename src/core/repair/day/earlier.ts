import type { Day } from '../../record/records/day'

/** What the tasks of earlier jobs took against what was planned: a factor each, and from how many jobs. */
export type Earlier = NonNullable<Day['earlier']>

/** [practice] one job says little: this many jobs as planned are counted beside the real ones. */
const AS_PLANNED = 2
/** A factor is never believed further than this. */
const LEAST = 0.4
const MOST = 2.5

/**
 * How long each task takes on this machine against the table: the geometric mean of actual over planned, drawn towards 1 while
 * few jobs tell.
 * @param days of the jobs that count
 */
export function earlierTimes(days: readonly Pick<Day, 'took'>[]): Earlier {
  const logs = new Map<string, number[]>()
  for (const { took = {} } of days)
    for (const [id, { planned, actual }] of Object.entries(took))
      if (planned > 0 && actual > 0) logs.set(id, [...(logs.get(id) ?? []), Math.log(actual / planned)])
  return Object.fromEntries(
    [...logs].map(([id, all]) => {
      const mean = all.reduce((total, each) => total + each, 0) / (all.length + AS_PLANNED)
      const factor = Math.min(MOST, Math.max(LEAST, Math.exp(mean)))
      return [id, { factor: Number(factor.toFixed(3)), jobs: all.length }]
    }),
  )
}
