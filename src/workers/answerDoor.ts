import { type Door, doorInPlace, doorTo, type Handlers } from './protocol'

let door: Door | undefined

const start = () => new Worker(new URL('./answer.worker.ts', import.meta.url), { type: 'module' })
const load = async () => (await import('./answerHandlers')).answerHandlers() as unknown as Handlers

/** The way to everything that is computed of a job, away from the screen's thread. */
export function answerDoor(): Door {
  door ??= typeof Worker === 'undefined' ? doorInPlace(load) : doorTo(start)
  return door
}
