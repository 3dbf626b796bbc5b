import { type Door, doorInPlace, doorTo, type Handlers } from './protocol'

let door: Door | undefined

const start = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./filesHandlers')).filesHandlers() as unknown as Handlers

/** The way to what packs and reads files, away from the screen's thread. */
export function filesDoor(): Door {
  door ??= typeof Worker === 'undefined' ? doorInPlace(load) : doorTo(start)
  return door
}
