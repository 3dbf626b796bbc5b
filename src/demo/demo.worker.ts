import { type Handlers, type Port, serve } from '@/workers/protocol'
import { demoHandlers } from './buildDemo'

serve(self as unknown as Port, demoHandlers() as unknown as Handlers)
