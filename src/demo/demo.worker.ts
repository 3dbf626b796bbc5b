import { type Port, serve } from '@/threads/protocol'
import { demoHandlers } from './buildDemo'

serve(self as unknown as Port, demoHandlers())
