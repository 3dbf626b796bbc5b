import { fitHandlers } from './fitHandlers'
import { type Port, serve } from '@/threads/protocol'

serve(self as unknown as Port, fitHandlers())
