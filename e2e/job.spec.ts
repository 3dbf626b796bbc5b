import { expect, test } from './test'
import { readFile } from 'node:fs/promises'
import { choose, goTo, leadingSuspect, newJob, openWithDemo, storedJobs } from './helpers'

test('a job from nothing to an exported file, reloaded in the middle, read back equal in an empty browser', async ({
  page,
  browser,
}) => {
  await newJob(page)
  await page.getByLabel('Job name').fill('Dome annex split')
  await page.getByLabel('Complaint').fill('Warm since the weekend')
  await page.getByLabel('Since when').fill('Saturday')
  await page.getByLabel('Site elevation', { exact: true }).fill('5741')
  await choose(page, 'Refrigerant', 'R-410A')
  await choose(page, 'Metering device', 'Expansion valve')
  await choose(page, 'Compressor', 'scroll')
  await page.getByLabel('Tons').fill('3')
  await page.getByLabel('Rated load amps').fill('14.1')
  await page.getByLabel('Factory charge', { exact: true }).fill('7.25')

  await goTo(page, 'Measure')
  await page.locator('[data-tap=suctionPressure]').click()
  for (const value of ['88', '350', '66', '86']) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await expect(page.locator('[data-rung=liquidLineTemp]')).toBeVisible()

  await page.reload()
  await expect(page.locator('[data-tap=suctionPressure]')).toContainText('88')
  await expect(page.locator('[data-tap=liquidLineTemp]')).toContainText('86')
  await page.getByRole('tab', { name: /Seen/ }).click()
  await page
    .getByRole('group', { name: 'Frost or sweat begins at' })
    .getByRole('button', { name: 'distributor tubes' })
    .click()
  await expect(leadingSuspect(page)).toHaveAttribute('data-suspect', 'txv-underfeeding')

  await goTo(page, 'Diagnose')
  await expect(page.getByText(/Subcooling 2\d F is 1\d F above/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Repair this' })).toBeDisabled()
  await page.getByLabel('Why without full proof').fill('Valve was pulled and its screen is crushed')
  await page.getByRole('button', { name: 'Repair this' }).click()
  await page.getByRole('link', { name: 'To the plan' }).click()

  await expect(page.locator('[data-figure="△ Class not known, planned as"]')).toContainText('Clean')
  await page
    .getByRole('group', { name: 'Acid test of the oil, by a kit' })
    .getByRole('button', { name: 'weak' })
    .click()
  await expect(page.locator('[data-figure="Clean-up class"]')).toContainText('Mild acid')
  await expect(page.locator('[data-dryer=suction]')).toBeVisible()
  await page.getByRole('tab', { name: 'Day', exact: true }).click()
  await page.getByRole('checkbox', { name: /Set up, carry gear/ }).click()
  await expect(page.getByRole('checkbox', { name: /Set up, carry gear/ })).toBeChecked()

  await goTo(page, 'Close')
  await page.getByLabel('Refrigerant recovered', { exact: true }).fill('6.9')
  await page.getByLabel('Replaced', { exact: true }).fill('Expansion valve, both dryers')
  await page.getByRole('button', { name: 'not proven today' }).click()
  await expect
    .poll(async () => (await storedJobs(page))[0]?.closings)
    .toMatchObject([{ proven: 'not-proven-today' }])
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export job file' }).click()
  const file = await (await download).path()
  const { kinds, envelopes, ...exported } = JSON.parse(await readFile(file, 'utf8')) as Record<
    string,
    unknown
  >
  expect(kinds).toMatchObject({ set: 3, round: 1 })
  expect(envelopes).toHaveProperty(['head/only', 'rev'])
  const [stored] = await storedJobs(page)
  expect(exported).toEqual(stored)
  expect(exported).toMatchObject({
    format: 'orzo.job',
    version: 3,
    title: 'Dome annex split',
    unit: {
      refrigerant: 'R-410A',
      nominalTons: 3,
      power: { rla: 14.1 },
      site: { elevation: { value: 5741, unit: 'ft' } },
    },
    decisions: [
      {
        fault: 'txv-underfeeding',
        state: 'decided',
        override: 'Valve was pulled and its screen is crushed',
        gate: { gate: 'expansion-valve', met: false },
      },
    ],
    ticks: [{ key: 'task:setUp' }],
  })

  const empty = await browser.newContext({ acceptDownloads: true })
  const other = await empty.newPage()
  await other.goto('/')
  await other
    .getByTestId('import-file')
    .setInputFiles({ name: 'job.orzo.json', mimeType: 'application/json', buffer: await readFile(file) })
  await expect(other.getByText('Imported.')).toBeVisible()
  expect(await storedJobs(other)).toEqual([exported])
  await other.getByRole('link', { name: /Dome annex split/ }).click()
  await expect(other.getByLabel('Replaced', { exact: true })).toHaveValue('Expansion valve, both dryers')
  await empty.close()
})

test('wrong and damaged files get a message that names the place and change nothing', async ({ page }) => {
  await newJob(page)
  await page.getByLabel('Job name').fill('Kept as it is')
  await expect.poll(async () => (await storedJobs(page))[0]?.title).toBe('Kept as it is')
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Kept as it is/ })).toBeVisible()
  const before = await storedJobs(page)
  const good = JSON.stringify({
    format: 'orzo.job',
    version: 1,
    unit: { kind: 'other', refrigerant: 'R-22', metering: 'txv' },
    readingSets: [],
  })
  const CASES: readonly (readonly [string, RegExp])[] = [
    ['not json at all', /is not JSON/],
    [good.slice(0, 40), /is not JSON/],
    [good.replace('orzo.job', 'other.job'), /format/],
    [good.replace('R-22', 'R-2222'), /unit\.refrigerant is not one of R-22/],
    [good.replace('"version":1', '"version":9'), /update Orzo/],
  ]
  for (const [text, message] of CASES) {
    await page
      .getByTestId('import-file')
      .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) })
    const alert = page.getByRole('alert').filter({ hasText: message })
    await expect(alert).toContainText('nothing was changed')
    await page.getByRole('button', { name: 'Close' }).click()
  }
  expect(await storedJobs(page)).toEqual(before)
})

