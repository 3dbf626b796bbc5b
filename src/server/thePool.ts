import { availableParallelism } from 'node:os'
import { ROUTE_LIMITS } from './limits'
import { AnswerPool } from './pool'
import { startThread } from './startThread'

const KEY = Symbol.for('orzo.answers')
const shared = globalThis as { [KEY]?: AnswerPool }

/** What broke stands where the server's own messages stand. */
const report = (error: Error) =>
  void process.stderr.write(`An answer broke: ${error.stack ?? error.message}\n`)

/** The one pool of this server: each route is a bundle of its own, and all of them share its threads. */
export const thePool = (): AnswerPool =>
  (shared[KEY] ??= new AnswerPool(
    startThread,
    { ...ROUTE_LIMITS, threads: ROUTE_LIMITS.threads(availableParallelism()) },
    report,
  ))
