import { expect, type Page, test } from './test'
import {
  expectNoSidewaysScroll,
  goTo,
  leadingSuspect,
  openWithDemo,
  PHONE,
  seriousFindings,
  storedJobs,
} from './helpers'

async function openBench(page: Page, job: string): Promise<void> {
  await page.goto(`/job/${job}/diagnose`)
  await page.getByRole('tab', { name: 'Electrical bench' }).click()
}

/** Puts a probe, or taps a point, by its name on the drawing. */
const tap = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

async function enterOhms(
  page: Page,
  first: string,
  second: string,
  label: RegExp,
  value: string,
): Promise<void> {
  await tap(page, first)
  await tap(page, second)
  const pad = page.getByRole('textbox', { name: label })
  if (value === 'open') await page.getByRole('button', { name: /^Open:/ }).click()
  else {
    await pad.fill(value)
    await pad.press('Enter')
  }
  await expect(pad).toHaveCount(0)
}

const findings = (page: Page) => page.getByRole('list', { name: 'Findings' })

test('the bench: two probes make a reading, its caution stands before it, the finding after it', async ({
  page,
}) => {
  await openWithDemo(page)
  await openBench(page, 'demo-lodge')
  await tap(page, 'Terminal common')
  await expect(page.getByText('One probe is on: tap the second point.')).toBeVisible()
  await tap(page, 'Line L1')
  await expect(page.getByText(/Nothing is read between these two/)).toBeVisible()
  await tap(page, 'Terminal common')
  await tap(page, 'Terminal run')
  const entry = page.getByRole('region', { name: 'Enter: Ohms common to run' })
  const [caution, pad] = [entry.getByRole('note'), entry.getByRole('textbox')]
  await expect(caution).toContainText('Power off, locked out, proven dead')
  expect((await caution.boundingBox())!.y).toBeLessThan((await pad.boundingBox())!.y)
  await pad.fill('0.9')
  await pad.press('Enter')
  await enterOhms(page, 'Terminal start', 'Terminal common', /common to start/, '2.1')
  await enterOhms(page, 'Terminal run', 'Terminal start', /run to start/, '3')
  await expect(findings(page)).toContainText('good: Windings')
  // Common leg open on a hot shell is the overload, not a winding.
  await enterOhms(page, 'Terminal common', 'Terminal run', /common to run/, 'open')
  await enterOhms(page, 'Terminal common', 'Terminal start', /common to start/, 'open')
  await page
    .getByRole('group', { name: 'Compressor shell' })
    .last()
    .getByRole('button', { name: 'hot' })
    .click()
  await expect(findings(page)).toContainText('the internal overload, not a failed winding')
  // At the compressor's own terminals the pressure comes off first.
  await tap(page, 'Terminal common')
  await tap(page, 'Bare copper on the shell')
  await page
    .getByRole('group', { name: 'Ground measured at' })
    .getByRole('button', { name: 'terminals' })
    .click()
  await expect(page.getByRole('region', { name: 'Enter: Ohms to ground' }).getByRole('note')).toContainText(
    'Recover the refrigerant or take the pressure off first',
  )
  const lodge = (await storedJobs(page)).find(({ id }) => id === 'demo-lodge') as {
    readingSets: { readings: Record<string, { value: number; unit: string }> }[]
  }
  expect(lodge.readingSets.at(-1)!.readings.ohmsCR).toMatchObject({ value: 1e9, unit: 'ohm' })
  expect(lodge.readingSets.at(-1)!.readings.ohmsRS).toMatchObject({ value: 3, unit: 'ohm' })
})

