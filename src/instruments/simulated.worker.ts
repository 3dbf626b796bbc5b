import { type Port, serve } from '@/threads/protocol'
import { benchHandlers } from './remoteBench'
import { SimulatedBench } from './simulatedBench'

serve(self as unknown as Port, benchHandlers(new SimulatedBench()))
