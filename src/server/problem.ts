/** One place of what was sent, and what to do. */
export type Place = { readonly path: string; readonly message: string }

/** Titles of what can go wrong, by status. [std: RFC 9110] */
const TITLES = {
  400: 'What was sent cannot be read',
  404: 'There is no such address',
  405: 'This address does not take that method',
  408: 'The body did not arrive in time',
  413: 'The body is too large',
  422: 'The job cannot be answered',
  429: 'Too many questions at once from this address',
  500: 'The server failed',
  503: 'The server is busy',
} as const
export type ProblemStatus = keyof typeof TITLES

export const PROBLEM_TYPE = 'application/problem+json'

/**
 * A problem as every route tells it. [std: RFC 9457]
 * @param detail what happened and what to do, one sentence
 * @param problems the places of what was sent
 */
export function problem(
  status: ProblemStatus,
  detail: string,
  { problems = [], headers = {} }: { problems?: readonly Place[]; headers?: Record<string, string> } = {},
): Response {
  return new Response(
    JSON.stringify({ type: 'about:blank', title: TITLES[status], status, detail, problems }),
    {
      status,
      headers: { 'Content-Type': PROBLEM_TYPE, 'Cache-Control': 'no-store', ...headers },
    },
  )
}
