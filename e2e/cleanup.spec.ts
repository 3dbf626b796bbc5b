import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { expect, type Page, test } from './test'
import { newJob, PHONE, seriousFindings, storedJobs } from './helpers'

const EXAMPLES = path.resolve('examples/cleanup')

/** Brings a job file in by the list and opens its plan. @returns the address of the job */
async function importJob(page: Page, name: string): Promise<string> {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New job' })).toBeEnabled()
  await page.getByTestId('import-file').setInputFiles(path.join(EXAMPLES, `${name}.json`))
  const title = (JSON.parse(await readFile(path.join(EXAMPLES, `${name}.json`), 'utf8')) as { title: string })
    .title
  const link = page.getByRole('link', { name: new RegExp(title) }).first()
  await expect(link).toBeVisible()
  const job = ((await link.getAttribute('href')) as string).replace(/\/[a-z]+$/, '')
  await page.goto(`${job}/plan`)
  await expect(page.getByRole('tab', { name: 'Clean-up' })).toBeVisible()
  return job
}

const figure = (page: Page, name: string) => page.locator(`[data-figure="${name}"]`)
const view = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()

/** What docs/worked-cleanup.md says, as it stands on the screen. */
const WORKED = [
  ['1-clean', 'Clean', '8 in³', '0.05 g', '7 lb 15.2 oz'],
  ['2-debris', 'Debris', '5 in³', '9 mg', '13.3 oz'],
  ['3-mild-acid', 'Mild acid', '8 in³', '9 mg', '6 lb 0.1 oz'],
  ['4-burnout', 'Burnout', '41 in³', '0.01 g', '10 lb 8.4 oz'],
  ['5-by-the-sea', 'Wet', '30 in³', '0.54 g', '6 lb 6.3 oz'],
  ['6-frozen-valves', 'Wet', '16 in³', '1.33 g', '14 lb 0.0 oz'],
  ['7-capillary-heat-pump', 'Clean', '5 in³', '0.04 g', '3 lb 0.0 oz'],
  ['8-listed', 'Clean', '8 in³', '0.05 g', '6 lb 8.0 oz'],
  ['8-not-listed', 'Clean', '8 in³', '0.05 g', '6 lb 8.0 oz'],
] as const

test('eight worked jobs through the interface: class, dryer, grams and ounces', async ({ page }) => {
  test.setTimeout(180_000)
  for (const [name, contamination, block, left, charge] of WORKED) {
    await importJob(page, name)
    await expect(figure(page, 'Liquid dryer'), name).toContainText(block)
    await expect(page.locator('[data-figure]').first(), name).toContainText(contamination)
    await expect(figure(page, 'Water left for it'), name).toContainText(left)
    await view(page, 'Refrigerant')
    await expect(figure(page, 'Charge'), name).toContainText(charge)
    await view(page, 'Clean-up')
  }
  // not listed: the refrigerant that is in it stands nowhere among what goes in
  await view(page, 'Refrigerant')
  await expect(figure(page, 'Goes in')).toContainText('R-410A')
  await expect(page.getByText('⬣ R-454B burns (A2L) and this equipment is not listed for it.')).toBeVisible()
  await view(page, 'Parts')
  await expect(page.getByRole('list', { name: 'Parts' })).not.toContainText('R-454B')
  await expect(page.getByRole('list', { name: 'Parts' })).toContainText('R-410A')
})

test('a burn that nobody tested is not known; the oil tested decides, typed over, undone, in a second tab', async ({
  page,
  context,
}) => {
  await importJob(page, '3-mild-acid')
  const number = page.getByLabel('Acid number, mg KOH/g')
  await expect(number).toHaveValue('0.12')
  const known = figure(page, 'Clean-up class')
  await expect(known).toContainText('Mild acid')
  await number.fill('0,2')
  await expect(known).toContainText('Burnout')
  await expect(figure(page, 'Oil changes')).toContainText('2')
  await number.fill('abc')
  await expect(page.getByText(/"abc" is no number/)).toBeVisible()
  await expect(known).toContainText('Burnout')
  await number.fill('99')
  await expect(page.getByText(/is more than 50 mg KOH\/g/)).toBeVisible()
  await number.fill('')
  const unknown = figure(page, '△ Class not known, planned as')
  await expect(unknown).toContainText('Mild acid')
  await expect(page.getByText(/an electrical burn, planned as mild acid at least/)).toBeVisible()
  await expect(
    page.getByRole('heading', { name: /What would change it: (acid test of the oil|look at the oil)/ }),
  ).toBeVisible()
  // a strip alone frees nothing
  await page
    .getByRole('group', { name: 'Acid strip in the gas' })
    .getByRole('button', { name: 'negative' })
    .click()
  await expect(unknown).toContainText('Mild acid')
  // another tab tests the oil itself: this one follows
  const other = await context.newPage()
  await other.goto(page.url())
  await other
    .getByRole('group', { name: 'Acid test of the oil, by a kit' })
    .getByRole('button', { name: 'negative' })
    .click()
  await expect(figure(page, 'Clean-up class')).toContainText('Clean')
  await other.close()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/Kept as it is, because another window changed it since/)).toBeVisible()
})

