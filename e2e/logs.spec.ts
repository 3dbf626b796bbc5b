import { expect, type Page, test } from './test'
import { expectNoSidewaysScroll, importAtTheVacuum, PHONE, seriousFindings, storedJobs } from './helpers'

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' })
const verdict = (page: Page) => page.locator('[data-verdict]').first()
const rows = (page: Page) => page.locator('[data-row]')
const entry = (page: Page) => page.getByRole('form', { name: 'Type a look' })
const NITROGEN = 'Nitrogen in the circuit, psig'
const VACUUM = 'Vacuum at the system, far from the pump, micron'

type File = { unit: object }
async function open(page: Page, id: string): Promise<void> {
  await page.getByRole('tab', { name: /^All steps/ }).click()
  await page.locator(`li[data-step="${id}"]`).getByRole('button').click()
  await expect(page.getByRole('article')).toHaveAttribute('data-step', id)
}

const PLATE = {
  designPressures: { low: { value: 150, unit: 'psig' }, high: { value: 360, unit: 'psig' } },
}

/** A job of a customer, opened at a step that is begun, with a log by hand; steps before it are done. */
async function atLog(page: Page, id: string, plate: object, before: readonly string[] = []): Promise<void> {
  await importAtTheVacuum(page, (file: File) => ({
    ...file,
    demo: false,
    unit: { ...file.unit, ...plate },
  }))
  for (const each of before) {
    await open(page, each)
    await button(page, 'Start').click()
    await expect(page.getByRole('article')).toHaveAttribute('data-state', 'hands')
    await button(page, 'Done, next').click()
    await expect(page.getByRole('article')).not.toHaveAttribute('data-step', each)
  }
  await open(page, id)
  const again = button(page, 'Do it again')
  if (await again.isVisible()) {
    await again.click()
    await expect(again).toHaveCount(0)
  }
  for (const reason of await page.getByLabel(/Or why it goes on/).all()) {
    await reason.fill('shown yesterday by the other firm')
    await reason.blur()
  }
  await button(page, 'Start').click()
  await button(page, /^(New log by hand|Log by hand)$/).click()
  await expect(entry(page)).toBeVisible()
}

async function look(page: Page, label: string, text: string, when = ''): Promise<void> {
  if (when !== '') await page.getByLabel('When, if not now').fill(when)
  await entry(page).getByLabel(label).fill(text)
  await entry(page).getByRole('button').click()
}
async function kept(page: Page, label: string, text: string, when = ''): Promise<void> {
  const before = await rows(page).count()
  await look(page, label, text, when)
  await expect(rows(page)).toHaveCount(before + 1)
}
async function mark(page: Page, name: string, when = ''): Promise<void> {
  const before = await rows(page).count()
  if (when !== '') await page.getByLabel('When, if not now').fill(when)
  await button(page, name).click()
  await expect(rows(page)).toHaveCount(before + 1)
}

test('a pressure test that is typed: what cannot be is refused, over the limit is told at once and stops it', async ({
  page,
}) => {
  await page.setViewportSize(PHONE)
  await atLog(page, 'pressureTest', PLATE)
  await expect(page.locator('[data-limit]')).toContainText('Never above 150 psig: low side of the plate')
  await look(page, NITROGEN, '-5000')
  await expect(entry(page).getByRole('alert')).toContainText('-5,000 psig cannot be')
  await expect(rows(page)).toHaveCount(0)
  // unlikely is asked once
  await look(page, NITROGEN, '-11 psig')
  await expect(entry(page).getByRole('alert')).toContainText('is unlikely')
  await button(page, 'It is right: write it down').click()
  await expect(rows(page)).toHaveCount(1)
  await button(page, /^Remove Nitrogen -11/).click()
  await expect(rows(page)).toHaveCount(0)
  // before it is written down
  await entry(page).getByLabel(NITROGEN).fill('1200 kPa')
  await expect(entry(page).getByRole('alert')).toContainText(
    '174 psig is over the limit of 150 psig, low side of the plate: shut the cylinder, stand clear, bleed off',
  )
  await kept(page, NITROGEN, '258')
  await expect(verdict(page)).toHaveAttribute('data-verdict', 'failed')
  await expect(verdict(page)).toContainText('The test has failed')
  await expectNoSidewaysScroll(page)
  expect(await seriousFindings(page)).toEqual([])
  // a slip of the finger is corrected, undone, done again
  await button(page, /^Correct Nitrogen 258/).click()
  const form = page.getByRole('form', { name: 'Correct this look' })
  await form.getByLabel(NITROGEN).fill('125.8')
  await form.getByRole('button', { name: 'Correct this look' }).click()
  await expect(verdict(page)).not.toHaveAttribute('data-verdict', 'failed')
  await button(page, 'Undo').click()
  await expect(verdict(page)).toHaveAttribute('data-verdict', 'failed')
  await button(page, '■ End the log').click()
  await expect(button(page, 'New log by hand')).toBeVisible()
  // the report says so
  const [job] = await storedJobs(page)
  await page.goto(`/job/${job!.id}/print`)
  await expect(page.getByText(/258 psig is over the limit of 150 psig/).first()).toBeVisible()
})

test('a hold that is written down afterwards; the whole log goes and comes back', async ({ page }) => {
  await atLog(page, 'pressureTest', PLATE)
  await kept(page, NITROGEN, '140', '20 min ago')
  await mark(page, 'Regulator shut, clock on', '20 min ago')
  await kept(page, NITROGEN, '139.9', 'after 16 min')
  await expect(verdict(page)).toContainText('No leak seen')
  await expect(verdict(page)).toContainText('temperature not measured')
  await button(page, '■ End the log').click()
  await button(page, 'Remove this log').click()
  await expect(rows(page)).toHaveCount(0)
  await button(page, 'Undo').click()
  await expect(rows(page)).toHaveCount(3)
  await expect(verdict(page)).toContainText('No leak seen')
})

test('a decay that is written down afterwards opens its gate by two looks, and is there after a reload', async ({
  page,
}) => {
  await atLog(page, 'decayTest', {}, ['evacuate'])
  await kept(page, VACUUM, '337', '12 min ago')
  await mark(page, 'Valve shut, watch', '12 min ago')
  await kept(page, VACUUM, '503', 'after 10 min')
  await button(page, '■ End the log').click()
  await expect(verdict(page)).toHaveAttribute('data-opens', 'true')
  await expect(verdict(page)).toContainText('337 microns to 503 microns in 10 min')
  await page.reload()
  await open(page, 'decayTest')
  await expect(rows(page)).toHaveCount(3)
})
