/**
 * Long tasks of the main thread in the browser, printed as JSON: while readings are keyed into a job of 40 sets, and while
 * eleven probes stream at 2 Hz. Needs a build (`npx next build`). Wall time counts what a person feels; processor time what the page
 * itself took, where the machine was busy with something else. A task over 50 ms is felt as a stutter. [practice]
 */
import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'
import { mainTasks } from './mainTasks.mjs'
import { startServer } from './server.mjs'

const PORT = 3127
const LIVE_SECONDS = 20
const LONG = 50

const { base: BASE, stop } = await startServer(PORT)

const CATEGORIES = ['toplevel', 'disabled-by-default-devtools.timeline', '__metadata']

const sum = (values) => Math.round(values.reduce((all, each) => all + each, 0))
const most = (values) => Math.round(Math.max(0, ...values))

async function measured(page, work) {
  const browser = page.context().browser()
  await browser.startTracing(page, { categories: CATEGORIES })
  const start = Date.now()
  await work()
  const seconds = (Date.now() - start) / 1000
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString())
  const tasks = mainTasks(traceEvents)
  return {
    seconds: Number(seconds.toFixed(1)),
    tasks: tasks.length,
    processorMs: sum(tasks.map(({ processor }) => processor)),
    longestMs: most(tasks.map(({ wall }) => wall)),
    longestProcessorMs: most(tasks.map(({ processor }) => processor)),
    over50: tasks.filter(({ wall }) => wall > LONG).length,
    over50Processor: tasks.filter(({ processor }) => processor > LONG).length,
  }
}

const SETS = 40
const READINGS = 10
const DIGITS = 3

/** A job of many sets, from an example. */
function longJob() {
  const job = JSON.parse(readFileSync('examples/underfeeding-expansion-valve.orzo.json', 'utf8'))
  const [first] = job.readingSets
  return JSON.stringify({
    ...job,
    title: 'Many sets',
    readingSets: Array.from({ length: SETS }, (_v, i) => ({
      ...first,
      id: `set-${i + 1}`,
      label: `set ${i + 1}`,
    })),
  })
}

async function keyed(page) {
  return measured(page, async () => {
    for (let i = 0; i < READINGS; i += 1) {
      await page.keyboard.type('1'.repeat(DIGITS), { delay: 100 })
      await page.keyboard.press('Backspace', { delay: 100 })
      await page.keyboard.press('Backspace', { delay: 100 })
      await page.keyboard.press('Backspace')
    }
  })
}

/** The same keys into a field without any script: what the browser itself takes of a key. */
async function plainField(page) {
  await page.setContent('<input id="plain" style="font-size: 2.3rem">')
  await page.locator('#plain').focus()
  return keyed(page)
}

/** Keys and stored readings in a job of 40 sets, each with the processor time of the page's thread. */
async function typing(page) {
  const plain = await plainField(page)
  await page.goto(`${BASE}/`)
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'many.orzo.json', mimeType: 'application/json', buffer: Buffer.from(longJob()) })
  await page.getByRole('link', { name: /Many sets/ }).waitFor()
  const href = await page.getByRole('link', { name: /Many sets/ }).getAttribute('href')
  await page.goto(`${BASE}${href.replace(/[a-z]+$/, 'measure')}`)
  await page.locator('[data-tap=suctionPressure]').waitFor()
  await page.waitForTimeout(3000)
  await page.locator('[data-tap=suctionPressure]').click()
  await page.waitForTimeout(1000)
  const idle = await measured(page, () => page.waitForTimeout(3000))
  const keys = await keyed(page)
  await page.waitForTimeout(3000)
  const stored = await measured(page, async () => {
    for (let i = 0; i < READINGS; i += 1) {
      await page.keyboard.type(String(60 + i))
      await page.keyboard.press('Enter')
      await page.waitForTimeout(1500)
    }
  })
  const still = (seconds) => (idle.processorMs / idle.seconds) * seconds
  const aKey = ({ processorMs, seconds }, rest) =>
    Number(((processorMs - rest(seconds)) / (READINGS * DIGITS * 2)).toFixed(1))
  return {
    sets: SETS,
    processorMsAKey: aKey(keys, still),
    processorMsAKeyOfAPlainField: aKey(plain, () => 0),
    processorMsAStoredReading: Number(((stored.processorMs - still(stored.seconds)) / READINGS).toFixed(1)),
    keys,
    stored,
  }
}

async function run() {
  const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const entry = await typing(page)
  if (process.argv.includes('--typing')) {
    await browser.close()
    return { entry }
  }
  await page.goto(`${BASE}/`)
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await page.getByRole('link', { name: /Control room/ }).waitFor()
  await page.goto(`${BASE}/job/demo-control-room/measure`)
  await page.locator('[data-tap=suctionPressure]').waitFor()
  await page.waitForTimeout(3000)
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
    entry,
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
  stop()
}
