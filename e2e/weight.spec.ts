import { gzipSync } from 'node:zlib'
import { expect, type Page, test } from '@playwright/test'
import { newJob } from './helpers'

/** Compressed script that a page brings before anything is asked of it, kB; 250 is aimed at for the first screen. */
const MOST_FIRST_SCREEN = 320
const MOST_MEASURE = 400

/** Bytes of script that come over the wire, workers not among them: they are off the screen's thread. */
function scriptOf(page: Page): () => Promise<number> {
  const sizes: Promise<number>[] = []
  page.on('requestfinished', (request) => {
    const isScript = /\.js($|\?)/.test(request.url()) && request.resourceType() === 'script'
    if (isScript) sizes.push(request.sizes().then(({ responseBodySize }) => responseBodySize))
  })
  return async () => (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0) / 1000
}

test('the first screen is light: no simulator, no stage', async ({ page, request }) => {
  await page.goto('/')
  // what the page itself asks for; links on it fetch their pages ahead while nothing else is to be done
  const sources = await page
    .locator('script[src]:not([nomodule])')
    .evaluateAll((all) => all.map((script) => (script as HTMLScriptElement).src))
  const html = await (await request.get('/')).text()
  const own = sources.filter((source) => html.includes(new URL(source).pathname))
  const bodies = await Promise.all(own.map(async (source) => (await request.get(source)).body()))
  const kilobytes = bodies.reduce((sum, body) => sum + gzipSync(body).length, 0) / 1000
  test.info().annotations.push({ type: 'kB of script', description: kilobytes.toFixed(0) })
  expect(bodies.some((body) => body.includes('txv-underfeeding'))).toBe(false)
  expect(kilobytes).toBeGreaterThan(50)
  expect(kilobytes).toBeLessThan(MOST_FIRST_SCREEN)
})

test('Measure comes light: what is computed stays in the worker', async ({ page, context }) => {
  await newJob(page)
  const fresh = await context.newPage()
  const script = scriptOf(fresh)
  await fresh.goto(page.url().replace(/arrive$/, 'measure'))
  await expect(fresh.locator('[data-tap=suctionPressure]').first()).toBeVisible()
  await fresh.waitForLoadState('networkidle')
  const kilobytes = await script()
  test.info().annotations.push({ type: 'kB of script', description: kilobytes.toFixed(0) })
  expect(kilobytes).toBeGreaterThan(50)
  expect(kilobytes).toBeLessThan(MOST_MEASURE)
})
