/** Directives of a content security policy. [std: CSP Level 3] */
type Policy = Readonly<Record<string, readonly string[]>>

const written = (policy: Policy): string =>
  Object.entries(policy)
    .map(([directive, sources]) => [directive, ...sources].join(' '))
    .join('; ')

const NOTHING = ["'none'"]
const OWN = ["'self'"]
/** A development server sends code as text, to replace it while it runs. */
const WHILE_DEVELOPED = process.env.NODE_ENV === 'development' ? ["'unsafe-eval'"] : []

/** What every answer may do: nothing of its own, and never inside a page of somebody else. */
const CLOSED: Policy = { 'default-src': NOTHING, 'base-uri': NOTHING, 'frame-ancestors': NOTHING }

/**
 * The policy of a page: script and style of this server alone, inline ones by a word that is new for each answer. No text
 * becomes code.
 * @param nonce word that inline script and style of this answer carry
 */
export const pagePolicy = (nonce: string): string =>
  written({
    ...CLOSED,
    'script-src': [...OWN, `'nonce-${nonce}'`, ...WHILE_DEVELOPED],
    'style-src': [...OWN, `'nonce-${nonce}'`],
    // places of bars, rings and marks are computed
    'style-src-attr': ["'unsafe-inline'"],
    'img-src': [...OWN, 'blob:', 'data:'],
    'font-src': OWN,
    'connect-src': OWN,
    'worker-src': OWN,
    'manifest-src': OWN,
    'form-action': OWN,
  })

/** A worker takes the policy of its own answer, not that of its page. */
const SCRIPT_POLICY = written({ ...CLOSED, 'script-src': [...OWN, ...WHILE_DEVELOPED], 'connect-src': OWN })

/** Answers that are data. */
const DATA_POLICY = written(CLOSED)

type Header = { key: string; value: string }

/** Abilities of a browser that Orzo asks for nowhere. */
const NEVER = ['microphone', 'geolocation', 'payment', 'usb', 'midi', 'display-capture', 'accelerometer']
const abilities = (camera: string): Header => ({
  key: 'Permissions-Policy',
  value: [`camera=${camera}`, 'screen-wake-lock=(self)', ...NEVER.map((name) => `${name}=()`)].join(', '),
})

/** Headers by the path of what is answered; of two that fit, the later one counts. Pages get their policy in `proxy.ts`. */
export const HEADERS: readonly { source: string; headers: Header[] }[] = [
  {
    source: '/:path*',
    headers: [
      { key: 'X-Content-Type-Options', value: 'nosniff' },
      { key: 'X-Frame-Options', value: 'DENY' },
      { key: 'Referrer-Policy', value: 'no-referrer' },
      { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
      { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
      abilities('()'),
    ],
  },
  // photos are taken in a job
  { source: '/job/:path*', headers: [abilities('(self)')] },
  { source: '/_next/static/:path*', headers: [{ key: 'Content-Security-Policy', value: SCRIPT_POLICY }] },
  { source: '/api/:path*', headers: [{ key: 'Content-Security-Policy', value: DATA_POLICY }] },
]
