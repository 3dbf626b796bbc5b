'use client'
import { Coming } from '../shared/Coming'
import { useBehind } from '../shared/useBehind'

const load = () => import('./JobRoutes').then(({ JobRoutes }) => JobRoutes)

/** Every page of a job: database and schemas come behind the first paint. */
export function JobShell() {
  const JobRoutes = useBehind(load)
  return JobRoutes ? <JobRoutes /> : <Coming label="Loading the job" />
}
