/**
 * A vacuum log of 100,000 samples: tasks of the page's main thread while it is looked at closer, wider, earlier and later, by
 * buttons and by the wheel. Printed as JSON. Needs a build (`npx next build`).
 */
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'
import { mainTasks } from './mainTasks.mjs'
import { startServer } from './server.mjs'
import { openAtEvacuation } from './workJob.mjs'

const PORT = 3129
const SAMPLES = 100_000
const LONG = 50
const CATEGORIES = ['toplevel', 'disabled-by-default-devtools.timeline', '__metadata']
const { base, stop } = await startServer(PORT)
const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const address = await openAtEvacuation(page, base)
await page.getByRole('button', { name: 'Start', exact: true }).click()
await page.getByRole('button', { name: 'Log by hand' }).click()
await page.locator('[data-purpose="evacuation"]').waitFor()
await page
  .getByRole('form', { name: 'Type a look' })
  .getByLabel(/Vacuum at the system/)
  .fill('20000')
await page.getByRole('button', { name: 'Write down' }).click()
await page.locator('[data-samples="1"]').waitFor()
await page.getByRole('button', { name: '■ End the log' }).click()
await page.getByRole('button', { name: 'New log by hand' }).waitFor()
// the samples are written beside the app, with gaps in them
await page.evaluate(
  ({ count }) =>
    new Promise((resolve, reject) => {
      const opening = indexedDB.open('orzo')
      opening.onerror = () => reject(opening.error)
      opening.onsuccess = () => {
        const writing = opening.result.transaction(['records', 'logChunks'], 'readwrite')
        const all = writing.objectStore('records').getAll()
        all.onsuccess = () => {
          const log = all.result.find(({ data }) => data?.purpose === 'evacuation')
          const chunks = writing.objectStore('logChunks')
          for (let from = 0, index = 0; from < count; from += 1024, index += 1) {
            const size = Math.min(1024, count - from)
            const time = Float64Array.from(
              { length: size },
              (_s, i) => from + i + (from + i > count / 2 ? 600 : 0),
            )
            const wave = (scale) =>
              Float64Array.from(
                { length: size },
                (_s, i) => scale * (300 + 20_000 * Math.exp(-(from + i) / 9000) + 9 * Math.sin(from + i)),
              )
            chunks.put({
              jobId: log.jobId,
              logId: log.id,
              index,
              count: size,
              sealed: 1,
              time,
              values: [wave(1), wave(0.4)],
            })
          }
        }
        writing.oncomplete = () => {
          opening.result.close()
          resolve()
        }
      }
    }),
  { count: SAMPLES },
)
await page.goto(address)
await page.locator(`[data-samples="${SAMPLES}"]`).waitFor()
await page.waitForTimeout(2000)
const chart = page.locator('canvas').first()
const look = page.getByRole('group', { name: /Look closer/ })
await browser.startTracing(page, { categories: CATEGORIES })
for (const name of [
  'Closer',
  'Closer',
  'Earlier',
  'Earlier',
  'Later',
  'Closer',
  'Closer',
  'Wider',
  'Whole',
]) {
  await look.getByRole('button', { name }).click()
  await page.waitForTimeout(250)
}
const box = await chart.boundingBox()
await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
for (let i = 0; i < 12; i += 1) {
  await page.mouse.wheel(0, i < 8 ? -120 : 120)
  await page.waitForTimeout(150)
}
await page.mouse.down()
for (let i = 0; i < 10; i += 1) await page.mouse.move(box.x + box.width / 2 + i * 12, box.y + box.height / 2)
await page.mouse.up()
await page.waitForTimeout(300)
const tasks = mainTasks(JSON.parse((await browser.stopTracing()).toString()).traceEvents)
await browser.close()
stop()
const most = (values) => Number(Math.max(0, ...values).toFixed(1))
console.log(
  JSON.stringify(
    {
      samples: SAMPLES,
      tasks: tasks.length,
      longestMs: most(tasks.map(({ wall }) => wall)),
      longestProcessorMs: most(tasks.map(({ processor }) => processor)),
      over50: tasks.filter(({ wall }) => wall > LONG).length,
    },
    null,
    2,
  ),
)
