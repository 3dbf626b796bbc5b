import { fitHandlers } from './fitHandlers'
import { type Handlers, type Port, serve } from './protocol'

serve(self as unknown as Port, fitHandlers() as unknown as Handlers)
