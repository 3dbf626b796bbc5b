import { type WorkerClient, clientInPlace, clientTo, type Handlers } from './protocol'

let client: WorkerClient | undefined

const start = () => new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./fitHandlers')).fitHandlers() as unknown as Handlers

/** The way to fits and forecasts of logs: they never hold up an answer. */
export function fitClient(): WorkerClient {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo(start)
  return client
}