test('the fewest points: load first, then the split, and the stretch is named', async ({ page }) => {
  await openWithDemo(page)
  await openBench(page, 'demo-lodge')
  const point = (name: RegExp) => page.getByRole('button', { name })
  await expect(point(/^Compressor leads: next/)).toBeVisible()
  const dead = async (name: RegExp) => {
    await point(name).click()
    await point(name).click()
  }
  await dead(/^Compressor leads/)
  await dead(/^Contactor, load side/)
  await expect(point(/^Contactor, line side: next/)).toBeVisible()
  await point(/^Contactor, line side/).click()
  await expect(page.getByText(/live at contactor, line side, dead at contactor, load side/)).toBeVisible()
  await expect(point(/^Disconnect, line side: proven/)).toBeVisible()
  await page.reload()
  await page.getByRole('tab', { name: 'Electrical bench' }).click()
  await expect(point(/^Contactor, load side: dead/)).toBeVisible()
})

test('unmarked terminals are named from three readings', async ({ page }) => {
  await openWithDemo(page)
  await openBench(page, 'demo-lodge')
  await page.getByRole('button', { name: 'Terminals are not marked' }).click()
  await page.getByLabel('A to B, ohm').fill('2.1')
  await page.getByLabel('B to C, ohm').fill('3.0')
  await page.getByLabel('C to A, ohm').fill('0.9')
  await expect(page.getByText('A is common, B is start, C is run.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep as C, R, S' }).click()
  await expect(findings(page)).toContainText('good: Windings')
})

/** The reasons stored with the decisions of one job. */
async function reasons(page: Page): Promise<(string | undefined)[]> {
  const jobs = (await storedJobs(page)) as { id: string; decisions?: { override?: string }[] }[]
  const own = jobs.find(({ id }) => id === 'demo-control-room')
  return (own?.decisions ?? []).map(({ override }) => override)
}

test('nothing is condemned without its gate or a written reason, on screen or in the report', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/diagnose')
  await expect(leadingSuspect(page).or(page.getByText('Before it is condemned'))).toBeVisible()
  await expect(page.getByText('⬣ closed: expansion valve')).toBeVisible()
  const repair = page.getByRole('button', { name: 'Repair this' })
  await expect(repair).toBeDisabled()
  expect(await page.getByText(/is condemned/i).allInnerTexts()).toEqual(['Before it is condemned'])
  // A written reason opens it, and goes to the report with what is missing.
  await page
    .getByLabel('Why without full proof')
    .fill('Site closes for the season, valve known from last year')
  await page.getByLabel('Why without full proof').blur()
  await repair.click()
  await expect(page.getByRole('button', { name: '● Decided. Take back' })).toBeVisible()
  await page.goto('/job/demo-control-room/print')
  await expect(page.getByText(/condemned without full proof; not on record: .*bulb located/)).toBeVisible()
  await expect(page.getByText('Site closes for the season, valve known from last year')).toBeVisible()
  // Without the reason the same decision reads as suspected.
  await page.goto('/job/demo-control-room/diagnose')
  await page.getByLabel('Why without full proof').fill('')
  await page.getByLabel('Why without full proof').blur()
  await expect.poll(() => reasons(page)).toEqual([undefined])
  await page.goto('/job/demo-control-room/print')
  await expect(page.getByText(/suspected, not proven/)).toBeVisible()
  expect(await page.getByText(/is condemned/i).count()).toBe(0)
})

test('answers in the checks move the list; the gate opens when everything is on record', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/measure')
  await page.getByRole('tab', { name: /^Seen/ }).click()
  const seen = (group: string, word: string) =>
    page.getByRole('group', { name: group }).getByRole('button', { name: word, exact: true }).click()
  await seen('Bulb', 'tight insulated')
  await seen('Bulb warmed in the hand', 'none')
  await goTo(page, 'Diagnose')
  // What is still missing can be answered at the gate itself.
  const gate = page.getByRole('region', { name: 'Proof gate: expansion valve' })
  await gate.getByRole('group', { name: 'Valve inlet screen' }).getByRole('button', { name: 'clean' }).click()
  await expect(page.getByText('● open: expansion valve')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Repair this' })).toBeEnabled()
})

