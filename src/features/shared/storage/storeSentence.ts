import { OrzoError } from '@/core/base/errors/orzoError'
import { type Health, rootName } from '@/data/health'

const NOT_ALLOWED =
  'the browser does not let Orzo store anything here. Leave the private window, or allow data for this site in the settings of the browser, then reload the page.'
const NOT_READ =
  'the browser cannot read what it stored. Close all its windows and start it again. Clear nothing before the jobs are saved elsewhere.'
const RELOAD = 'the store was closed. Reload the page.'

/** What to do, by the name of what the browser said. */
const SENTENCES: Readonly<Record<string, string>> = {
  QuotaExceededError: 'the browser has no room left. Free some space on this device, then try again.',
  DatabaseClosedError: RELOAD,
  InvalidStateError: NOT_ALLOWED,
  SecurityError: NOT_ALLOWED,
  MissingAPIError: NOT_ALLOWED,
  MissingAPI: NOT_ALLOWED,
  UnknownError: NOT_READ,
  DataError: NOT_READ,
  NotFoundError: NOT_READ,
}

/** What failed at the store, in words that say what to do. */
export function storeSentence(error: Error): string {
  if (error instanceof OrzoError) return error.message
  return SENTENCES[rootName(error)] ?? `${error.message}. Reload the page and try again.`
}

/** What stands above everything while nothing can be stored; undefined while all is well. */
export function healthSentence(health: Health): string | undefined {
  switch (health.state) {
    case 'well':
      return undefined
    case 'blocked':
      return 'An older Orzo is open in another window and holds the jobs. Close that window; this one continues then.'
    case 'newer':
      return 'The jobs in this browser are of a newer Orzo than this one, which leaves them alone. Reload the page to get the newer one.'
    case 'closed':
      return health.by === 'newer'
        ? 'A newer Orzo was opened in another window. Nothing is stored here any more: copy what you just typed, then reload the page.'
        : 'The jobs were removed in another window. Nothing is stored here any more: reload the page.'
    case 'failed':
      return `The jobs of this browser cannot be opened: ${storeSentence(health.error)}`
  }
}
