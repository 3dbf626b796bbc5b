import { readFile } from 'node:fs/promises'
import { expect, type Page, test } from './test'
import {
  expectNoSidewaysScroll,
  goTo,
  newJob,
  openWithDemo,
  PHONE,
  seriousFindings,
  storedJobs,
} from './helpers'
import { paperOf, papersOf } from './papers'

const CLOSED = '/job/demo-spectrograph/close'
const outcome = (page: Page) => page.locator('[data-outcome]')
const point = (page: Page, id: string) => page.locator(`[data-close-point="${id}"]`)
const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' })
const closings = async (page: Page, id: string) =>
  (await storedJobs(page)).find((job) => job.id === id)?.closings as {
    proven?: string
    overrides?: object[]
  }[]

test('a proven job: Close says what is on record, and the papers say the same figures', async ({ page }) => {
  await openWithDemo(page)
  await page.goto(CLOSED)
  await expect(outcome(page)).toHaveText('● Proven under load')
  await expect(page.getByText(/^● All \d+ points are on record\.$/)).toBeVisible()
  const shown = await page.locator('main').innerText()
  const { owner, technical, tag } = await papersOf(page)
  // weights and verdicts stand on the screen and on paper alike
  for (const figure of [
    /7\.8 lb/,
    /7 lb 14\.1 oz in it/,
    /76 microns to 77 microns in 10 min/,
    /220 psig, limit 236 psig/,
  ]) {
    expect(shown).toMatch(figure)
    expect(technical.text).toMatch(figure)
  }
  expect(owner.text).toContain('Proven under load')
  expect(owner.text).toContain('Expansion valve underfeeding: proven before the part was condemned')
  expect(owner.pages).toHaveLength(1)
  expect(owner.file).toBe('spectrograph-room-split-owner.pdf')
  // both ladders, with their rungs
  expect(owner.text.match(/Condensing/g)!.length).toBeGreaterThanOrEqual(2)
  expect(technical.text).toContain('△ assumed: oil by tons')
  for (const heading of [
    'Recovery, tightness, vacuum, charge',
    'Logs of the work',
    'Readings as taken',
    'Hazards of this work',
  ])
    expect(technical.text).toContain(heading)
  expect(tag.text).toContain('R-410A')
  expect(tag.pages).toHaveLength(1)
  // a sheet of another country; the choice stays
  expect(technical.pages[0]!.width).toBeCloseTo(612, 0)
  await button(page, 'A4').click()
  await expect(button(page, '● A4')).toBeVisible()
  expect((await paperOf(page, 'owner')).pages[0]!.width).toBeCloseTo(595.28, 0)
  await page.reload()
  await expect(button(page, '● A4')).toBeVisible()
})

test('what is missing is named with where it is done, passed in writing, taken back by Undo', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto('/job/demo-dome/close')
  await expect(outcome(page)).toContainText('Not closed')
  await expect(point(page, 'proven')).toContainText('the choice: proven under load, or not proven today')
  await button(page, 'Pass in writing: Charged weight').click()
  const why = page.getByLabel('Why without: Charged weight')
  await why.fill('scale')
  await expect(page.getByText(/fewer than eight letters pass nothing/)).toBeVisible()
  await expect(point(page, 'charged')).toHaveAttribute('data-state', 'missing')
  await why.fill('scale was left at the other site')
  await why.blur()
  await expect(point(page, 'charged')).toHaveAttribute('data-state', 'overridden')
  await expect
    .poll(async () => (await closings(page, 'demo-dome'))[0]?.overrides)
    .toMatchObject([{ point: 'charged', reason: 'scale was left at the other site' }])
  await expect(page.getByText('Passed in writing: charged weight')).toHaveCount(1)
  // the choice without what proves it is no proof
  await button(page, 'proven').click()
  await expect(point(page, 'proven')).toContainText('a set measured after the start')
  await expect(outcome(page)).toContainText('Not closed')
  await button(page, 'Undo').click()
  await expect(button(page, 'proven')).toBeVisible()
  await button(page, 'not proven today').click()
  await expect(point(page, 'return')).toContainText('the day of the return reading')
  await page.getByLabel('Return reading on').fill('2026-12-12')
  await expect(point(page, 'return')).toHaveCount(0)
  await expect(page.getByText(/Return reading under load, 12 Dec 2026/).first()).toBeVisible()
  // it leads to the step
  await point(page, 'not-tested')
    .getByRole('button', { name: /^Go to: / })
    .click()
  await expect(page).toHaveURL(/\/work\?.*step=pressureTest/)
  await expect(page.getByRole('article')).toHaveAttribute('data-step', 'pressureTest')
})

