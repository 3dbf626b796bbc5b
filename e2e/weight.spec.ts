import { expect, type Page, test } from '@playwright/test'

/** Compressed script that a page brings before anything is asked of it, kB. */
const MOST_FIRST_SCREEN = 250
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

test('the first screen is light: no simulator, no stage', async ({ page }) => {
  const script = scriptOf(page)
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New job' })).toBeEnabled()
  await page.waitForLoadState('networkidle')
  const kilobytes = await script()
  test.info().annotations.push({ type: 'kB of script', description: kilobytes.toFixed(0) })
  expect(kilobytes).toBeGreaterThan(50)
  expect(kilobytes).toBeLessThan(MOST_FIRST_SCREEN)
})

test('Measure comes light: what is computed stays in the worker', async ({ page, context }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New job' }).click()
  await expect(page.getByLabel('Job name')).toBeVisible()
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
