import { expose } from 'comlink'
import { SimulatedBench } from './simulatedBench'

expose(new SimulatedBench())
