/** Codes of every problem the core reports; each comes with a sentence that says what to do. */
export type ErrorCode =
  | 'bad-number'
  | 'bad-log'
  | 'bad-table'
  | 'bad-archive'
  | 'bad-photo'
  | 'unknown-unit'
  | 'wrong-unit'
  | 'unknown-refrigerant'
  | 'out-of-range'
  | 'not-converged'
  | 'not-loaded'
  | 'not-simulated'
  | 'bad-document'
  | 'no-reading-set'
  | 'lost-base'

/**
 * A problem with input that the user can put right.
 * `message` is a whole sentence for the user; `details` holds the figures in SI.
 */
export class OrzoError extends Error {
  readonly code: ErrorCode
  readonly details: Readonly<Record<string, string | number>>

  constructor(code: ErrorCode, sentence: string, details: Record<string, string | number> = {}) {
    super(sentence)
    this.name = 'OrzoError'
    this.code = code
    this.details = details
  }
}

/**
 * Runs a computation; a problem with its input becomes a value. A table that is not loaded is no input of the user's but a
 * broken precondition: it passes on, like any programmer's mistake.
 */
export function attempt<T>(compute: () => T): { ok: true; value: T } | { ok: false; error: OrzoError } {
  try {
    return { ok: true, value: compute() }
  } catch (error) {
    if (error instanceof OrzoError && error.code !== 'not-loaded') return { ok: false, error }
    throw error
  }
}
