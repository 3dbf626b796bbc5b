import { expect, type Page, test } from './test'
import { readFile } from 'node:fs/promises'
import { goTo, newJob, openWithDemo, seriousFindings, storedJobs } from './helpers'

type StoredReading = {
  value: number
  unit: string
  source?: string
  instrument?: string
  doubtful?: boolean
  note?: string
  before?: { value: number }[]
}
type StoredSet = {
  readings: Record<string, StoredReading>
  observations?: Record<string, string>
  note?: string
}

const setsOf = async (page: Page, id?: string): Promise<StoredSet[]> => {
  const jobs = await storedJobs(page)
  return (jobs.find((job) => job.id === id) ?? jobs[0])!.readingSets as StoredSet[]
}

test('a live session: connect, put on, settle, capture, lose and get back', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/measure')
  await page.getByRole('tab', { name: 'Live' }).click()
  await page.getByRole('button', { name: 'Connect instruments' }).click()
  await expect(page.getByRole('list', { name: 'Instruments' }).getByRole('listitem')).toHaveCount(13)
  const low = page.locator('[data-probe=gauge-low]')
  // a probe is put on by tapping both; where it does not fit, it says so
  await low.getByRole('button').first().click()
  await page.locator('[data-tap=liquidLineTemp]').first().click()
  await expect(page.getByText('Low gauge cannot read liquid line')).toBeVisible()
  await page.locator('[data-tap=suctionPressure]').first().click()
  await expect(low).toContainText('on suction')
  await page.getByRole('button', { name: 'Put all on' }).click()
  await expect(page.getByRole('button', { name: /^Capture all 1[01]$/ })).toBeEnabled()
  await page.getByRole('button', { name: '10 s' }).click()
  await expect(page.locator('[data-probe][data-state=settled]').nth(2)).toBeVisible({ timeout: 90_000 })
  await expect(page.locator('[data-tap=outdoorAirTemp]').first()).toHaveAttribute('aria-label', /settled/)

  await page.getByRole('button', { name: /^Capture all/ }).click()
  await expect
    .poll(async () => (await setsOf(page, 'demo-control-room'))[0]!.readings.suctionPressure)
    .toMatchObject({ source: 'probe', instrument: 'Low gauge', unit: 'psig' })
  const { readings } = (await setsOf(page, 'demo-control-room'))[0]!
  expect(Object.values(readings).filter(({ before }) => before?.length === 1).length).toBeGreaterThan(7)

  await low.getByRole('button').first().click()
  await page.getByRole('button', { name: 'Walk out of reach' }).click()
  await expect(low).toHaveAttribute('data-state', 'lost')
  await expect(page.locator('[data-tap=suctionPressure]').first()).toHaveAttribute(
    'aria-label',
    /psig.*connection lost, last value/,
  )
  await page.getByRole('button', { name: 'Reconnect' }).click()
  await expect(low).not.toHaveAttribute('data-state', 'lost')
  // the instruments stay on while another stage is looked at
  await goTo(page, 'Diagnose')
  await goTo(page, 'Measure')
  await expect(page.locator('[data-tap=suctionPressure]').first()).toHaveAttribute('aria-label', /live/)
})

