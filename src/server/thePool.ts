import { availableParallelism } from 'node:os'
import { ROUTE_LIMITS } from './limits'
import { AnswerPool } from './pool'
import { startThread } from './startThread'

const KEY = Symbol.for('orzo.answers')
const shared = globalThis as { [KEY]?: AnswerPool }

/** The one pool of this server: each route is a bundle of its own, and all of them share its threads. */
export const thePool = (): AnswerPool =>
  (shared[KEY] ??= new AnswerPool(startThread, {
    ...ROUTE_LIMITS,
    threads: ROUTE_LIMITS.threads(availableParallelism()),
  }))
