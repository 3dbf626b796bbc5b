import { type Remote, wrap } from 'comlink'
import type { DiagnosisDoor } from './diagnosis.worker'

let door: Remote<DiagnosisDoor> | undefined

/** The diagnosis in its worker, started when it is first needed; undefined where there are no workers (tests, old browsers). */
export function diagnosisDoor(): Remote<DiagnosisDoor> | undefined {
  if (typeof Worker === 'undefined') return undefined
  door ??= wrap<DiagnosisDoor>(
    new Worker(new URL('./diagnosis.worker.ts', import.meta.url), { type: 'module' }),
  )
  return door
}
