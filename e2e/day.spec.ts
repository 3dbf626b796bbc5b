import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { expect, type Page, test } from './test'
import ICAL from 'ical.js'
import { PHONE, seriousFindings, storedJobs } from './helpers'

type File = { readonly decisions: { override?: string }[]; readonly day?: object } & Record<string, unknown>

/** A job of examples/plans, as it is or changed, opened at its plan. */
async function importPlan(page: Page, name: string, change: (file: File) => object = (file) => file) {
  const text = await readFile(path.join('examples/plans', `${name}.json`), 'utf8')
  const title = String((JSON.parse(text) as File).title)
  const file = change(JSON.parse(text) as File)
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New job' })).toBeVisible()
  await page.getByTestId('import-file').setInputFiles({
    name: `${name}.json`,
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  const link = page.getByRole('link', { name: title }).first()
  await expect(link).toBeVisible()
  const job = (await link.getAttribute('href'))!.replace(/\/[a-z]+$/, '')
  await page.goto(`${job}/plan`)
  await expect(page.getByRole('tab', { name: 'Day', exact: true })).toBeVisible()
  return job
}

const view = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()
const figure = (page: Page, name: string) => page.locator(`[data-figure="${name}"]`)
const parts = (page: Page) => page.getByRole('list', { name: 'Parts' })
const planned = (page: Page) => expect(page.getByText('No order is quicker')).toBeVisible()

test('a compressor burnout from decision to load-out list', async ({ page }) => {
  const job = await importPlan(page, '01-compressor', ({ day: _day, ...file }) => ({
    ...file,
    decisions: [],
    readingSets: [
      {
        id: 'found',
        mode: 'off',
        readings: { ohmsToGround: { value: 2, unit: 'ohm' } },
        observations: { compressorState: 'trips-breaker', groundMeasuredAt: 'contactor' },
      },
    ],
  }))
  // suspected only: nothing is bought
  await view(page, 'Parts')
  const compressor = parts(page)
    .getByRole('listitem')
    .filter({ hasText: /^compressor/ })
  await expect(compressor).toContainText('prove first: suspected, not decided')
  await expect(page.getByRole('region', { name: 'Prove first' })).toContainText('suspected, not decided')
  await page.goto(`${job}/diagnose`)
  await page.getByRole('button', { name: /^Compressor winding grounded/ }).click()
  await page.getByLabel('Why without full proof').fill('Measured twice, cold, at its own terminals')
  await page.getByRole('button', { name: 'Repair this' }).click()
  await page.getByRole('link', { name: 'To the plan' }).click()
  await page
    .getByRole('group', { name: 'Acid test of the oil, by a kit' })
    .getByRole('button', { name: 'strong' })
    .click()
  await view(page, 'Parts')
  await expect(compressor).toContainText('not before the owner agrees')
  await page.getByRole('button', { name: 'The quote is asked for' }).click()
  await page.getByRole('group', { name: 'Answer' }).getByRole('button', { name: 'agreed' }).click()
  await page.getByLabel('By whom').fill('the warden')
  await expect(compressor).not.toContainText('not before')
  await expect(page.getByRole('region', { name: 'The owner agrees' })).toContainText('agreed (the warden)')
  // piston to scroll brings its kit; a substitute is compared point by point
  await page.getByRole('button', { name: 'piston to scroll' }).click()
  await expect(parts(page)).toContainText('kit for piston to scroll')
  await page.getByRole('button', { name: 'More of: compressor' }).click()
  await page.getByLabel('Capacity, substitute').fill('9 tons')
  await expect(compressor).toContainText('substitute differs: capacity')
  await page.getByLabel('Capacity, substitute').fill('')
  await expect(compressor).not.toContainText('substitute differs')
  // one line more, one struck off, one ticked
  await page.getByLabel('Something else to bring').fill('long ladder')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('button', { name: 'More of: tags, labels, line insulation, ties' }).click()
  await page.getByRole('button', { name: 'Strike off' }).last().click()
  await page.getByRole('checkbox', { name: 'long ladder' }).click()
  await page.getByRole('link', { name: 'Load-out list' }).click()
  const list = page.getByRole('list', { name: 'To bring' })
  await expect(list).toContainText('suction dryer')
  await expect(list).toContainText(/dry nitrogen and regulator with relief, \d+ ft³ or more/)
  await expect(list.getByRole('listitem').filter({ hasText: 'long ladder' })).toContainText('☑')
  await expect(list).not.toContainText('tags, labels')
  await expect(page.getByRole('list', { name: 'Before you leave' })).toContainText('coil volts')
  await expect(page.getByText(/^Load-out: /)).toBeVisible()
})

test('a leak and a dryer: two gates, one round, open only in the dry', async ({ page }) => {
  const read = JSON.parse(await readFile('examples/plugged-dryer.orzo.json', 'utf8')) as {
    readingSets: { observations?: object }[]
  }
  const job = await importPlan(page, '12-leak-and-dryer', ({ decisions, ...file }) => ({
    ...file,
    decisions: decisions.slice(0, 1),
    readingSets: read.readingSets.map((set, i) => ({
      ...set,
      id: `s${i}`,
      observations: {
        ...set.observations,
        oilStain: 'evaporator-coil',
        acidTest: 'negative',
        acidTestKind: 'oil-kit',
      },
    })),
  }))
  await page.goto(`${job}/diagnose`)
  await page
    .getByRole('button', { name: /^Plugged liquid dryer/ })
    .first()
    .click()
  // its readings are its proof
  await page.getByRole('button', { name: 'Repair this' }).click()
  await expect(page.getByRole('button', { name: /Decided\. Take back/ })).toBeVisible()
  await page.goto(`${job}/plan`)
  await view(page, 'Parts')
  await expect(page.getByRole('region', { name: 'Prove first' })).toHaveCount(0)
  await expect(
    parts(page)
      .getByRole('listitem')
      .filter({ hasText: /^liquid dryer/ }),
  ).toHaveCount(1)
  await view(page, 'Day')
  await planned(page)
  // rain from ten to twelve, then a break: the file's own
  await expect(figure(page, 'Circuit open')).toContainText('12:30 to 14:20')
  const tasks = page.getByRole('list', { name: 'Tasks' })
  await expect(tasks).toContainText('Repair the coil tube or end bend')
  await expect(tasks.getByRole('listitem').filter({ hasText: 'Leak search' })).toContainText('08:34')
  // rain in the afternoon too: tomorrow
  await page.getByText(/^Hours, weather, breaks, deadline/).click()
  await page.getByRole('button', { name: 'Add rain' }).click()
  await page.getByLabel('Rain 2 from').fill('2026-11-27T13:00')
  await page.getByLabel('Rain 2 to').fill('2026-11-27T18:00')
  await expect(figure(page, 'Circuit open')).toContainText('Sat 28 Nov')
  await expect(page.getByText(/2 visits/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Remove rain 2' }).click()
  await expect(figure(page, 'Circuit open')).toContainText('12:30 to 14:20')
  await view(page, 'Parts')
  await page.getByRole('link', { name: 'Load-out list' }).click()
  await expect(page.getByRole('list', { name: 'To bring' })).toContainText('parts for the leak, when found')
  await expect(page.getByText(/Circuit open Fri 27 Nov, 12:30 to 14:20/)).toBeVisible()
})

test('a bar is dragged or moved by keys, the day is planned anew, undo takes it back', async ({ page }) => {
  await importPlan(page, '04-valve-sweat')
  await view(page, 'Day')
  await planned(page)
  await expect(figure(page, 'Circuit open')).toContainText('09:17')
  const bar = page.locator('[data-bar=confirm]')
  const box = (await bar.boundingBox())!
  const middle = [box.x + box.width / 2, box.y + box.height / 2] as const
  await page.mouse.move(...middle)
  await page.mouse.down()
  await page.mouse.move(middle[0] + 40, middle[1], { steps: 4 })
  await page.mouse.move(middle[0] + 120, middle[1], { steps: 4 })
  await page.mouse.up()
  await expect(
    page.getByRole('status').filter({ hasText: /Confirm the diagnosis.*: not before/ }),
  ).toBeVisible()
  await expect(page.locator('[data-bar=confirm]')).toHaveAttribute('aria-label', /moved by hand/)
  await expect(figure(page, 'Circuit open')).not.toContainText('09:17')
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(figure(page, 'Circuit open')).toContainText('09:17')
  // keys: half an hour, then let go
  await page.locator('[data-bar=confirm]').focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(figure(page, 'Circuit open')).toContainText('09:47')
  await page.keyboard.press('ArrowRight')
  await expect(figure(page, 'Circuit open')).toContainText('09:52')
  await page.keyboard.press('Delete')
  await expect(figure(page, 'Circuit open')).toContainText('09:17')
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByText(/it cannot begin earlier, it waits for what stands before it/)).toBeVisible()
  // minutes typed over, twice; letters are told and not stored
  await page.keyboard.press('Enter')
  const likely = page.getByLabel('likely, min').first()
  await likely.fill('40')
  await expect(figure(page, 'Circuit open')).toContainText('09:47')
  await likely.fill('x')
  await expect(page.getByText('Whole minutes, like 45.')).toBeVisible()
  await likely.fill('20')
  await expect(figure(page, 'Circuit open')).toContainText('09:27')
  await page.getByRole('button', { name: 'Usual minutes' }).click()
  await expect(figure(page, 'Circuit open')).toContainText('09:17')
  // two people are quicker
  const likelyDone = await figure(page, 'Done, likely').innerText()
  await page.getByRole('group', { name: 'People' }).getByRole('button', { name: '2' }).click()
  await expect(figure(page, 'Done, likely')).not.toHaveText(likelyDone)
  await expect(page.getByText('person 2').first()).toBeVisible()
})

test('the office gets a time, and a calendar file that another program reads', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await importPlan(page, '13-compressor-and-valve')
  await view(page, 'Day')
  await planned(page)
  await page.getByRole('button', { name: 'Give the office this time' }).click()
  const dialog = page.getByRole('dialog', { name: 'For the office' })
  await expect(dialog.getByLabel('Time for the office')).toHaveValue(/Done likely Fri 27 Nov, \d\d:\d\d/)
  await dialog.getByRole('button', { name: 'Copy' }).click()
  await expect(dialog.getByText('Copied.')).toBeVisible()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('The unit runs again about')
  const download = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Calendar file' }).click()
  const text = await readFile(await (await download).path(), 'utf8')
  const events = new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each))
  // the day, and the two later visits of a burnout
  expect(events).toHaveLength(3)
  expect(events[0]!.startDate.toString()).toBe('2026-11-27T08:00:00')
  expect(events[0]!.startDate.zone.tzid).toBe('floating')
  expect(events[0]!.endDate.compare(events[0]!.startDate)).toBe(1)
  expect(events[0]!.description).toContain('Swap the compressor')
  expect(events[0]!.location).toBe('Observatory')
  // the hours after the start are over in the afternoon, too late for a whole visit: the morning after it
  expect(events[1]!.startDate.toString()).toBe('2026-11-29T07:00:00')
  expect(events[2]!.startDate.toString()).toBe('2026-12-01T07:00:00')
})

