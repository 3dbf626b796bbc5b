import type { JobIndexRow } from '@/data/database'
import { titleOf } from '@/core/report/jobText'

/** Names that are read out before they go; more are counted. */
const MOST_NAMED = 12
/** The first change of a job counts two: one is its making. */
const UNCHANGED = 1

/** What goes, by name; a demo job that somebody worked in is marked. */
export function Named({ jobs }: { jobs: readonly JobIndexRow[] }) {
  const named = jobs.slice(0, MOST_NAMED)
  return (
    <ul>
      {named.map(({ id, summary, demo, clock }) => (
        <li key={id}>
          {titleOf(summary)}
          {demo === 1 && clock > UNCHANGED && ', changed by you'}
        </li>
      ))}
      {jobs.length > named.length && <li>and {jobs.length - named.length} more</li>}
    </ul>
  )
}
