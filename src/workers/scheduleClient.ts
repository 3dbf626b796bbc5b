import { clientInPlace, clientTo, type WorkerClient } from '@/threads/protocol'
import type { scheduleHandlers } from './scheduleHandlers'

type ScheduleHandlers = ReturnType<typeof scheduleHandlers>
type Client = WorkerClient<ScheduleHandlers>
let client: Client | undefined
let worker: Worker | undefined

/** The worker of the time plan: the page asks it for the rest of a day, the answering worker for that of a plan. */
export function scheduleWorker(): Worker {
  worker ??= new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' })
  return worker
}

let wasOpened = false
/** The worker for the page; another one after it broke. */
function opened(): Worker {
  if (wasOpened) worker = undefined
  wasOpened = true
  return scheduleWorker()
}

const load = async () => (await import('./scheduleHandlers')).scheduleHandlers()

/** The way to the time plan: its search never holds up an answer. */
export function scheduleClient(): Client {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo<ScheduleHandlers>(opened)
  return client
}
