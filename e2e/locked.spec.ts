import { test as bare } from '@playwright/test'
import { expect, test, watch } from './test'
import { newJob } from './helpers'

const NOSNIFF = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
}

test('every answer is closed: pages by a word of their own, scripts and data by a policy of theirs', async ({
  page,
  request,
}) => {
  await page.goto('/')
  const script = (await page.locator('script[src*="/_next/static/"]').first().getAttribute('src'))!
  const pages = [
    '/',
    '/settings',
    '/store',
    '/tables',
    '/tables/saturation',
    '/job/none/arrive',
    '/no-such-page',
  ]
  for (const address of [...pages, '/icon.svg', script, '/api/health', '/api/none']) {
    const headers = (await request.get(address)).headers()
    expect([address, headers]).toEqual([address, expect.objectContaining(NOSNIFF)])
    expect(headers['x-powered-by']).toBeUndefined()
    expect(headers['permissions-policy']).toContain(
      address.startsWith('/job/') ? 'camera=(self)' : 'camera=()',
    )
    if (address === '/icon.svg') continue
    const policy = headers['content-security-policy'] ?? ''
    expect([address, policy]).toEqual([address, expect.stringContaining("default-src 'none'")])
    expect(policy).toContain("frame-ancestors 'none'")
    expect(policy).not.toMatch(/unsafe-eval|wasm|script-src[^;]*unsafe-inline|\*/)
    if (pages.includes(address)) expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]{20,}'/)
  }
  const nonceOf = async () =>
    /nonce-([^']+)/.exec((await request.get('/')).headers()['content-security-policy'] ?? '')?.[1]
  expect(await nonceOf()).not.toBe(await nonceOf())
})

test('no map of the source is given out', async ({ page, request }) => {
  const scripts: string[] = []
  page.on('response', (response) => {
    if (new URL(response.url()).pathname.endsWith('.js')) scripts.push(response.url())
  })
  await newJob(page)
  expect(scripts.length).toBeGreaterThan(5)
  for (const script of scripts) {
    expect(await (await request.get(script)).text()).not.toContain('sourceMappingURL')
    expect((await request.get(`${script}.map`)).status()).toBe(404)
  }
})

bare(
  'the policy stops what is not of this server, in the page and in a worker, and the suite hears of it',
  async ({ context, baseURL }) => {
    const found: string[] = []
    watch(context, new URL(baseURL ?? '').origin, found)
    const page = await context.newPage()
    const heard = async (what: RegExp) => {
      await expect.poll(() => found.some((each) => what.test(each))).toBe(true)
      found.length = 0
    }
    await newJob(page)
    expect(found).toEqual([])

    await page.evaluate(() => {
      const script = document.createElement('script')
      script.textContent = 'window.ran = 1'
      document.head.append(script)
    })
    await heard(/inline script/i)
    await page.evaluate(() => void setTimeout('window.ran = 2'))
    await heard(/eval|string as JavaScript/i)
    await page.evaluate(() => {
      document.body.insertAdjacentHTML('beforeend', '<img src="x" onerror="window.ran = 3">')
    })
    await heard(/inline event handler/i)
    await page.evaluate(() => void fetch('http://elsewhere.invalid/').catch(() => undefined))
    await heard(/elsewhere\.invalid/)
    expect(await page.evaluate(() => (window as { ran?: number }).ran)).toBeUndefined()

    await expect.poll(() => page.workers().length).toBeGreaterThan(0)
    await page.workers()[0]!.evaluate(() => void fetch('http://elsewhere.invalid/').catch(() => undefined))
    await heard(/elsewhere\.invalid/)
    await page.workers()[0]!.evaluate(() => void setTimeout('self.ran = 4'))
    await heard(/in a worker: script-src/)
    expect(await page.workers()[0]!.evaluate(() => (self as { ran?: number }).ran)).toBeUndefined()
  },
)