test('two tabs on one reason; half typed it is kept', async ({ page, context }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-dome/close')
  const other = await context.newPage()
  await other.goto('/job/demo-dome/close')
  const label = 'Why without: Charged weight'
  await button(page, 'Pass in writing: Charged weight').click()
  await page.getByLabel(label).fill('the cylinder was not on the scale')
  await page.getByLabel(label).blur()
  await expect(other.getByLabel(label)).toHaveValue('the cylinder was not on the scale')
  await other.getByLabel(label).fill('')
  await other.getByLabel(label).blur()
  await expect(page.getByLabel(label)).toHaveValue('')
  await expect(page.locator('[data-close-point="charged"]')).toHaveAttribute('data-state', 'missing')
  await page.getByLabel(label).fill('the cyl')
  await page.reload()
  await expect(page.getByLabel(label)).toHaveValue('the cyl')
})

test('a job of which nothing is known has papers that say so', async ({ page }) => {
  await newJob(page)
  await goTo(page, 'Close')
  await expect(outcome(page)).toContainText('Not closed')
  const { owner, technical } = await papersOf(page)
  for (const { text } of [owner, technical])
    expect(text).toContain('Not closed: decision and proof under load are not on record')
  expect(technical.text).toContain('No set of a running unit is on record.')
  // a file of another program as a job is told, and nothing is lost
  await page.getByTestId('import-file').setInputFiles({
    name: 'report.pdf',
    mimeType: 'application/pdf',
    buffer: Buffer.from('%PDF-1.3 of another program'),
  })
  await expect(page.getByRole('alert').filter({ hasText: 'report.pdf' })).toBeVisible()
  await expect(outcome(page)).toBeVisible()
})

test('the writer of papers is fetched when a paper is asked for, not before', async ({ page }) => {
  const fonts: string[] = []
  page.on('response', (response) => {
    if (/DejaVu/.test(response.url())) fonts.push(response.url())
  })
  await openWithDemo(page)
  await page.goto(CLOSED)
  await expect(outcome(page)).toBeVisible()
  expect(fonts).toEqual([])
  const { text } = await paperOf(page, 'tag')
  expect(text).toContain('Spectrograph room split')
})

for (const [name, viewport] of [
  ['laptop', { width: 1280, height: 800 }],
  ['phone', PHONE],
] as const) {
  test.describe(name, () => {
    test.use({ viewport })
    test('Close fits, has no serious finding, targets of 48 px, and no heading without lines', async ({
      page,
    }) => {
      await openWithDemo(page)
      await page.goto('/job/demo-exhibit-hall/close')
      await expect(outcome(page)).toHaveText('● Proven under load')
      await expectNoSidewaysScroll(page)
      expect(await seriousFindings(page)).toEqual([])
      for (const each of await page.getByRole('button', { name: /, PDF$/ }).all())
        expect((await each.boundingBox())!.height).toBeGreaterThanOrEqual(47.5)
      const empty = await page
        .locator('section:has(> dl)')
        .evaluateAll((all) => all.filter((section) => section.querySelectorAll('dd').length === 0).length)
      expect(empty).toBe(0)
    })
  })
}

test('the job file keeps what was written at the end', async ({ page }) => {
  await openWithDemo(page)
  await page.goto(CLOSED)
  await page.getByLabel('Settings changed').fill('fan speed 3 to 4')
  await page.getByLabel('Settings changed').blur()
  await expect
    .poll(async () => (await closings(page, 'demo-spectrograph'))[0])
    .toMatchObject({ settings: 'fan speed 3 to 4' })
  expect((await paperOf(page, 'tag')).text).toContain('fan speed 3 to 4')
  const coming = page.waitForEvent('download')
  await button(page, 'Export job file').click()
  expect((await readFile(await (await coming).path())).length).toBeGreaterThan(1000)
})