test('a check leads to its tap on Measure', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-water-source/diagnose')
  const take = page.getByRole('button', { name: 'Take it' }).first()
  await take.click()
  await expect(page).toHaveURL(/\/measure(\?|$)/)
  await expect(page.locator('#pad-display')).toBeVisible()
})

test('why the compressor died: evidence, choice, and what it puts into the plan', async ({ page }) => {
  await openWithDemo(page)
  await openBench(page, 'demo-lodge')
  for (const [first, second, label] of [
    ['Terminal common', 'Terminal run', /common to run/],
    ['Terminal common', 'Terminal start', /common to start/],
    ['Terminal run', 'Terminal start', /run to start/],
  ] as const) {
    await enterOhms(page, first, second, label, 'open')
  }
  const seen = (group: string, word: string) =>
    page
      .getByRole('group', { name: group, exact: true })
      .last()
      .getByRole('button', { name: word, exact: true })
      .click()
  await seen('Compressor', 'off')
  await seen('Compressor shell', 'cold')
  await seen('Contactor', 'pitted')
  await page.getByRole('tab', { name: 'Why it died' }).click()
  await expect(page.getByRole('listitem').first()).toContainText('Pitted points.')
  await page.getByRole('button', { name: 'Pitted contactor: cause' }).click()
  await page.getByRole('tab', { name: 'Suspects' }).click()
  // All pairs open once: an overload as well, until they are cooled and measured again.
  await page.getByRole('button', { name: /^Compressor winding open/ }).click()
  await expect(page.getByRole('heading', { name: /^Compressor winding open/ })).toBeVisible()
  await page.getByLabel('Why without full proof').fill('Measured from the contactor only')
  await page.getByLabel('Why without full proof').blur()
  await page.getByRole('button', { name: 'Repair this' }).click()
  await page.getByRole('link', { name: 'To the plan' }).click()
  await page.getByRole('tab', { name: 'Day', exact: true }).click()
  await expect(page.getByText('Replace the contactor')).toBeVisible()
  await page.goto('/job/demo-lodge/print')
  await expect(page.getByText('Pitted contactor')).toBeVisible()
})

test('the ranking runs in a worker, and follows what is typed', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-exhibit-hall/measure')
  await expect.poll(() => page.workers().length).toBeGreaterThan(0)
  const before = await leadingSuspect(page).innerText()
  await page.getByRole('tab', { name: /^Seen/ }).click()
  await page
    .getByRole('group', { name: 'Compressor', exact: true })
    .getByRole('button', { name: 'trips breaker' })
    .click()
  await expect(leadingSuspect(page)).not.toHaveText(before)
  await expect(page.getByText(/The compressor does not run/)).toBeVisible()
})

for (const [name, viewport] of [
  ['laptop', { width: 1280, height: 800 }],
  ['phone', PHONE],
] as const) {
  test.describe(name, () => {
    test.use({ viewport })
    test('bench and causes fit, have no serious finding, and targets of 48 px', async ({ page }) => {
      await openWithDemo(page)
      await openBench(page, 'demo-lodge')
      await expectNoSidewaysScroll(page)
      expect(await seriousFindings(page)).toEqual([])
      const drawing = page.getByRole('group', { name: 'Power circuit and compressor terminals' })
      const boxes = await drawing.getByRole('button').evaluateAll((all) =>
        all.map((button) => {
          const { x, y, width, height } = button.getBoundingClientRect()
          return { x, y, width, height }
        }),
      )
      expect(boxes.length).toBeGreaterThan(12)
      for (const [i, box] of boxes.entries()) {
        expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(47.5)
        for (const other of boxes.slice(i + 1)) {
          const apart =
            box.x + box.width <= other.x + 0.5 ||
            other.x + other.width <= box.x + 0.5 ||
            box.y + box.height <= other.y + 0.5 ||
            other.y + other.height <= box.y + 0.5
          expect(apart, JSON.stringify([box, other])).toBe(true)
        }
      }
    })
  })
}
