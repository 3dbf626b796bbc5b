import { type Port, serve } from '@/threads/protocol'
import { fetchFaces } from './faces'
import { reportHandlers } from './reportHandlers'

serve(self as unknown as Port, reportHandlers(fetchFaces))
