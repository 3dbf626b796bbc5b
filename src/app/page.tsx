import { connection } from 'next/server'
import { JobsShell } from '@/features/jobs/JobsShell'

export default async function Home() {
  await connection()
  return <JobsShell offerDemo={process.env.ORZO_DEMO === '1'} />
}