test('what a task took moves the next job, where it is asked for', async ({ page }) => {
  await importPlan(page, '09-dryer')
  await view(page, 'Day')
  await planned(page)
  await page.getByRole('button', { name: /^More of: Recover and weigh/ }).click()
  await page.getByLabel('Took, min').fill('30')
  await expect
    .poll(async () => (await storedJobs(page))[0]?.days)
    .toMatchObject([{ took: { recover: { planned: 10, actual: 30 } } }])
  await importPlan(page, '04-valve-sweat')
  await view(page, 'Day')
  await page.getByText(/Earlier jobs here tell of 1 task/).click()
  await expect(page.getByText(/Recover and weigh the refrigerant: 44 % longer, 1 job/)).toBeVisible()
  await page.getByRole('button', { name: 'Use the times of earlier jobs' }).click()
  await expect(page.getByText(/Times of 1 task moved by earlier jobs here/)).toBeVisible()
  await expect(
    page
      .getByRole('list', { name: 'Tasks' })
      .getByRole('listitem')
      .filter({ hasText: /Recover and weigh/ }),
  ).toContainText('14 min')
  await page.getByRole('button', { name: 'Usual times' }).click()
  await expect(
    page
      .getByRole('list', { name: 'Tasks' })
      .getByRole('listitem')
      .filter({ hasText: /Recover and weigh/ }),
  ).toContainText('10 min +')
})

