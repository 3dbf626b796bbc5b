import { connection } from 'next/server'
import { JobsPage } from '@/features/jobs/JobsPage'

export default async function Home() {
  await connection()
  return <JobsPage offerDemo={process.env.ORZO_DEMO === '1'} />
}
