import { type Handlers, type Port, serve } from './protocol'
import { scheduleHandlers } from './scheduleHandlers'

serve(self as unknown as Port, scheduleHandlers() as unknown as Handlers)
