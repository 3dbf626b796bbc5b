import type { Metadata } from 'next'
import { PrintPage } from '@/features/print/PrintPage'

export const metadata: Metadata = { title: 'Report' }

export default async function Print({ params }: { params: Promise<{ jobId: string }> }) {
  return <PrintPage jobId={decodeURIComponent((await params).jobId)} />
}
