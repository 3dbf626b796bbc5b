'use client'
import dynamic from 'next/dynamic'
import { Coming } from '../shared/Coming'

/** Every page of a job: database and schemas come behind the first paint. */
export const JobShell = dynamic(() => import('./JobRoutes').then(({ JobRoutes }) => JobRoutes), {
  ssr: false,
  loading: () => <Coming label="Loading the job" />,
})
