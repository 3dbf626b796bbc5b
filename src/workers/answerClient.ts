import { type WorkerClient, clientInPlace, clientTo, type Handlers } from './protocol'

let client: WorkerClient | undefined

const start = () => new Worker(new URL('./answer.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./answerHandlers')).answerHandlers() as unknown as Handlers

/** The way to everything that is computed of a job, away from the screen's thread. */
export function answerClient(): WorkerClient {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo(start)
  return client
}