test('no value is made up in a job that is not of the demo', async ({ page }) => {
  await newJob(page)
  await goTo(page, 'Measure')
  await page.getByRole('tab', { name: 'Live' }).click()
  await expect(page.getByText(/No wireless instruments can be connected/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Connect instruments' })).toBeHidden()
})

const LOG = [
  'logger 7, made by hand',
  'Elapsed time,Low side (psig),High side (psig),Outdoor °F,battery',
  ...Array.from({ length: 61 }, (_v, i) => `${i * 10},${118 + (i % 3)},${345 + (i % 2)},94.5,3.1`),
].join('\n')

test('a log of another instrument: columns guessed, plotted, taken; the mapping is remembered', async ({
  page,
}) => {
  await newJob(page)
  await goTo(page, 'Measure')
  await page.getByRole('tab', { name: 'Live' }).click()
  const give = (name: string, text: string) =>
    page.getByLabel('Log file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await give('nothing.csv', 'only words\nno table')
  await expect(page.getByText(/No table of numbers/)).toBeVisible()
  await give('first.csv', LOG)
  const dialog = page.getByRole('dialog', { name: /first.csv/ })
  await expect(dialog.getByRole('img', { name: 'Pressure of the log over time' })).toBeVisible()
  await expect(dialog.getByText(/^Suction 11\d\S* psig · Liquid 345\S* psig · Outdoor 94.5 F$/)).toBeVisible()
  await dialog.getByRole('combobox', { name: 'Outdoor °F is' }).click()
  await page.getByRole('option', { name: 'Return air', exact: true }).click()
  expect(await seriousFindings(page)).toEqual([])
  await dialog.getByRole('button', { name: 'Take 3 readings' }).click()
  await expect
    .poll(async () => (await setsOf(page))[0]?.readings.returnAirTemp)
    .toMatchObject({ value: 94.5, unit: 'F', source: 'log', instrument: 'first.csv' })
  await give('second.csv', LOG)
  await expect(page.getByRole('dialog', { name: /second.csv/ }).getByText(/Return 94.5 F/)).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Keep the log alone' }).click()
  await expect(page.locator('[data-log]')).toHaveCount(2)

  // day and clock apart, and dates that do not tell which is the day
  await give('days.csv', 'Date,Time,Box (F)\n03/11/2026,23:59:00,36\n04/11/2026,00:01:00,38\n')
  const days = page.getByRole('dialog', { name: /days.csv/ })
  await expect(days.getByText(/Say which stands first in its dates/)).toBeVisible()
  await days.getByRole('combobox', { name: 'First is' }).click()
  await page.getByRole('option', { name: 'day', exact: true }).click()
  await expect(days.getByText(/from minute 0.0 to 2.0/)).toBeVisible()
})

test('a reading may be doubted, noted, repeated, undone and done again', async ({ page }) => {
  await newJob(page)
  await goTo(page, 'Measure')
  const tap = page.locator('[data-tap=suctionPressure]')
  const enter = async (value: string) => {
    await tap.click()
    await page.locator('#pad-display').fill(value)
    await page.getByRole('button', { name: /Done/ }).click()
  }
  await enter('118')
  await enter('250kPa')
  await expect(tap).toContainText('250kPag')
  await tap.click()
  await page.getByRole('button', { name: '? Doubtful' }).click()
  await page.getByRole('button', { name: '✎ Note' }).click()
  await page.getByLabel('Note on this reading').fill('port leaks')
  await page.getByRole('button', { name: 'Before 1' }).click()
  await expect(page.getByRole('list', { name: 'Read before' })).toContainText('118 psig')
  await page.getByRole('button', { name: /Done/ }).click()
  await expect(tap).toHaveAttribute('aria-label', /doubtful/)
  await expect
    .poll(async () => (await setsOf(page))[0]?.readings.suctionPressure)
    .toMatchObject({ value: 250, unit: 'kPag', doubtful: true, note: 'port leaks', before: [{ value: 118 }] })
  for (let i = 0; i < 3; i += 1) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(tap).toContainText('118psig')
  await page.keyboard.press('Control+Shift+Z')
  await expect(tap).toContainText('250kPag')
})

test('a stored value is replaced by what is typed, each way in; a bad one keeps the pad open', async ({
  page,
}) => {
  await newJob(page)
  await goTo(page, 'Measure')
  const tap = page.locator('[data-tap=suctionPressure]')
  const display = page.locator('#pad-display')
  const done = page.getByRole('button', { name: /Done/ })
  await tap.click()
  await page.keyboard.type('63.6')
  await done.click()
  await expect(tap).toContainText('63.6psig')

  // digits with the focus on the tap; then on the drawn pad; then over all that is selected
  await tap.click()
  await expect(page.getByText('typing replaces it')).toBeVisible()
  await page.keyboard.type('81')
  await expect(display).toHaveValue('81')
  await done.click()
  await expect(tap).toContainText('81psig')
  await tap.click()
  for (const key of ['6', '9']) await page.getByRole('button', { name: key, exact: true }).click()
  await expect(display).toHaveValue('69')
  await done.click()
  await tap.click()
  await display.fill('695')
  await expect(display).toHaveValue('695')
  await page.keyboard.press('Backspace')
  await done.click()
  await expect(tap).toContainText('69psig')

  // edited instead
  await tap.click()
  await page.keyboard.press('Backspace')
  await page.keyboard.type('8')
  await expect(display).toHaveValue('68')
  await done.click()

  // stored once: a mark made while it stands there stays when the pad closes
  await tap.click()
  await page.keyboard.type('70')
  await expect
    .poll(async () => (await setsOf(page))[0]?.readings.suctionPressure)
    .toMatchObject({ value: 70 })
  await page.getByRole('button', { name: '? Doubtful' }).click()
  await done.click()
  await expect(tap).toHaveAttribute('aria-label', /doubtful/)
  await tap.click()
  await page.keyboard.type('71')
  await expect
    .poll(async () => (await setsOf(page))[0]?.readings.suctionPressure)
    .toMatchObject({ value: 71 })
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(display).toHaveValue('70')
  await done.click()
  await expect(tap).toContainText('70psig')

  await tap.click()
  await page.keyboard.type('118 psgi')
  await done.click()
  await expect(page.getByText(/"psgi" is no unit here/)).toBeVisible()
  await expect(display).toHaveValue('118 psgi')
  await page.getByRole('button', { name: 'Leave it as it was' }).click()
  await expect(display).toBeHidden()
  await expect(tap).toContainText('70psig')
})

test('sets: frost by its place, conditions changed, what goes along, any two compared and saved', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto('/job/demo-lodge/measure')
  await page.getByRole('tab', { name: 'Seen' }).click()
  await page.getByRole('button', { name: 'Where is oil?' }).click()
  await page.locator('[data-place=compressor]').click()
  await expect(page.locator('[data-place=compressor]')).toHaveAttribute('aria-pressed', 'true')
  await expect
    .poll(async () => (await setsOf(page, 'demo-lodge'))[0]?.observations?.oilStain)
    .toBe('compressor')
  await page.getByRole('tab', { name: 'List' }).click()
  await page.getByRole('button', { name: 'Edit this set' }).click()
  await page.getByLabel('What was changed since the set before').fill('coil cleaned')
  await page.getByRole('button', { name: 'Conditions changed now' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.locator('[data-tap=suctionPressure]').first()).toHaveAttribute(
    'aria-label',
    /before conditions changed/,
  )

  await page.getByRole('button', { name: '+ New set' }).click()
  await expect(page.locator('[data-tap=suctionPressure]').first()).toContainText('–')
  const [, second] = await setsOf(page, 'demo-lodge')
  expect(second?.observations).toEqual({ oilStain: 'compressor' })
  await page.locator('[data-tap=suctionPressure]').first().click()
  for (const value of ['118', '300']) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await page.getByRole('button', { name: 'Compare' }).click()
  await expect(page.getByRole('group', { name: /^Temperature ladder, / })).toHaveCount(2)
  await expect(page.getByRole('row', { name: /^Evaporating/ })).toContainText(/[+-]\d+ F/)
  // one scale: the same tick stands at the same height on both
  const heights = await page.getByRole('group', { name: /^Temperature ladder, / }).evaluateAll((all) =>
    all.map((svg) => {
      const tick = [...svg.querySelectorAll('text')].find((text) => text.textContent === '60')!
      return tick.getBoundingClientRect().top - svg.getBoundingClientRect().top
    }),
  )
  expect(Math.abs(heights[0]! - heights[1]!)).toBeLessThan(0.5)

  await page.getByRole('button', { name: 'Ladder', exact: true }).click()
  for (const kind of ['SVG', 'PNG']) {
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: `Save as ${kind}` }).click()
    const bytes = await readFile(await (await download).path())
    if (kind === 'PNG') expect(bytes.subarray(1, 4).toString()).toBe('PNG')
    else expect(bytes.toString()).toMatch(/^<svg[^]*Evaporating[^]*<\/svg>$/)
    expect(bytes.length).toBeGreaterThan(2000)
  }
})

test('one order of one’s own for a kind of unit', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-lodge/measure')
  await page.getByRole('tab', { name: 'List' }).click()
  await page.getByRole('button', { name: 'Change the order' }).click()
  await page.getByRole('button', { name: 'Liquid pressure earlier' }).click()
  const taps = page.getByRole('list', { name: 'Taps' }).locator('[data-tap]')
  await expect(taps.first()).toHaveAttribute('data-tap', 'liquidPressure')
  await page.reload()
  await page.getByRole('tab', { name: 'List' }).click()
  await expect(taps.first()).toHaveAttribute('data-tap', 'liquidPressure')
  await page.getByRole('button', { name: 'Usual order' }).click()
  await expect(taps.first()).toHaveAttribute('data-tap', 'suctionPressure')
})

