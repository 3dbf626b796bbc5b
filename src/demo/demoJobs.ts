import type { OrzoDatabase } from '@/data/database'
import { addIfAbsent, type JobWithLogs } from '@/data/jobs'
import { clientInPlace, clientTo } from '@/threads/protocol'
import type { demoHandlers } from './buildDemo'

const load = async () => (await import('./buildDemo')).demoHandlers()

/** A dozen circuits and a day of work are calculated beside the screen, in a worker that ends with it. */
async function built(now: number): Promise<readonly JobWithLogs[]> {
  if (typeof Worker === 'undefined') return clientInPlace(load).ask('build', now)
  const worker = new Worker(new URL('./demo.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await clientTo<ReturnType<typeof demoHandlers>>(() => worker).ask('build', now)
  } finally {
    worker.terminate()
  }
}

/** Adds the demo jobs that are not there; jobs of the same id that were changed stay as they are. */
export async function addDemoJobs(db: OrzoDatabase, now: Date): Promise<void> {
  await addIfAbsent(db, await built(now.getTime()))
}
