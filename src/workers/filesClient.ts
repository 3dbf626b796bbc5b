import { type WorkerClient, clientInPlace, clientTo, type Handlers } from './protocol'

let client: WorkerClient | undefined

const start = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./filesHandlers')).filesHandlers() as unknown as Handlers

/** The way to what packs and reads files, away from the screen's thread. */
export function filesClient(): WorkerClient {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo(start)
  return client
}
