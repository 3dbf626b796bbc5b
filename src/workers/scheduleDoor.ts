import { type Door, doorInPlace, doorTo, type Handlers } from './protocol'

let door: Door | undefined

const start = () => new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./scheduleHandlers')).scheduleHandlers() as unknown as Handlers

/** The way to the time plan: its search never holds up an answer. */
export function scheduleDoor(): Door {
  door ??= typeof Worker === 'undefined' ? doorInPlace(load) : doorTo(start)
  return door
}