test('two windows agree: a change in one shows in the other', async ({ page, context }) => {
  await newJob(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await page.getByLabel('Job name').fill('Seen in both')
  await expect(other.getByRole('heading', { name: 'Seen in both' })).toBeVisible()
})

test('typing and leaving at once loses nothing', async ({ page }) => {
  await newJob(page)
  await goTo(page, 'Measure')
  await page.locator('[data-tap=suctionPressure]').click()
  await page.keyboard.type('118')
  await goTo(page, 'Diagnose')
  await goTo(page, 'Measure')
  await expect(page.locator('[data-tap=suctionPressure]')).toContainText('118')
})

test('an impossible value is told and not stored', async ({ page }) => {
  await newJob(page)
  await goTo(page, 'Measure')
  await page.locator('[data-tap=suctionPressure]').click()
  await page.keyboard.type('-40')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status')).toContainText('perfect vacuum')
  await expect(page.getByLabel('Suction pressure', { exact: true })).toHaveValue('-40')
  expect((await storedJobs(page))[0]?.readingSets).toEqual([])
  await page.getByRole('button', { name: 'Change sign' }).click()
  await page.getByRole('button', { name: 'Next' }).click()
  await expect(page.locator('[data-tap=suctionPressure]')).toContainText('40')
})

test('the report tells as many changes of the oil as the plan', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-dome/plan')
  await expect(page.locator('[data-figure="Oil changes"]')).toContainText('2')
  await page.goto('/job/demo-dome/print')
  await expect(page.getByText(/left for the dryer;.*, 2 oil changes/)).toBeVisible()
})
