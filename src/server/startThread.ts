import { Worker } from 'node:worker_threads'
import { ROUTE_LIMITS } from './limits'

/** A thread that answers. It runs the same code as the headless door. */
export const startThread = (): Worker =>
  new Worker(new URL('./answer.worker.ts', import.meta.url), {
    resourceLimits: { maxOldGenerationSizeMb: ROUTE_LIMITS.threadMemory },
  })
