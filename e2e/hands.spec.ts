import { expect, type Page, test } from './test'
import { readFile } from 'node:fs/promises'
import {
  DEMO_COUNT,
  choose,
  goTo,
  leadingSuspect,
  newJob,
  openWithDemo,
  PHONE,
  seriousFindings,
  storedJobs,
} from './helpers'

const only = async (page: Page) => (await storedJobs(page)).find((job) => !job.demo) as Record<string, never>

/** Whether the middle of a thing is what a finger would touch there. */
const isOnTop = (page: Page, name: string) =>
  page.getByRole('button', { name, exact: true }).evaluate((element) => {
    const { left, top, width, height } = element.getBoundingClientRect()
    const hit = document.elementFromPoint(left + width / 2, top + height / 2)
    return element === hit || element.contains(hit)
  })

test('nothing of a unit is presumed: what is not said is asked, and ranked once it is said', async ({
  page,
}) => {
  await newJob(page, 'Not known yet')
  expect((await only(page)).unit).toEqual({})
  await goTo(page, 'Measure')
  await page.locator('[data-tap=suctionPressure]').click()
  await page.keyboard.type('68')
  // stored all the same, and nothing is said of it
  await expect
    .poll(async () => (await only(page)).readingSets?.[0])
    .toMatchObject({
      readings: { suctionPressure: { value: 68 } },
    })
  const answer = page.getByRole('complementary', { name: 'Answer' })
  await expect(answer.getByRole('group', { name: 'Which refrigerant?' })).toBeVisible()
  await expect(page.locator('[data-suspect]')).toHaveCount(0)
  await expect(answer.getByText(/no expectations for a unit of kind/)).toHaveCount(0)
  await expect(page.locator('[data-rung]')).toHaveCount(0)
  await goTo(page, 'Diagnose')
  await expect(page.getByText('Nothing is presumed').first()).toBeVisible()
  await goTo(page, 'Plan')
  await expect(page.getByText('Nothing is presumed').first()).toBeVisible()
  // typed into where it is none of the usual ones
  const ask = page.getByRole('main')
  await ask
    .getByRole('group', { name: 'Which refrigerant?' })
    .getByRole('button', { name: 'Another…' })
    .click()
  await choose(page, 'Which refrigerant?', 'R-407C')
  await ask.getByRole('button', { name: 'Expansion valve' }).click()
  await ask.getByRole('button', { name: 'Split air conditioner' }).click()
  await goTo(page, 'Measure')
  await expect(leadingSuspect(page)).toBeVisible()
  await page.locator('[data-tap=liquidPressure]').click()
  await page.keyboard.type('230')
  // one name for each temperature of a blend: on the pad, on the drawing, on the ladder
  await expect(page.getByRole('status', { name: 'Saturation' })).toContainText(
    /R-407C: bubble 10\d\.\d F, dew 11\d\.\d F/,
  )
  await page.keyboard.press('Escape')
  await expect(page.getByText(/condensing mean 1\d\d F/)).toBeVisible()
  await expect(page.locator('[data-rung=condensingMean]')).toHaveAttribute('aria-label', /^Condensing bubble/)
})

test('weights and lengths in two units stay as they were typed', async ({ page }) => {
  await newJob(page)
  await choose(page, 'Unit of Factory charge', 'lb + oz')
  await page.getByLabel('Factory charge, lb').fill('6')
  await page.getByLabel('oz', { exact: true }).fill('4')
  await page.getByLabel('Line set, length', { exact: true }).fill(`42' 6"`)
  await expect
    .poll(async () => (await only(page)).unit)
    .toMatchObject({
      factoryCharge: { value: 6.25, unit: 'lb', typed: '6 lb 4 oz' },
      lineSet: { length: { value: 42.5, unit: 'ft', typed: '42 ft 6 in' } },
    })
  await page.reload()
  await expect(page.getByLabel('Factory charge, lb')).toHaveValue('6')
  await expect(page.getByLabel('oz', { exact: true })).toHaveValue('4')
  // the same measure in another unit, and typed over twice
  await choose(page, 'Unit of Factory charge', 'kg')
  await expect(page.getByLabel('Factory charge', { exact: true })).toHaveValue('2.835')
  await page.getByLabel('Factory charge', { exact: true }).fill('3')
  await page.getByLabel('Factory charge', { exact: true }).fill('3 lb 8 oz')
  await expect
    .poll(async () => (await only(page)).unit)
    .toMatchObject({ factoryCharge: { typed: '3 lb 8 oz' } })
})