test('Arrive: a doubtful plate is told, a unit known by name shows what was done, a plate is copied', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto('/')
  await newJob(page)
  await page.getByLabel('Unit name or number').fill('exhibit hall package unit, 5 ton')
  await expect(page.getByRole('link', { name: /Hall 80 F by noon/ })).toContainText(
    'Liquid dryer one size up',
  )
  await page.getByLabel('Rated load amps').fill('90')
  await page.getByLabel('Locked rotor amps').fill('14')
  await expect(page.getByText(/Were the two swapped/)).toBeVisible()
  await page.getByRole('combobox', { name: 'Copy the plate of' }).click()
  await page.getByRole('option', { name: 'Staff lodge heat pump' }).click()
  await expect(page.getByLabel('Rated load amps')).toHaveValue('12.8')
  await expect(page.getByLabel('Unit name or number')).toHaveValue('exhibit hall package unit, 5 ton')
  await page.getByRole('button', { name: /Oil stain: tap the place/ }).click()
  await page.locator('[data-place=reversing-valve]').click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('button', { name: 'Oil stain: reversing valve' })).toBeVisible()
  await page.getByRole('button', { name: 'rain expected' }).click()
  await page.getByLabel('Work can go on until').fill('15:30')
  await expect
    .poll(async () => (await storedJobs(page)).find((job) => !job.demo)?.arrival)
    .toEqual({ weather: 'rain-expected', workUntil: '15:30' })
})

