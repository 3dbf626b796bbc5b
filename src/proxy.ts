import { type NextRequest, NextResponse } from 'next/server'
import { pagePolicy } from './app/policy'
import { problem } from './server/problem'

const POLICY = 'Content-Security-Policy'

/** Whether an address that holds signs by their numbers can be read. */
function isReadable(path: string): boolean {
  try {
    decodeURIComponent(path)
    return true
  } catch {
    return false
  }
}

/** Gives every page its policy, and the page the word by which its own inline script and style are known. */
export function proxy(request: NextRequest): Response {
  if (!isReadable(request.nextUrl.pathname)) return problem(400, 'The address cannot be read: type it again.')
  const nonce = btoa(crypto.randomUUID())
  const policy = pagePolicy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set(POLICY, policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set(POLICY, policy)
  return response
}

/**
 * Pages; what is data or a file has a policy that does not change (`app/policy.ts`). Routes only where their address holds signs
 * by numbers: their bodies do not pass here.
 */
export const config = { matcher: ['/((?!_next/static|api/|icon.svg).*)', '/api/(.*%.*)'] }
