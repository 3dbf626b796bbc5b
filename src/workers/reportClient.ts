import { clientInPlace, clientTo, type WorkerClient } from '@/threads/protocol'
import type { reportHandlers } from './reportHandlers'

type ReportHandlers = ReturnType<typeof reportHandlers>
type Client = WorkerClient<ReportHandlers>
let client: Client | undefined

const start = () => new Worker(new URL('./report.worker.ts', import.meta.url), { type: 'module' })
const load = async () =>
  (await import('./reportHandlers')).reportHandlers((await import('./faces')).fetchFaces)

/** The way to what writes a job's report, away from the screen's thread. */
export function reportClient(): Client {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo<ReportHandlers>(start)
  return client
}
