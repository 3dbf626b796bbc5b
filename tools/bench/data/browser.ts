import { runData } from './workload'

Object.assign(globalThis, { runData })
