import { notFound } from 'next/navigation'
import { readJobPath } from '@/features/shared/address/jobAddress'
import { JobShell } from '@/features/workbench/JobShell'

type Props = { params: Promise<{ path?: string[] }> }

/** One shell for every page of every job; which one it is, is read in the browser. */
export default async function JobPages({ params }: Props) {
  const { path = [] } = await params
  if (!readJobPath(`/job/${path.join('/')}`)) notFound()
  return <JobShell />
}
