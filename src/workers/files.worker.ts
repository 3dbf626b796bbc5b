import { filesHandlers } from './filesHandlers'
import { type Port, serve } from '@/threads/protocol'

serve(self as unknown as Port, filesHandlers())
