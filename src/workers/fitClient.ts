import { clientInPlace, clientTo, type WorkerClient } from '@/threads/protocol'
import type { fitHandlers } from './fitHandlers'

type FitHandlers = ReturnType<typeof fitHandlers>
type Client = WorkerClient<FitHandlers>
let client: Client | undefined

const start = () => new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./fitHandlers')).fitHandlers()

/** The way to fits and forecasts of logs: they never hold up an answer. */
export function fitClient(): Client {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo<FitHandlers>(start)
  return client
}
