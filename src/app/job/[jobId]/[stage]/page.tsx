import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { STAGES, type Stage } from '@/core/record/job/stages'
import { JobPage } from '@/features/workbench/JobPage'

type Props = { params: Promise<{ jobId: string; stage: string }> }

const isStage = (word: string): word is Stage => (STAGES as readonly string[]).includes(word)

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { stage } = await params
  return { title: stage.charAt(0).toUpperCase() + stage.slice(1) }
}

export default async function StagePage({ params }: Props) {
  const { jobId, stage } = await params
  if (!isStage(stage)) notFound()
  return <JobPage jobId={decodeURIComponent(jobId)} stage={stage} />
}
