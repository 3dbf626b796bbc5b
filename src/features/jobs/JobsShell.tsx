'use client'
import dynamic from 'next/dynamic'
import { Coming } from '../shared/Coming'

/** The list of jobs: database and schemas come behind the first paint. */
export const JobsShell = dynamic(() => import('./JobsPage').then(({ JobsPage }) => JobsPage), {
  ssr: false,
  loading: () => <Coming label="Loading the jobs" />,
})
