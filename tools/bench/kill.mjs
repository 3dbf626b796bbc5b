/**
 * The browser is killed (SIGKILL) in the middle of a vacuum log, again and again at random moments: is a sample lost that was
 * shown, and is the clock of what runs unattended right after? Printed as JSON. Needs a build (`npx next build`).
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'
import { startServer } from './server.mjs'
import { openAtEvacuation } from './workJob.mjs'

const PORT = 3128
const TIMES = Number(process.argv[2] ?? 50)
const MOST_WAIT = 6000
const folder = mkdtempSync(path.join(tmpdir(), 'orzo-kill-'))
const { base, stop } = await startServer(PORT)

const open = async () => {
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: CHROMIUM_PATH,
    args: CHROMIUM_ARGS,
  })
  return context.pages()[0] ?? (await context.newPage())
}
/** Ends every process of this browser at once, as an empty battery does. */
const kill = () => {
  for (const id of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      if (readFileSync(`/proc/${id}/cmdline`, 'utf8').includes(folder)) process.kill(Number(id), 'SIGKILL')
    } catch {
      // it went with its parent
    }
}
const pane = (page) => page.locator('[data-purpose="evacuation"]')
const shownNow = (page) =>
  page.evaluate(() => Number(document.querySelector('[data-purpose="evacuation"]')?.dataset.samples ?? 0))

/** Samples of the newest evacuation that the browser's database holds, read without the app. */
const storedNow = (page) =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const opening = indexedDB.open('orzo')
        opening.onerror = () => reject(opening.error)
        opening.onsuccess = () => {
          const reading = opening.result.transaction(['records', 'logChunks'])
          const [records, chunks] = ['records', 'logChunks'].map((name) => reading.objectStore(name).getAll())
          reading.oncomplete = () => {
            opening.result.close()
            const ids = records.result
              .filter(({ data }) => data?.purpose === 'evacuation')
              .map(({ id }) => id)
            const own = chunks.result.filter(({ logId }) => ids.includes(logId))
            resolve(own.reduce((sum, { count }) => sum + count, 0))
          }
        }
      }),
  )
/** Minutes that the clock beside the sheet says are left. */
async function minutesLeft(page) {
  const text = await page.locator('[data-running="evacuate"] p').first().innerText()
  const [, hours = '0', minutes = '0'] = /^(?:(\d+) h ?)?(?:(\d+) min)? left$/.exec(text) ?? []
  return Number(hours) * 60 + Number(minutes)
}

let page = await open()
const address = await openAtEvacuation(page, base)
await page.getByRole('button', { name: 'Start', exact: true }).click()
await page.getByRole('button', { name: '● Start the log' }).click()
await page.getByRole('button', { name: 'Pump on' }).click()
await page.getByRole('button', { name: 'Leave it running' }).click()
await page.locator('[data-running="evacuate"]').waitFor()
const leftAtFirst = await minutesLeft(page)
const began = Date.now()
const rounds = []
for (let i = 0; i < TIMES; i += 1) {
  await pane(page).waitFor()
  const until = Date.now() + 800 + Math.random() * MOST_WAIT
  let shown = 0
  while (Date.now() < until) shown = Math.max(shown, await shownNow(page))
  kill()
  await page
    .context()
    .close()
    .catch(() => undefined)
  page = await open()
  await page.goto(address)
  await page.locator('[data-running="evacuate"]').waitFor()
  const stored = await storedNow(page)
  const expected = leftAtFirst - (Date.now() - began) / 60_000
  rounds.push({ shown, stored, clockOff: Math.abs((await minutesLeft(page)) - Math.max(expected, 0)) })
}
await page.context().close()
stop()
rmSync(folder, { recursive: true, force: true })
const grew = rounds.filter(({ stored }, i) => stored > (rounds[i - 1]?.stored ?? 0)).length
console.log(
  JSON.stringify(
    {
      kills: rounds.length,
      roundsWithALoss: rounds.filter(({ shown, stored }) => stored < shown).length,
      roundsThatWentOn: grew,
      samplesAtTheEnd: rounds.at(-1).stored,
      clockOffMinutesAtMost: Number(Math.max(...rounds.map(({ clockOff }) => clockOff)).toFixed(2)),
    },
    null,
    2,
  ),
)
