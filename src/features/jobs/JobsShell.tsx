'use client'
import { Coming } from '../shared/Coming'
import { useBehind } from '../shared/useBehind'

const load = () => import('./JobsPage').then(({ JobsPage }) => JobsPage)

/** The list of jobs: database and schemas come behind the first paint. */
export function JobsShell({ offerDemo }: { offerDemo: boolean }) {
  const JobsPage = useBehind(load)
  return JobsPage ? <JobsPage offerDemo={offerDemo} /> : <Coming label="Loading the jobs" />
}
