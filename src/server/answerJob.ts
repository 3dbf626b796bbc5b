import type { Ask } from './answerText'
import { type Body, bodyText } from './bodyText'
import { ROUTE_LIMITS } from './limits'
import type { NoAnswer } from './pool'
import { problem, type ProblemStatus } from './problem'
import { thePool } from './thePool'

const MEGA = 1_000_000
const seconds = (ms: number) => `${ms / 1000} s`

const REFUSED: Readonly<Record<Extract<Body, { refused: string }>['refused'], [ProblemStatus, string]>> = {
  'too-large': [413, `is larger than ${ROUTE_LIMITS.bodyBytes / MEGA} MB: no job is`],
  'too-slow': [408, `was not here after ${seconds(ROUTE_LIMITS.bodyTime)}: send it again`],
  'broken-off': [400, 'broke off: send it again'],
}

const RETRY = { 'Retry-After': String(ROUTE_LIMITS.retryAfter) }
const NO_ANSWER: Readonly<Record<NoAnswer, [ProblemStatus, string, Record<string, string>?]>> = {
  'client-has-many': [
    429,
    `${ROUTE_LIMITS.ofOneClient} questions from this address are being answered: wait for them, then ask again.`,
    RETRY,
  ],
  'server-has-many': [503, 'Too many questions wait for an answer: ask again later.', RETRY],
  'too-long': [
    503,
    `The answer took longer than ${seconds(ROUTE_LIMITS.answerTime)}: ask again later, or about a job with fewer sets.`,
    RETRY,
  ],
  'too-much-memory': [
    422,
    'The answer needs more memory than the server gives to one: ask about a job with fewer sets.',
  ],
  broke: [500, 'The answer could not be computed: a fault of the server, not of the job.'],
  gone: [408, 'Nobody waited for the answer any more.'],
}

/** Whoever asks, as the server in front of this one or the connection itself names it. */
const clientOf = ({ headers }: Request): string =>
  headers.get('x-forwarded-for')?.split(',').at(-1)?.trim() ?? ''

/** Answers a job in the body with the same JSON as the headless door. The server itself reads no job: a thread does. */
export async function answerJob(ask: Ask, request: Request): Promise<Response> {
  const body = await bodyText(request)
  if ('refused' in body) {
    const [status, message] = REFUSED[body.refused]
    // what still arrives of the body is not read
    const headers = { Connection: 'close' }
    return problem(status, `The body ${message}.`, { problems: [{ path: 'the body', message }], headers })
  }
  const outcome = await thePool().ask(ask, body.text, clientOf(request), request.signal)
  if ('none' in outcome) {
    const [status, detail, headers = {}] = NO_ANSWER[outcome.none]
    return problem(status, detail, { headers })
  }
  if ('json' in outcome)
    return new Response(outcome.json, {
      headers: { 'Content-Type': 'application/json', 'Cache-Control': 'no-store' },
    })
  const { status, problems } = outcome
  const [first] = problems
  return problem(status, first ? `${first.path} ${first.message}.` : 'The job cannot be read.', { problems })
}
