import { gzipSync } from 'node:zlib'
import { expect, type Page, test } from './test'
import { newJob, openWithDemo } from './helpers'

/** Compressed script that a page names itself, before its first paint, kB. React and Next are 136 of it. */
const MOST_FIRST_SCREEN = 250
const MOST_JOB = 350

/** Kilobytes of the scripts that the page names, and what is in them. */
async function scriptsOf(page: Page, path: string): Promise<{ kilobytes: number; bodies: Buffer[] }> {
  const html = await (await page.request.get(path)).text()
  const sources = [...html.matchAll(/<script[^>]*src="([^"]+)"[^>]*>/g)]
    .filter(([tag]) => !/nomodule/i.test(tag))
    .map(([, source]) => source!)
  const bodies = await Promise.all(sources.map(async (source) => (await page.request.get(source)).body()))
  const kilobytes = bodies.reduce((sum, body) => sum + gzipSync(body).length, 0) / 1000
  return { kilobytes, bodies }
}

const told = (what: string, kilobytes: number, most: number) => {
  test.info().annotations.push({ type: 'kB of script', description: `${kilobytes.toFixed(0)} of ${most}` })
  process.stdout.write(
    `${what}: ${kilobytes.toFixed(0)} kB of script before the first paint, ${most} allowed\n`,
  )
}

/** Words of what comes behind the first paint: a fault row, the database, the schemas. */
const BEHIND = ['txv-underfeeding', 'DexieError', 'ZodError']

test('the first screen is light: no simulator, no stage, no database and no schema before the first paint', async ({
  page,
}) => {
  const { kilobytes, bodies } = await scriptsOf(page, '/')
  told('/', kilobytes, MOST_FIRST_SCREEN)
  for (const word of BEHIND) expect([word, bodies.some((body) => body.includes(word))]).toEqual([word, false])
  expect(kilobytes).toBeGreaterThan(50)
  expect(kilobytes).toBeLessThan(MOST_FIRST_SCREEN)
})

test('a job comes light too, at every stage and for paper', async ({ page }) => {
  await newJob(page)
  const path = new URL(page.url()).pathname
  for (const where of ['measure', 'work', 'print']) {
    const { kilobytes, bodies } = await scriptsOf(page, path.replace(/arrive$/, where))
    told(where, kilobytes, MOST_JOB)
    for (const word of BEHIND)
      expect([word, bodies.some((body) => body.includes(word))]).toEqual([word, false])
    expect(kilobytes).toBeGreaterThan(50)
    expect(kilobytes).toBeLessThan(MOST_JOB)
  }
})

/** Elements of a page: what has to be laid out whenever something changes. Measured: 226, 966 at most (Arrive), 2,270. */
const MOST_ELEMENTS = { list: 400, stage: 1200, allStages: 3000 }

const elementsOf = (page: Page) => page.evaluate(() => document.querySelectorAll('*').length)

test('pages stay small: the list, each stage, and all stages together once they were opened', async ({
  page,
}) => {
  await openWithDemo(page)
  expect(await elementsOf(page)).toBeLessThan(MOST_ELEMENTS.list)
  await page.goto('/job/demo-dome/arrive')
  const rail = page.getByRole('navigation', { name: 'Stages' })
  let before = 0
  for (const name of ['Arrive', 'Measure', 'Diagnose', 'Plan', 'Work', 'Close']) {
    await rail.getByRole('link', { name: new RegExp(`^${name}`) }).click()
    await expect(page.locator('main').getByRole('button').first()).toBeVisible()
    const now = await elementsOf(page)
    process.stdout.write(`${name}: ${now - before} elements, ${MOST_ELEMENTS.stage} allowed\n`)
    expect(now - before).toBeLessThan(MOST_ELEMENTS.stage)
    before = now
  }
  expect(before).toBeGreaterThan(1000)
  expect(before).toBeLessThan(MOST_ELEMENTS.allStages)
})
