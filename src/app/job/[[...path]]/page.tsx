import { Suspense } from 'react'
import { JobRoutes } from '@/features/workbench/JobRoutes'

/** One shell for every page of every job. */
export default function JobShell() {
  return (
    <Suspense>
      <JobRoutes />
    </Suspense>
  )
}