test('weights and volumes in either system; what came out, cylinder, trim', async ({ page }) => {
  await importJob(page, '4-burnout')
  await view(page, 'Refrigerant')
  await page.getByText('What came out, and what is said of it').click()
  await page.getByRole('textbox', { name: 'Oil out, weighed' }).fill('28')
  // mineral oil of 0.91: 28 oz weighed are 29.5 fl oz
  await expect(page.getByRole('row', { name: /^came out/ })).toContainText('29.5')
  await page.getByRole('textbox', { name: 'Oil out, weighed' }).fill('793.8 g')
  await expect(page.getByRole('row', { name: /^came out/ })).toContainText('29.5')
  await expect
    .poll(async () => (await storedJobs(page))[0]?.repairs)
    .toMatchObject([{ oilOutWeighed: { value: 793.8, unit: 'g' } }])
  await page.getByText('Scale and cylinder').click()
  await page.getByRole('textbox', { name: 'Water it holds, stamped' }).fill('47.7')
  await page.getByRole('textbox', { name: 'Tare' }).fill('27')
  await page.getByRole('textbox', { name: 'Scale now' }).fill('72')
  await expect(page.getByRole('heading', { name: /^Cylinder: / })).toContainText(
    'Cylinder: 7.7 oz left, 2 are needed',
  )
  await page.getByRole('textbox', { name: 'Recovered' }).fill('6')
  await expect(page.getByText(/40 % of plate and lines is missing/)).toBeVisible()
  await page.getByRole('group', { name: 'Way wanted' }).getByRole('button', { name: 'Pump down' }).click()
  await expect(
    page.getByText(/⬣ Pump down into receiver or condenser does not fit: .*the compressor does not do it/),
  ).toBeVisible()
})

test('an own dryer is chosen when best, refused with its reason when not, and survives export and import', async ({
  page,
  browser,
}) => {
  await page.goto('/store')
  await page.getByRole('button', { name: 'Add a dryer' }).click()
  const dialog = page.getByRole('dialog', { name: 'Add a dryer' })
  await dialog.getByLabel('Name').fill('Van block 8')
  await dialog.getByLabel('Block, in³').fill('8')
  await dialog.getByLabel('Connections').fill('3/8; 12.7 mm')
  await dialog.getByLabel('Tons', { exact: true }).fill('5')
  await dialog.getByLabel('On the van').fill('2')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog.getByRole('alert').first()).toContainText('is missing')
  await dialog.getByRole('textbox', { name: 'Working pressure' }).fill('45 barg')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(page.getByRole('row', { name: /Van block 8/ })).toContainText('45 barg')
  const job = await importJob(page, '1-clean')
  const chosen = page.getByRole('region', { name: 'Liquid dryer' })
  await expect(chosen).not.toContainText('Van block 8')
  await page.getByRole('button', { name: 'Consider those of the store' }).click()
  await expect(chosen.getByRole('heading')).toContainText('Van block 8: block 8 in³')
  // its sheet read again: it does not stand the pressure
  await page.goto('/store')
  await page.getByRole('button', { name: 'Van block 8', exact: true }).click()
  await page.getByRole('textbox', { name: 'Working pressure' }).fill('400 psig')
  await page.getByRole('dialog').getByRole('button', { name: 'Store' }).click()
  await expect(page.getByRole('row', { name: /Van block 8/ })).toContainText('400 psig')
  await page.goto(`${job}/plan`)
  await expect(chosen.getByRole('heading')).toContainText('Van block 8')
  await page.getByRole('button', { name: 'Consider those of the store' }).click()
  await expect(chosen.getByRole('heading')).not.toContainText('Van block 8')
  await chosen.getByText(/refused, and why/).click()
  await expect(chosen.getByText(/stands 400 psig, 600 psig wanted for R-410A/)).toContainText('Van block 8')
  // the table of dryers goes out and comes back; what is removed can be put back
  await page.goto('/store')
  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export CSV' }).click()
  const table = await (await csv).path()
  await page.getByRole('button', { name: 'Remove Van block 8' }).click()
  await expect(page.getByText('None yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Put back' }).click()
  await expect(page.getByRole('row', { name: /Van block 8/ })).toBeVisible()
  const elsewhere = await (await browser.newContext()).newPage()
  await elsewhere.goto('/store')
  await expect(elsewhere.getByText('None yet.')).toBeVisible()
  await elsewhere
    .getByTestId('dryer-csv')
    .setInputFiles({ name: 'dryers.csv', mimeType: 'text/csv', buffer: await readFile(table) })
  await expect(elsewhere.getByRole('row', { name: /Van block 8/ })).toContainText('0.375 in, 12.7 mm')
  await elsewhere
    .getByTestId('dryer-csv')
    .setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('name,tons\nx,3\n') })
  await expect(elsewhere.getByText(/lacks "place", "flow"/)).toBeVisible()
  // the job file carries the copy that was considered
  await page.goto(`${job}/close`)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export job file' }).click()
  const file = JSON.parse(await readFile(await (await download).path(), 'utf8')) as {
    dryers: { label: string }[]
  }
  expect(file.dryers).toHaveLength(1)
  expect(file.dryers[0]).toMatchObject({ label: 'Van block 8', pressure: { value: 400, unit: 'psig' } })
  await elsewhere.context().close()
})

