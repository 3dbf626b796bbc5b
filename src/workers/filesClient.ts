import { clientInPlace, clientTo, type WorkerClient } from '@/threads/protocol'
import type { filesHandlers } from './filesHandlers'

type FilesHandlers = ReturnType<typeof filesHandlers>
type Client = WorkerClient<FilesHandlers>
let client: Client | undefined

const start = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./filesHandlers')).filesHandlers()

/** The way to what packs and reads files, away from the screen's thread. */
export function filesClient(): Client {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo<FilesHandlers>(start)
  return client
}
