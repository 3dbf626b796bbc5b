/**
 * The list of jobs with ten thousand of them, printed as JSON: the first rows, a search, what stands in the page. Needs a
 * build (`npx next build`). Rows are written straight into the index, which is all that a list reads.
 */
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'
import { startServer } from './server.mjs'

const JOBS = 10_000
const FEW = 4
const LOADS = 5
const PORT = 3128
const SEARCHES = ['dome', 'r22', 'walk-in 77', 'cellar leaks']

/** Fills the index of the page's database. */
function fill(count) {
  const kinds = ['split-ac', 'package-ac', 'walk-in-cooler', 'reach-in']
  const stages = ['arrive', 'measure', 'diagnose', 'plan', 'close']
  const places = ['Dome', 'Lodge', 'Exhibit hall', 'Cellar', 'Workshop']
  const words = ['Does not cool', 'Leaks', 'Trips', 'Noise']
  return new Promise((resolve, reject) => {
    const open = indexedDB.open('orzo')
    open.onerror = () => reject(open.error)
    open.onsuccess = () => {
      const writing = open.result.transaction('jobIndex', 'readwrite')
      const index = writing.objectStore('jobIndex')
      for (let i = 0; i < count; i += 1) {
        const at = new Date(Date.UTC(2026, 0, 1) + i * 3_600_000).toISOString()
        const kind = kinds[i % kinds.length]
        index.put({
          id: `bench-${i}`,
          updatedAt: at,
          demo: 0,
          progress: stages[i % stages.length],
          clock: 1,
          born: `b${i}`,
          summary: {
            title: `${places[i % places.length]} ${kind} ${i}`,
            complaint: words[i % words.length],
            siteName: places[i % places.length],
            kind,
            refrigerant: i % 3 === 0 ? 'R-22' : 'R-410A',
            metering: 'txv',
            createdAt: at,
          },
        })
      }
      writing.oncomplete = () => {
        open.result.close()
        resolve()
      }
    }
  })
}

/** Milliseconds from a change of the search field to the frame in which its rows stand. */
function searchTime(text) {
  const field = document.querySelector('input[type=search]')
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
  const status = document.querySelector('[role=status]')
  const before = status.textContent
  return new Promise((resolve) => {
    const start = performance.now()
    const observer = new MutationObserver(() => {
      if (status.textContent === before) return
      observer.disconnect()
      requestAnimationFrame(() => resolve(performance.now() - start))
    })
    observer.observe(status, { childList: true, characterData: true, subtree: true })
    set.call(field, text)
    field.dispatchEvent(new Event('input', { bubbles: true }))
  })
}

/** Median time from the page's script to the first rows, ms. */
async function loadTimes(page, count) {
  const loads = []
  for (let i = 0; i < LOADS; i += 1) {
    await page.reload({ waitUntil: 'commit' })
    const rows = await page.evaluate(async () => {
      // from the moment at which the script of the page runs: what the network and the build's size take is bench:ui's matter
      while (!document.querySelector('ul[aria-label=Jobs] li'))
        await new Promise((done) => setTimeout(done, 5))
      const script = performance.getEntriesByType('navigation')[0]?.domInteractive ?? 0
      return { shown: performance.now(), script }
    })
    loads.push(Math.round(rows.shown - rows.script))
    await page.getByText(`${count} jobs`).waitFor()
    await page.waitForTimeout(1500)
  }
  return loads.sort((a, b) => a - b)[Math.floor(LOADS / 2)]
}

async function run(base) {
  const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(base)
  await page.getByText('No jobs yet').waitFor()
  await page.evaluate(fill, FEW)
  const few = await loadTimes(page, FEW)
  await page.evaluate(fill, JOBS)
  const many = await loadTimes(page, JOBS)
  const searches = {}
  for (const text of SEARCHES) {
    await page.evaluate(searchTime, 'zzz')
    await page.waitForTimeout(300)
    searches[text] = Math.round(await page.evaluate(searchTime, text))
    await page.waitForTimeout(300)
  }
  const nodes = await page.evaluate(() => document.querySelectorAll('*').length)
  await browser.close()
  return {
    jobs: JOBS,
    firstRowsMs: many,
    firstRowsOfFewMs: few,
    ratio: Number((many / few).toFixed(2)),
    searchMs: searches,
    nodes,
  }
}

const { base, stop } = await startServer(PORT)
try {
  console.log(JSON.stringify(await run(base), null, 2))
} finally {
  stop()
}
