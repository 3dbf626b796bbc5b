import { gzipSync } from 'node:zlib'
import { expect, type Page, test } from './test'
import { newJob } from './helpers'

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
