import { type NextRequest, NextResponse } from 'next/server'
import { pagePolicy } from './app/policy'

const POLICY = 'Content-Security-Policy'

/** Gives every page its policy, and the page the word by which its own inline script and style are known. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID())
  const policy = pagePolicy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set(POLICY, policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set(POLICY, policy)
  return response
}

/** Pages; what is data or a file has a policy that does not change (`app/policy.ts`). */
export const config = { matcher: ['/((?!_next/static|api/|icon.svg).*)'] }
