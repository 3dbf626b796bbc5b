import { expect, type Page, test } from '@playwright/test'
import path from 'node:path'

const FOLDER = path.resolve('docs/screenshots')
const LAPTOP = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

type View = {
  name: string
  url: string
  size: { width: number; height: number }
  act?: (page: Page) => Promise<void>
}

const tap = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

/** Windings read, a dead load side, and the next point to test. */
async function onBench(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Electrical bench' }).click()
  await tap(page, 'Terminal common')
  await tap(page, 'Terminal run')
  await page.getByRole('button', { name: /^Open:/ }).click()
  // the next pair opens on its own
  await expect(page.getByRole('textbox', { name: /common to start/ })).toBeVisible()
  await page.locator('#pad-display').fill('2.1')
  await page.locator('#pad-display').press('Enter')
  await expect(page.getByRole('textbox', { name: /run to start/ })).toBeVisible()
  await page.getByRole('button', { name: /^Open:/ }).click()
  await page.getByRole('button', { name: /^Compressor leads/ }).click()
  await page.getByRole('button', { name: /^Compressor leads/ }).click()
}

/** Water in the circuit, the oil tested. */
async function onWet(page: Page): Promise<void> {
  for (const [group, word] of [
    ['Acid test of the oil, by a kit', 'negative'],
    ['Moisture indicator', 'wet'],
  ] as const) {
    const chip = page
      .getByRole('group', { name: group, exact: true })
      .getByRole('button', { name: new RegExp(`^(● )?${word}$`) })
    if ((await chip.getAttribute('aria-pressed')) !== 'true') await chip.click()
  }
  await expect(page.locator('[data-figure="Clean-up class"]')).toContainText('Wet')
}

const OWN_DRYERS = `name,place,flow,core,block in3,connections,pressure,tons,water R-22,on van
van 16,liquid,one-way,sieve,16,3/8; 1/2,650 psig,6.5,10 g,2
van 8 bi-flow,liquid,bi-flow,blend,8,9.5 mm,45 barg,4,4.8 g,1
clean-up 30,suction,one-way,high-acid,30,3/4; 7/8,500 psig,5,12 g,1
`

/** Own dryers, brought in as a table. */
async function onStore(page: Page): Promise<void> {
  await page
    .getByTestId('dryer-csv')
    .setInputFiles({ name: 'van.csv', mimeType: 'text/csv', buffer: Buffer.from(OWN_DRYERS) })
  await expect(page.getByRole('row', { name: /clean-up 30/ })).toBeVisible()
}

/** Instruments on every tap, in the theme for the dark. */
async function onLive(page: Page): Promise<void> {
  await tap(page, 'Display')
  await tap(page, 'Cellar')
  await tap(page, 'Done')
  await page.getByRole('tab', { name: 'Live' }).click()
  await tap(page, 'Connect instruments')
  await tap(page, 'Put all on')
  await tap(page, '10 s')
  await expect(page.locator('[data-probe][data-state=settled]').nth(3)).toBeVisible({ timeout: 60_000 })
}

const onDay = async (page: Page) => {
  await page.getByRole('tab', { name: 'Day', exact: true }).click()
  await page.getByRole('button', { name: /^Tomorrow/ }).click()
  await expect(page.getByText('No order is quicker')).toBeVisible()
}

/** Goes on to the recovery and lets it run for some minutes of the job. */
const onWork = async (page: Page) => {
  const article = page.getByRole('article')
  await expect(article).toBeVisible()
  for (;;) {
    const id = await article.getAttribute('data-step')
    if (id === 'recover') break
    await page.getByRole('button', { name: /^Done(, next| already)$/ }).click()
    await expect(article).not.toHaveAttribute('data-step', id!)
  }
  await page.getByRole('button', { name: '● Start the log' }).click()
  await page.getByRole('button', { name: 'Machine runs' }).click()
  await page.evaluate(() => window.scrollTo(0, 0))
  await page.waitForTimeout(1000)
}
const onWorkFast = async (page: Page) => {
  await expect(page.getByRole('article')).toBeVisible()
  await page.getByRole('button', { name: /60 ×$/ }).click()
  await onWork(page)
  await page.waitForTimeout(7000)
}

/** The report is written. */
const onReport = (page: Page) => expect(page.getByText('At like conditions')).toBeVisible()

const VIEWS: readonly View[] = [
  { name: 'jobs', url: '/', size: LAPTOP },
  { name: 'arrive', url: '/job/demo-control-room/arrive', size: LAPTOP },
  { name: 'measure', url: '/job/demo-control-room/measure', size: LAPTOP },
  { name: 'measure-live', url: '/job/demo-lodge/measure', size: LAPTOP, act: onLive },
  { name: 'diagnose', url: '/job/demo-control-room/diagnose', size: LAPTOP },
  { name: 'bench', url: '/job/demo-lodge/diagnose', size: LAPTOP, act: onBench },
  { name: 'plan', url: '/job/demo-cafe-cooler/plan', size: LAPTOP, act: onWet },
  {
    name: 'plan-refrigerant',
    url: '/job/demo-cafe-cooler/plan',
    size: LAPTOP,
    act: async (page) => {
      await onWet(page)
      await page.getByRole('tab', { name: 'Refrigerant' }).click()
    },
  },
  {
    name: 'plan-parts',
    url: '/job/demo-cafe-cooler/plan',
    size: LAPTOP,
    act: (page) => page.getByRole('tab', { name: 'Parts', exact: true }).click(),
  },
  {
    name: 'plan-day',
    url: '/job/demo-cafe-cooler/plan',
    size: LAPTOP,
    act: onDay,
  },
  { name: 'store', url: '/store', size: LAPTOP, act: onStore },
  { name: 'settings', url: '/settings', size: LAPTOP },
  { name: 'close', url: '/job/demo-exhibit-hall/close', size: LAPTOP, act: onReport },
  { name: 'report', url: '/job/demo-exhibit-hall/print', size: LAPTOP, act: onReport },
  { name: 'tables-compare', url: '/tables/compare', size: LAPTOP },
  { name: 'measure-phone', url: '/job/demo-control-room/measure', size: PHONE },
  { name: 'work', url: '/job/demo-sample-fridge/work', size: LAPTOP, act: onWorkFast },
  { name: 'work-phone', url: '/job/demo-sample-fridge/work', size: PHONE, act: onWork },
  { name: 'plan-phone', url: '/job/demo-cafe-cooler/plan', size: PHONE },
]

for (const { name, url, size, act } of VIEWS) {
  test(name, async ({ page }) => {
    await page.setViewportSize(size)
    await page.goto('/')
    await page.getByRole('button', { name: 'Add demo jobs' }).click()
    await expect(page.getByRole('link', { name: /Control room split/ })).toBeVisible()
    await page.goto(url)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await act?.(page)
    await page.waitForTimeout(500)
    await page.screenshot({ path: path.join(FOLDER, `${name}.png`) })
  })
}