test('a phone shows the hours as a list; two tabs on one field agree', async ({ page, context }) => {
  await page.setViewportSize(PHONE)
  const job = await importPlan(page, '10-solenoid')
  await view(page, 'Day')
  await planned(page)
  await expect(page.locator('[data-bar]')).toHaveCount(0)
  await expect(page.getByText(/goods spoil/).first()).toBeVisible()
  const first = page.getByRole('list', { name: 'Tasks' }).getByRole('listitem').first()
  await expect(first).toContainText('1. Set up')
  await expect(first).toContainText('08:00')
  const other = await context.newPage()
  await other.goto(`${job}/plan`)
  await other.getByRole('tab', { name: 'Day', exact: true }).click()
  await other.getByRole('textbox', { name: 'Start', exact: true }).fill('2026-11-27T09:30')
  // what is being typed in leads in its own tab until it is left
  await other.getByRole('textbox', { name: 'Start', exact: true }).blur()
  await expect(page.getByRole('textbox', { name: 'Start', exact: true })).toHaveValue('2026-11-27T09:30')
  await expect(first).toContainText('09:30')
  await page.getByRole('textbox', { name: 'Start', exact: true }).fill('2026-11-27T07:00')
  await expect(other.getByRole('textbox', { name: 'Start', exact: true })).toHaveValue('2026-11-27T07:00')
  // a date that is left half typed takes nothing away
  await page.getByRole('textbox', { name: 'Start', exact: true }).focus()
  await page.keyboard.press('Backspace')
  await expect(page.getByText('Not whole yet: it is stored when every part is typed.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Start', exact: true }).blur()
  expect((await storedJobs(page))[0]?.days).toMatchObject([{ start: '2026-11-27T07:00' }])
  expect(await seriousFindings(page)).toEqual([])
})
