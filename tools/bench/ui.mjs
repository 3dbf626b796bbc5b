/**
 * Long tasks of the main thread in the browser, printed as JSON: while ten readings are keyed, and while eleven probes
 * stream at 2 Hz. Needs a build (`npx next build`). [physics] A task over 50 ms is felt as a stutter.
 */
import { spawn } from 'node:child_process'
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'

const PORT = 3127
const BASE = `http://127.0.0.1:${PORT}`
const LIVE_SECONDS = 20
const LONG = 50

const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '--port', String(PORT), '--hostname', '127.0.0.1'],
  { stdio: 'ignore' },
)

async function waitForServer() {
  for (let i = 0; i < 60; i += 1) {
    try {
      if ((await fetch(`${BASE}/`)).ok) return
    } catch {
      await new Promise((done) => setTimeout(done, 500))
    }
  }
  throw new Error('The server did not start: run `npx next build` first.')
}

/** Starts to note long tasks. */
const watch = (page) =>
  page.evaluate(() => {
    window.orzoTasks = []
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.orzoTasks.push(duration)
    }).observe({ type: 'longtask' })
  })

const taken = (page) => page.evaluate(() => window.orzoTasks.splice(0))

const summary = (tasks, seconds) => ({
  seconds: Number(seconds.toFixed(1)),
  over50: tasks.filter((ms) => ms > LONG).length,
  longestMs: Math.round(Math.max(0, ...tasks)),
  shareOfTime: Number((tasks.reduce((sum, ms) => sum + ms, 0) / 1000 / seconds).toFixed(3)),
})

async function measured(page, work) {
  await taken(page)
  const start = Date.now()
  await work()
  return summary(await taken(page), (Date.now() - start) / 1000)
}

async function run() {
  await waitForServer()
  const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${BASE}/`)
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await page.getByRole('link', { name: /Control room/ }).waitFor()
  await page.goto(`${BASE}/job/demo-control-room/measure`)
  await page.locator('[data-tap=suctionPressure]').waitFor()
  await page.waitForTimeout(3000)
  await watch(page)
  const idle = await measured(page, () => page.waitForTimeout(5000))
  const keying = await measured(page, async () => {
    await page.locator('[data-tap=suctionPressure]').click()
    for (let i = 0; i < 10; i += 1) {
      await page.keyboard.type(String(60 + i), { delay: 120 })
      await page.keyboard.press('Enter')
      await page.waitForTimeout(250)
    }
    await page.keyboard.press('Escape')
    await page.waitForTimeout(800)
  })
  await page.getByRole('tab', { name: 'Live' }).click()
  const connect = await measured(page, async () => {
    await page.getByRole('button', { name: 'Connect instruments' }).click()
    await page.getByRole('button', { name: 'Put all on' }).click()
    await page.locator('[data-state=moving]').first().waitFor()
    await page.waitForTimeout(3000)
  })
  const streamingList = await measured(page, () => page.waitForTimeout(LIVE_SECONDS * 1000))
  await page.getByRole('tab', { name: 'Ladder' }).click()
  await page.waitForTimeout(1500)
  const streaming = await measured(page, () => page.waitForTimeout(LIVE_SECONDS * 1000))
  await page.getByRole('tab', { name: 'Live' }).click()
  await page.waitForTimeout(1000)
  const capture = await measured(page, async () => {
    await page.getByRole('button', { name: /^Capture all/ }).click()
    await page.waitForTimeout(2000)
  })
  const low = page.locator('[data-probe=gauge-low]')
  const dropAndReturn = await measured(page, async () => {
    await low.getByRole('button').first().click()
    await page.getByRole('button', { name: 'Walk out of reach' }).click()
    await page.locator('[data-probe=gauge-low][data-state=lost]').waitFor()
    await page.waitForTimeout(1500)
    await page.getByRole('button', { name: 'Reconnect' }).click()
    await page.waitForTimeout(1500)
  })
  const probes = await page
    .locator('[data-probe][data-state=moving], [data-probe][data-state=settled]')
    .count()
  await browser.close()
  return {
    probes,
    idle,
    keying,
    connect,
    streamingWithProbeList: streamingList,
    streamingWithLadder: streaming,
    capture,
    dropAndReturn,
  }
}

try {
  console.log(JSON.stringify(await run(), null, 2))
} finally {
  server.kill()
}
