'use client'
import { notFound } from 'next/navigation'
import { type ComponentType, useEffect } from 'react'
import { type JobPageName, readJobPath, SHEETS } from '../shared/address/jobAddress'
import { useJobPath, useRemembered } from '../shared/address/useAddress'
import { STAGE_LABELS } from '../shared/stageNames'
import { JobPage } from './JobPage'
import { PAPER_VIEWS } from './registry'

const TITLES: Readonly<Record<JobPageName, string>> = {
  ...STAGE_LABELS,
  print: 'Report',
  'load-out': 'Load-out list',
}

/** Every page of a job: which one it is stands in the address, and is read in the browser, so that no server is asked. */
export function JobRoutes() {
  const place = readJobPath(useJobPath())
  const page = place?.page
  useRemembered()
  useEffect(() => {
    if (page) document.title = `${TITLES[page]} - Orzo`
  }, [page])
  if (!place) notFound()
  const { jobId } = place
  const sheet = SHEETS.find((each) => each === page)
  if (sheet) {
    const Paper: ComponentType<{ jobId: string }> = PAPER_VIEWS[sheet]
    return <Paper jobId={jobId} />
  }
  return <JobPage key={jobId} jobId={jobId} stage={page as Exclude<typeof page, (typeof SHEETS)[number]>} />
}
