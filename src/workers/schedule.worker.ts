import { onConnect } from '@/threads/connect'
import { type Port, serve } from '@/threads/protocol'
import { scheduleHandlers } from './scheduleHandlers'

const scope = self as unknown as Port
serve(scope, scheduleHandlers())
// the answering worker asks by a way of its own
onConnect(scope, (_name, port) => serve(port, scheduleHandlers()))
