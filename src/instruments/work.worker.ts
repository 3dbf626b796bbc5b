import { type Port, serve } from '@/threads/protocol'
import { benchHandlers } from './remoteBench'
import { WorkBench } from './workBench'

serve(self as unknown as Port, benchHandlers(new WorkBench()))
