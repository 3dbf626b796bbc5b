import { expect, test } from './test'
import { readFile } from 'node:fs/promises'
import {
  DEMO_COUNT,
  expectNoSidewaysScroll,
  goTo,
  leadingSuspect,
  openWithDemo,
  PHONE,
  seriousFindings,
} from './helpers'

const STAGES = ['arrive', 'measure', 'diagnose', 'plan', 'close'] as const

for (const [name, viewport] of [
  ['laptop', { width: 1280, height: 800 }],
  ['phone', PHONE],
] as const) {
  test.describe(name, () => {
    test.use({ viewport })
    test('every stage opens, fits its width, and has no serious accessibility finding', async ({ page }) => {
      await openWithDemo(page)
      await expectNoSidewaysScroll(page)
      expect(await seriousFindings(page)).toEqual([])
      for (const stage of STAGES) {
        await page.goto(`/job/demo-exhibit-hall/${stage}`)
        await expect(page.getByRole('heading', { name: 'Exhibit hall package unit' })).toBeVisible()
        await expect(page.locator('a[aria-current=page]')).toContainText(new RegExp(stage, 'i'))
        await expectNoSidewaysScroll(page)
        expect(await seriousFindings(page), stage).toEqual([])
      }
      await page.goto('/job/demo-exhibit-hall/print')
      await expect(page.getByRole('heading', { name: 'Before and after' })).toBeVisible()
      await expect(page.getByRole('group', { name: /^Temperature ladder, / })).toHaveCount(2)
      expect(await seriousFindings(page), 'print').toEqual([])
    })
  })
}

test('demo data goes after asking, by name, and comes back as it was or anew', async ({ page }) => {
  await openWithDemo(page)
  await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(DEMO_COUNT)
  await page.getByRole('button', { name: 'Remove demo jobs' }).click()
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(DEMO_COUNT)
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('link', { name: /Control room split/ })).toBeVisible()
  await page.getByRole('button', { name: 'Remove demo jobs' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await page.getByRole('button', { name: 'Bring them back' }).click()
  await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(DEMO_COUNT)
  await page.getByRole('link', { name: /Control room split/ }).click()
  await goTo(page, 'Arrive')
  await page.getByLabel('Access').fill('by the north ladder')
  await page.getByRole('link', { name: 'Jobs' }).click()
  await page.getByRole('button', { name: 'Remove demo jobs' }).click()
  await expect(page.getByRole('dialog').getByText('Control room split, changed by you')).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(DEMO_COUNT)
})

test('the ladder is exact to half a pixel and its labels do not overlap', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-exhibit-hall/measure')
  await expect(page.locator('[data-rung]').first()).toBeVisible()
  const rungs = await page.locator('[data-rung]').evaluateAll((all) =>
    all.map((rung) => ({
      y: Number(rung.getAttribute('data-y')),
      degrees: Number(/(-?[\d.]+) F$/.exec(rung.getAttribute('aria-label') ?? '')?.[1]),
      label: rung.querySelector('text')!.getBoundingClientRect().toJSON() as DOMRect,
    })),
  )
  expect(rungs.length).toBeGreaterThan(7)
  const [hot, cold] = [rungs[0]!, rungs.at(-1)!]
  const pixelsPerDegree = (cold.y - hot.y) / (hot.degrees - cold.degrees)
  for (const rung of rungs) {
    // the shown tenth of a degree is rounded
    const rounding = 0.1 * pixelsPerDegree
    expect(Math.abs(rung.y - (hot.y + (hot.degrees - rung.degrees) * pixelsPerDegree))).toBeLessThan(
      0.5 + rounding,
    )
  }
  for (const [i, rung] of rungs.slice(1).entries())
    expect(rung.label.top).toBeGreaterThanOrEqual(rungs[i]!.label.bottom - 1)
})

test('a span tells its formula and target to the pointer and the screen reader', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/measure')
  const superheat = page.locator('[data-span=superheat]')
  await superheat.focus()
  await expect(superheat).toHaveAttribute(
    'aria-label',
    /above\. Target 13 F ±6: .*\[practice\].*suction line - dew/,
  )
  await expect(page.locator('[data-explained=superheat]')).toContainText(/Target 13 F.*suction line - dew/)
  await page.getByRole('button', { name: /^Split 1\d F/ }).click()
  await expect(page.locator('[data-explained=temperatureSplit]')).toContainText('Target')
})

test('units: metric on the ladder and in the sentences, remembered after a reload', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/diagnose')
  await page.getByRole('button', { name: 'Metric units' }).click()
  await expect(page.getByText(/Superheat at the compressor \d+ C is \d+ C above/)).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Metric units' })).toHaveAttribute('aria-pressed', 'true')
})

test('letters go to stages, the question mark lists the keys', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-control-room/measure')
  await expect(page.locator('[data-tap=suctionPressure]')).toBeVisible()
  await page.keyboard.press('d')
  await expect(page).toHaveURL(/diagnose(\?|$)/)
  await expect(page.getByRole('heading', { name: 'Next check' })).toBeVisible()
  await page.keyboard.press('Shift+?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
})

test('after the repair a new set is compared with the one as found', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-exhibit-hall/close')
  const table = page.getByRole('table', { name: 'Before and after' })
  await expect(table.getByRole('columnheader', { name: 'after repair' })).toBeVisible()
  await expect(table.getByRole('row', { name: /Dryer drop/ })).toContainText('△')
  await goTo(page, 'Measure')
  await page.getByRole('button', { name: 'as found' }).click()
  await expect(leadingSuspect(page)).toHaveAttribute('data-suspect', 'plugged-liquid-dryer')
  await page.getByRole('button', { name: 'after repair' }).click()
  await expect(leadingSuspect(page)).toHaveAttribute('data-suspect', 'healthy')
})

test('a removed job is gone after asking, and its address says so', async ({ page }) => {
  await openWithDemo(page)
  await page.goto('/job/demo-lodge/close')
  await page.getByRole('button', { name: 'Remove job' }).click()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await page.getByRole('button', { name: 'Remove job' }).click()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(page.getByRole('link', { name: /Control room/ })).toBeVisible()
  await page.goto('/job/demo-lodge/measure')
  await expect(page.getByRole('heading', { name: 'This job is not in this browser' })).toBeVisible()
})

test('POST /api/diagnose answers over the wire, and refuses nonsense with a message', async ({ request }) => {
  const body = await readFile('examples/plugged-orifices.orzo.json', 'utf8')
  const good = await request.post('/api/diagnose', {
    data: body,
    headers: { 'content-type': 'application/json' },
  })
  expect(good.status()).toBe(200)
  expect((await good.json()).suspects[0].fault).toBe('fixed-orifice-plugged')
  const bad = await request.post('/api/diagnose', {
    data: '{"format":"x"}',
    headers: { 'content-type': 'application/json' },
  })
  expect(bad.status()).toBe(400)
  expect((await bad.json()).problems[0].path).toBe('format')
})
