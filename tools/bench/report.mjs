/**
 * The papers of the demo job with the most on record, printed as JSON: how long each takes from the tap to the file, the
 * longest task on the screen's thread meanwhile, and what was fetched before the first was asked for. Needs a build.
 */
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'
import { mainTasks } from './mainTasks.mjs'
import { startServer } from './server.mjs'

const PORT = 3129
const JOB = '/job/demo-exhibit-hall/close'
const RUNS = 5
const NAMES = ['Owner’s report', 'Technical report', 'Panel tag']

const { base, stop } = await startServer(PORT)
const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS })
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const bodies = []
  page.on('response', async (response) => {
    if (!/\.js(\?|$)/.test(response.url())) return
    const text = await response.text().catch(() => '')
    bodies.push(text)
  })
  await page.goto(base)
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await page.getByRole('link', { name: /Control room split/ }).waitFor()
  await page.goto(`${base}${JOB}`)
  await page.locator('[data-outcome]').waitFor()
  // its inner name: whatever holds the writer holds it
  const withWriter = () => bodies.filter((body) => body.includes('addVirtualFileSystem')).length
  const before = withWriter()
  /** One paper from the tap to the whole file. */
  const make = async (name) => {
    const begun = performance.now()
    const coming = page.waitForEvent('download')
    await page.getByRole('button', { name: `${name}, PDF` }).click()
    const download = await coming
    await download.path()
    return Math.round(performance.now() - begun)
  }
  const first = await make('Technical report')
  await browser.startTracing(page, {
    categories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline'],
  })
  const times = {}
  for (const name of NAMES) {
    const all = []
    for (let i = 0; i < RUNS; i += 1) all.push(await make(name))
    times[name] = all
  }
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString())
  const tasks = mainTasks(traceEvents).sort((a, b) => b.wall - a.wall)
  const result = {
    job: JOB,
    scriptsWithWriter: { beforeTheFirst: before, afterwards: withWriter() },
    firstTechnicalReport: first,
    milliseconds: times,
    longestTasks: tasks
      .slice(0, 3)
      .map(({ wall, processor }) => ({ wall: Math.round(wall), processor: Math.round(processor) })),
    tasksOver50: tasks.filter(({ wall }) => wall > 50).length,
  }
  process.stdout.write(`${JSON.stringify(result, null, 1)}\n`)
} finally {
  await browser.close()
  stop()
}
