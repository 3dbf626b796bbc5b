import { expose } from 'comlink'
import { WorkBench } from './workBench'

expose(new WorkBench())
