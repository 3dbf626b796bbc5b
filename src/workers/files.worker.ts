import { filesHandlers } from './filesHandlers'
import { type Handlers, type Port, serve } from './protocol'

serve(self as unknown as Port, filesHandlers() as unknown as Handlers)
