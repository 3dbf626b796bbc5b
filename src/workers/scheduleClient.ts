import { type WorkerClient, clientInPlace, clientTo, type Handlers } from './protocol'

let client: WorkerClient | undefined

const start = () => new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./scheduleHandlers')).scheduleHandlers() as unknown as Handlers

/** The way to the time plan: its search never holds up an answer. */
export function scheduleClient(): WorkerClient {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo(start)
  return client
}
