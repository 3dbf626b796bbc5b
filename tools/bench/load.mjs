/**
 * What a page weighs and how fast one gets about in it, printed as JSON: compressed script before the first paint and in all,
 * time to the first list and the first step, time of a change of stage, with a processor slowed to a quarter. Needs a build
 * (`npx next build`). Times are medians and worst of several runs. Budgets stand beside the figures.
 */
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'
import { startServer } from './server.mjs'

const PORT = 3129
const SLOWER = 4
const RUNS = 5
const BUDGET = { firstScreenKb: 250, jobKb: 350, stageChangeMs: 200 }
const STAGES = ['measure', 'diagnose', 'plan', 'work', 'close', 'arrive']
/** What stands on a stage and on no other: a selector, and a text where the selector alone is not enough. */
const THERE = {
  arrive: ['h2', 'Call and site'],
  measure: ['[data-tap=suctionPressure]', ''],
  diagnose: ['[aria-label="Diagnosis"]', ''],
  plan: ['#plan-tab-day', ''],
  work: ['#work-tab-step', ''],
  close: ['#files-title', ''],
}

const { base: BASE, stop } = await startServer(PORT)

const kb = (bytes) => Number((bytes / 1000).toFixed(0))
const sorted = (all) => [...all].sort((a, b) => a - b)
const spread = (all) => ({
  median: Math.round(sorted(all)[Math.floor(all.length / 2)]),
  worst: Math.round(Math.max(...all)),
})

/** Compressed script that the page names itself: what is fetched before it is painted. */
async function beforePaint(path) {
  const html = await (await fetch(`${BASE}${path}`)).text()
  const tags = [...html.matchAll(/<script[^>]*src="([^"]+)"[^>]*>/g)].filter(
    ([tag]) => !/nomodule/i.test(tag),
  )
  const sizes = await Promise.all(
    tags.map(
      async ([, source]) =>
        gzipSync(Buffer.from(await (await fetch(`${BASE}${source}`)).arrayBuffer())).length,
    ),
  )
  return kb(sizes.reduce((sum, size) => sum + size, 0))
}

async function opened(browser) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(`${BASE}/`)
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await page.getByRole('link', { name: /Control room/ }).waitFor()
  const slow = await context.newCDPSession(page)
  await slow.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  return page
}

async function timed(work) {
  const start = Date.now()
  await work()
  return Date.now() - start
}

/** From the key to the frame in which the stage stands, in the page's own time. */
const stageTime = ({ key, there: [selector, text] }) =>
  new Promise((resolve) => {
    const start = performance.now()
    // a stage that was opened before is in the document already, out of sight
    const isThere = () =>
      [...document.querySelectorAll(selector)].some(
        (each) => each.checkVisibility() && each.textContent.includes(text),
      )
    const look = () => {
      if (isThere()) return requestAnimationFrame(() => resolve(performance.now() - start))
      requestAnimationFrame(look)
    }
    document.body.dispatchEvent(
      new KeyboardEvent('keydown', { key, code: `Key${key.toUpperCase()}`, bubbles: true }),
    )
    document.body.dispatchEvent(
      new KeyboardEvent('keyup', { key, code: `Key${key.toUpperCase()}`, bubbles: true }),
    )
    look()
  })

async function run() {
  const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS })
  const page = await opened(browser)
  const lists = []
  const steps = []
  for (let i = 0; i < RUNS; i += 1) {
    lists.push(
      await timed(async () => {
        await page.goto(`${BASE}/`)
        await page.getByRole('link', { name: /Control room/ }).waitFor()
      }),
    )
    steps.push(
      await timed(async () => {
        await page.goto(`${BASE}/job/demo-dome/work`)
        await page.getByRole('article').waitFor()
      }),
    )
  }
  await page.waitForTimeout(5000)
  // the first time a stage is drawn; after that it is shown again
  const first = {}
  const changes = Object.fromEntries(STAGES.map((stage) => [stage, []]))
  for (let i = 0; i <= RUNS; i += 1)
    for (const stage of STAGES) {
      const ms = await page.evaluate(stageTime, { key: stage[0], there: THERE[stage] })
      if (i > 0) changes[stage].push(ms)
      else if (stage !== 'work') first[stage] = Math.round(ms)
      await page.waitForTimeout(1500)
    }
  await browser.close()
  return {
    budget: BUDGET,
    firstScreenKb: await beforePaint('/'),
    jobKb: await beforePaint('/job/demo-dome/work'),
    slower: SLOWER,
    listMs: spread(lists),
    stepMs: spread(steps),
    firstVisitMs: first,
    stageChangeMs: Object.fromEntries(STAGES.map((stage) => [stage, spread(changes[stage])])),
  }
}

try {
  console.log(JSON.stringify(await run(), null, 2))
} finally {
  stop()
}
