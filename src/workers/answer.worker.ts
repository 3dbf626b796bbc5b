import { onConnect } from '@/threads/connect'
import { clientTo, type Port, serve } from '@/threads/protocol'
import { answerHandlers } from './answerHandlers'
import type { scheduleHandlers } from './scheduleHandlers'

const scope = self as unknown as Port
let schedule: Port | undefined
onConnect(scope, (_name, port) => {
  schedule = port
})
const client = clientTo<ReturnType<typeof scheduleHandlers>>(() => {
  if (!schedule) throw new Error('The worker of the time plan is not joined yet.')
  return schedule
})

serve(
  scope,
  answerHandlers(() => client),
)
