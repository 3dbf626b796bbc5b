import { answerHandlers } from './answerHandlers'
import { type Handlers, type Port, serve } from './protocol'

serve(self as unknown as Port, answerHandlers() as unknown as Handlers)
