import { expect, type Page, test } from './test'
import { goTo, newJob } from './helpers'
import { agreed, close, COMFORT, proveAndClose, toThePlan, Typist, walk, type Way } from './typist'

/** A figure in a US unit, or the name of such a unit, that is no size of a tube, a hose or a dryer. */
const US =
  /(?<![/\d-])\d[\d,.]* ?(?:°F|F|psig|psi|inHg|lb|fl oz|oz|cfm|gpm|tons?|ft|ft³)(?![\w³-])|\b(?:psig|psi|fl oz|cfm)\b/

const textOf = (page: Page) => page.locator('body').innerText()

/** What a view says, all that is folded away opened. @returns figures of US units in it */
async function left(page: Page): Promise<string[]> {
  await page.locator('details').evaluateAll((all) => all.forEach((each) => each.setAttribute('open', '')))
  const lines = (await textOf(page)).split('\n')
  return lines.filter((line) => US.test(line))
}

test('metric from arrival to report: no US figure that was not typed so, names of sizes excepted', async ({
  page,
}) => {
  test.slow()
  test.setTimeout(400_000)
  await newJob(page)
  await page.getByRole('button', { name: 'Metric units' }).click()
  await expect(page.getByRole('button', { name: 'Metric units' })).toHaveAttribute('aria-pressed', 'true')
  const hand = new Typist(page)
  hand.isMetric = true
  const found: Record<string, string[]> = {}
  const look = async (name: string) => {
    const lines = await left(page)
    if (lines.length > 0) found[name] = lines
  }
  await toThePlan(hand, { ...COMFORT, values: ['6.07', '24.1', '18.9', '30'] })
  for (const view of ['Clean-up', 'Refrigerant', 'Parts', 'Day']) {
    await page.getByRole('tab', { name: view, exact: true }).click()
    await expect(page.getByRole('tabpanel')).not.toBeEmpty()
    await look(`plan ${view}`)
  }
  for (const stage of ['Arrive', 'Measure', 'Diagnose']) {
    await goTo(page, stage)
    await expect(page.getByRole('main')).not.toBeEmpty()
    await look(stage)
  }
  await goTo(page, 'Plan')
  await agreed(hand)
  const way: Way = { test: 236, charge: undefined }
  // every step is read before it is done
  for (;;) {
    const id = (await hand.step.getAttribute('data-step'))!
    await look(`step ${id}`)
    if (id === 'settle') break
    await walk(hand, way, (await nextOf(page, id)) ?? 'settle')
    if ((await hand.step.getAttribute('data-step')) === id) break
  }
  await hand.beginStep('settle')
  await look('settle, begun')
  await proveAndClose(hand, way)
  await close(hand)
  await look('work, over')
  for (const stage of ['Measure', 'Diagnose', 'Close']) {
    await goTo(page, stage)
    await look(`${stage}, after`)
  }
  await page.getByRole('link', { name: 'Report to print' }).click()
  await expect(page.getByText('Readings as taken')).toBeVisible()
  await look('report')
  expect(found).toEqual({})
  // what was typed is shown as it was typed
  expect(await textOf(page)).toContain('6.07 barg')
})

/** The step after one, by the list. */
async function nextOf(page: Page, id: string): Promise<string | undefined> {
  await page.getByRole('tab', { name: /^All steps/ }).click()
  await page.locator('li[data-step]').first().waitFor()
  const open = await page
    .locator('li[data-step]:not([data-state=done]):not([data-state=skipped])')
    .evaluateAll((all) => all.map((each) => each.getAttribute('data-step')!))
  await page.getByRole('tab', { name: 'Step', exact: true }).click()
  await expect(page.getByRole('article')).toBeVisible()
  return open.find((each) => each !== id)
}

test('a mixed choice holds in fields, sentences and after a reload', async ({ page }) => {
  await newJob(page)
  await page.getByRole('button', { name: 'Display' }).click()
  await page.getByText('Mixed: a unit for each quantity').click()
  await page.getByRole('button', { name: 'Celsius' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('button', { name: 'US units' })).toHaveAttribute('aria-pressed', 'false')
  await goTo(page, 'Measure')
  await page.reload()
  await page.locator('[data-tap=suctionLineTemp]').first().click()
  await expect(
    page.getByRole('group', { name: 'Unit' }).getByRole('button', { name: 'C', exact: true }),
  ).toHaveAttribute('aria-pressed', 'true')
})