test('policy: a new job copies it, an older one keeps its own, and says so', async ({ page }) => {
  await newJob(page)
  const old = page.url().replace(/\/[a-z]+$/, '')
  await page.goto('/settings')
  await page.getByRole('combobox', { name: 'How is a circuit evacuated?' }).click()
  await page.getByRole('option', { name: /three pulls with nitrogen breaks, always/ }).click()
  await expect(page.locator('[data-policy=evacuation]')).toContainText("not Orzo's own")
  await newJob(page)
  const jobs = await storedJobs(page)
  const policies = jobs.map(({ id, policy }) => [
    old.endsWith(String(id)),
    (policy as { evacuation: string }).evacuation,
  ])
  expect(policies.sort()).toEqual([
    [false, 'always-triple'],
    [true, 'triple-when-wet'],
  ])
  await importJob(page, '1-clean')
  await view(page, 'Parts')
  await page.getByText(/Policy of this job: 1 answer differs/).click()
  await page.getByRole('button', { name: 'Take over the settings' }).click()
  await expect(page.getByText('Policy of this job: as in the settings')).toBeVisible()
  await view(page, 'Day')
  await expect(page.getByRole('checkbox', { name: /Evacuate in three pulls/ })).toBeVisible()
  await view(page, 'Parts')
  await page.getByText('Policy of this job: as in the settings').click()
  await page.getByRole('combobox', { name: 'How is a circuit evacuated?' }).click()
  await page.getByRole('option', { name: /one pull when clean and dry/ }).click()
  await expect(page.getByText(/Policy of this job: 1 answer differs/)).toBeVisible()
  await view(page, 'Day')
  await expect(page.getByRole('checkbox', { name: /\. Evacuate, cores out/ })).toBeVisible()
})

test('on a phone no view of the plan is longer than three screens but the list of hours; axe finds nothing serious in either size', async ({
  page,
}) => {
  await page.setViewportSize(PHONE)
  for (const name of ['4-burnout', '6-frozen-valves']) {
    await importJob(page, name)
    for (const part of ['Clean-up', 'Refrigerant', 'Parts', 'Day']) {
      await view(page, part)
      await expect(page.getByRole('tab', { name: part })).toHaveAttribute('aria-selected', 'true')
      const { tall, wide } = await page.evaluate(() => ({
        tall: document.documentElement.scrollHeight,
        wide: document.documentElement.scrollWidth,
      }))
      // each of some 25 tasks keeps a line that a thumb can hit
      const most = part === 'Day' ? 4.5 : 3
      expect([part, tall <= most * PHONE.height, wide]).toEqual([part, true, PHONE.width])
      expect(await seriousFindings(page), part).toEqual([])
    }
    await view(page, 'Clean-up')
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  for (const part of ['Clean-up', 'Refrigerant', 'Parts', 'Day']) {
    await view(page, part)
    expect(await seriousFindings(page), part).toEqual([])
  }
  for (const address of ['/store', '/settings']) {
    await page.goto(address)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(await seriousFindings(page), address).toEqual([])
  }
})
