import { type Door, doorInPlace, doorTo, type Handlers } from './protocol'

let door: Door | undefined

const start = () => new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./fitHandlers')).fitHandlers() as unknown as Handlers

/** The way to fits and forecasts of logs: they never hold up an answer. */
export function fitDoor(): Door {
  door ??= typeof Worker === 'undefined' ? doorInPlace(load) : doorTo(start)
  return door
}