test('Cellar, largest text and the left hand: remembered, and without a serious finding on any view', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto('/job/demo-exhibit-hall/measure')
  await page.getByRole('button', { name: 'Display' }).click()
  for (const name of ['Cellar', 'Largest', 'Left', 'Stays on'])
    await page.getByRole('button', { name }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await page.reload()
  await expect(page.locator('[data-tap=suctionPressure]')).toBeVisible()
  await expect
    .poll(() => page.evaluate(() => getComputedStyle(document.body).backgroundColor))
    .toBe('rgb(23, 25, 27)')
  const side = page.getByRole('tablist', { name: 'Beside the drawing' })
  expect((await side.boundingBox())!.x).toBeLessThan(200)
  for (const tab of ['Ladder', 'List', 'Seen', 'Live']) {
    await side.getByRole('tab', { name: tab }).click()
    expect(await seriousFindings(page), tab).toEqual([])
  }
  await page.getByRole('button', { name: 'Compare' }).click()
  expect(await seriousFindings(page), 'compare').toEqual([])
  for (const stage of ['arrive', 'diagnose', 'plan', 'close']) {
    await page.goto(`/job/demo-exhibit-hall/${stage}`)
    await expect(page.getByRole('heading', { name: 'Exhibit hall package unit' })).toBeVisible()
    expect(await seriousFindings(page), stage).toEqual([])
  }
  // paper is light, whatever the screen is
  await page.goto('/job/demo-exhibit-hall/print')
  await expect(page.getByRole('group', { name: /^Temperature ladder, / })).toHaveCount(2)
  await page.emulateMedia({ media: 'print' })
  const ink = (selector: string, name: 'color' | 'fill') =>
    page
      .locator(selector)
      .first()
      .evaluate((element, of) => getComputedStyle(element)[of], name)
  expect(await ink('h1', 'color')).toBe('rgb(29, 26, 22)')
  expect(await ink('[data-rung] text:last-of-type', 'fill')).toBe('rgb(29, 26, 22)')
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe(
    'rgb(255, 255, 255)',
  )
})