test('what an instrument shows is a reading of its own, and disagreement is told; oil at two places', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/measure')
  await page.getByRole('tab', { name: 'List' }).click()
  await page.locator('li [data-tap=superheatShown]').click()
  await page.keyboard.type('2')
  await page.keyboard.press('Escape')
  await expect(
    page.getByText(/Superheat as the instrument shows it and the one from .* do not agree/),
  ).toBeVisible()
  await page.getByRole('tab', { name: 'Seen' }).click()
  await page.getByRole('button', { name: 'Where is oil?' }).click()
  await page.locator('[data-place=compressor]').click()
  await page.locator('[data-place=meteringIn], [data-place=valve-stem]').first().click()
  await expect(page.getByText('Oil stain: compressor and valve stem.')).toBeVisible()
  await page.reload()
  await page.getByRole('tab', { name: 'Seen' }).click()
  const stain = page.getByRole('group', { name: 'Oil stain' })
  await expect(stain.getByRole('button', { name: 'compressor' })).toHaveAttribute('aria-pressed', 'true')
  await expect(stain.getByRole('button', { name: 'valve stem' })).toHaveAttribute('aria-pressed', 'true')
  await page
    .getByRole('group', { name: 'Moisture indicator' })
    .getByRole('button', { name: 'unreadable' })
    .click()
  await goTo(page, 'Plan')
  await page.getByText('Why this class').click()
  await expect(page.getByText(/washed out and unreadable: free water was there/)).toBeVisible()
})

test('a check tells in words what it is worth; bits stand behind a tap', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/diagnose')
  const check = page.getByRole('button', { name: /^tells (much|some|little), \d+ min$/ }).first()
  await expect(check).toBeVisible()
  expect(await page.getByText(/\bbit\b/).count()).toBe(0)
  await check.click()
  await expect(page.getByRole('button', { name: /^tells .* min, 0\.\d\d bit$/ })).toHaveCount(1)
  // what speaks for the leader stands first
  await expect(
    page
      .getByRole('region', { name: /Expansion valve/ })
      .getByRole('listitem')
      .first(),
  ).toContainText('▲ for')
})

test('jobs are found by words, stage, place; several are exported and deleted, and had back', async ({
  page,
}) => {
  await openWithDemo(page)
  const list = page.getByRole('list', { name: 'Jobs' })
  const found = page.getByRole('status')
  await page.getByLabel('Find by words').fill('r22 hall')
  await expect(list.getByRole('listitem')).toHaveCount(1)
  await expect(found.first()).toHaveText(`1 of ${DEMO_COUNT} jobs`)
  // kept when one comes back from a job
  await list.getByRole('link').click()
  await page.getByRole('link', { name: 'All jobs' }).click()
  await expect(page.getByLabel('Find by words')).toHaveValue('r22 hall')
  await page.getByLabel('Find by words').fill('nowhere')
  await page.getByRole('button', { name: /show all jobs/ }).click()
  await expect(list.getByRole('listitem')).toHaveCount(DEMO_COUNT)
  await choose(page, 'Stage', 'Close')
  await expect(list.getByRole('listitem')).toHaveCount(3)
  await choose(page, 'Stage', 'any')
  // rows that still come would move what is clicked
  await expect(list.getByRole('listitem')).toHaveCount(DEMO_COUNT)
  await page.getByRole('button', { name: 'Choose several' }).click()
  await page.getByRole('checkbox', { name: /Choose Control room/ }).check()
  await page.getByRole('checkbox', { name: /Choose Exhibit hall/ }).check()
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export', exact: true }).click()
  const zip = await readFile(await (await file).path())
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(2)
  expect(await seriousFindings(page)).toEqual([])
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click()
  await expect(list.getByRole('listitem')).toHaveCount(DEMO_COUNT - 2)
  await page.getByRole('button', { name: 'Bring them back' }).click()
  await expect(list.getByRole('listitem')).toHaveCount(DEMO_COUNT)
  // what was deleted first is had back too, also when the list is empty and several are chosen no more
  await page.getByRole('checkbox', { name: /Choose Control room/ }).check()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click()
  await expect(list.getByRole('listitem')).toHaveCount(DEMO_COUNT - 1)
  await page.getByRole('button', { name: `All ${DEMO_COUNT - 1} found` }).click()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await page.getByRole('button', { name: 'Bring them back' }).click()
  await expect(list.getByRole('listitem')).toHaveCount(DEMO_COUNT)
  await page.getByRole('button', { name: 'Choose several' }).click()
  await page.getByRole('button', { name: `All ${DEMO_COUNT} found` }).click()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'jobs.zip', mimeType: 'application/zip', buffer: zip })
  await expect(list.getByRole('listitem')).toHaveCount(2)
})

test('a job whose id is two dots, and a title of one long word', async ({ page }) => {
  await page.goto('/')
  const job = JSON.parse(await readFile('examples/plugged-orifices.orzo.json', 'utf8')) as object
  const buffer = Buffer.from(JSON.stringify({ ...job, id: '..', title: 'W'.repeat(300) }))
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'dots.orzo.json', mimeType: 'application/json', buffer })
  await page.getByRole('link', { name: /WWW/ }).click()
  await expect(page).toHaveURL(/\/job\/dot-dot\//)
  await page.goto('/job/dot-dot/print')
  await expect(page.getByRole('heading', { name: /WWW/ })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
})

