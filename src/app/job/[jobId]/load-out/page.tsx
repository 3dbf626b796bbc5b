import type { Metadata } from 'next'
import { LoadOutPage } from '@/features/print/LoadOutPage'

export const metadata: Metadata = { title: 'Load-out list' }

export default async function LoadOut({ params }: { params: Promise<{ jobId: string }> }) {
  return <LoadOutPage jobId={decodeURIComponent((await params).jobId)} />
}