test('a log: units in a row of their own, a guess confirmed, an impossible mean left out', async ({
  page,
}) => {
  await newJob(page)
  await goTo(page, 'Measure')
  await page.getByRole('tab', { name: 'Live' }).click()
  const give = (text: string) =>
    page
      .getByLabel('Log file')
      .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await give('Time,Suction pressure,Outdoor\n(min),,°F\n0,38,95\n1,38,95\n2,38,95\n')
  const dialog = page.getByRole('dialog')
  await expect(
    dialog.getByText(/Nothing in the file tells the unit of suction pressure: barg is a guess/),
  ).toBeVisible()
  await expect(dialog.getByRole('button', { name: /^Take \d/ })).toBeDisabled()
  await choose(page, 'Unit, a guess', 'psig')
  await expect(dialog.getByRole('button', { name: 'Take 2 readings' })).toBeEnabled()
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await give('Time (min),Low side (psig),Outdoor (F)\n0,-40,95\n1,-40,95\n')
  await expect(dialog.getByText(/Suction pressure -40 psig is left out/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Take 1 readings' }).click()
  await expect
    .poll(async () => (await only(page)).readingSets?.[0])
    .toMatchObject({ readings: { outdoorAirTemp: { value: 95 } } })
})

test('the tables do not presume the sea: a vacuum gauge reads against the air of the site', async ({
  page,
}) => {
  await page.goto('/tables/water')
  await page.getByLabel('Vacuum', { exact: true }).fill('24')
  await choose(page, 'Unit of Vacuum', 'inHgVac')
  const figure = page.getByText('At this vacuum it boils at').locator('..')
  const before = await figure.innerText()
  await page.getByLabel('Elevation', { exact: true }).fill('1750')
  await expect.poll(() => figure.innerText()).not.toBe(before)
  await page.goto('/tables/nitrogen')
  await page.getByLabel('Start pressure', { exact: true }).fill('2800')
  await choose(page, 'Unit of Start pressure', 'kPa')
  await expect(page.getByText(/by temperature alone/)).toContainText(
    /-\d+\.\d kPa by temperature alone, ± \d+\.\d kPa/,
  )
})

for (const [name, viewport] of [
  ['125 %', { width: 1024, height: 640 }],
  ['200 %', { width: 640, height: 400 }],
] as const)
  test(`zoom ${name}: every key of the pad can be reached`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await openWithDemo(page)
    await page.goto('/job/demo-control-room/measure')
    await page.locator('[data-tap=suctionPressure]').first().click()
    for (const key of ['7', '0', 'Next']) {
      await page.getByRole('button', { name: key, exact: true }).scrollIntoViewIfNeeded()
      expect(await isOnTop(page, key), key).toBe(true)
    }
  })

test.describe('phone', () => {
  test.use({ viewport: PHONE, hasTouch: true, isMobile: true })
  test('Arrive asks five things first, the check stands under the leader, the rail tells what blocks', async ({
    page,
  }) => {
    await newJob(page, 'Walk-in cooler')
    for (const label of ['Kind', 'Refrigerant', 'Metering device'])
      await expect(page.getByRole('combobox', { name: label, exact: true })).toBeVisible()
    await expect(page.getByLabel('Setpoint', { exact: true })).toBeVisible()
    await expect(page.getByRole('group', { name: 'Receiver' })).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThan(1100)
    await expect(page.getByRole('link', { name: /^Diagnose/ })).toContainText('needs readings')
    await page.getByRole('button', { name: /^Whole plate/ }).click()
    await expect(page.getByLabel('Rated load amps')).toBeVisible()
    await openWithDemo(page)
    await page.goto('/job/demo-control-room/diagnose')
    const top = async (name: string | RegExp) =>
      (await page.getByRole('region', { name }).first().boundingBox())!.y
    const [leader, check, evidence] = [
      await top('Leading suspect'),
      await top('Next check'),
      await top(/^Expansion valve/),
    ]
    expect(leader).toBeLessThan(check)
    expect(check).toBeLessThan(evidence)
    // what has the focus is never under the bar
    const bar = (await page.getByRole('navigation', { name: 'Stages' }).boundingBox())!.y
    for (let i = 0; i < 40; i += 1) {
      await page.keyboard.press('Tab')
      const bottom = await page.evaluate(() => {
        const focus = document.activeElement
        return focus && focus.closest('main') ? focus.getBoundingClientRect().top : 0
      })
      expect(bottom).toBeLessThan(bar)
    }
    await page.getByRole('tab', { name: 'Electrical bench' }).click()
    const levels = await page
      .locator('h1, h2, h3, h4')
      .evaluateAll((all) => all.map((heading) => Number(heading.tagName[1])))
    for (const [i, level] of levels.entries()) expect(level - (levels[i - 1] ?? 0)).toBeLessThanOrEqual(1)
  })
})
