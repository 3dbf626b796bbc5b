import { expect, type Page, test } from './test'
import { readFileSync } from 'node:fs'
import { seriousFindings, storedJobs } from './helpers'

/** A decided valve on a unit of which nothing is written but kind, refrigerant and metering device. */
async function openSilent(page: Page): Promise<string> {
  const file = JSON.parse(readFileSync('examples/plans/04-valve-sweat.json', 'utf8')) as object
  const silent = {
    ...file,
    title: 'Silent plate',
    unit: { kind: 'package-ac', refrigerant: 'R-410A', metering: 'txv' },
    closing: { recovered: { value: 4, unit: 'lb' }, charged: { value: 9, unit: 'lb' } },
  }
  await page.goto('/')
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({
      name: 'silent.orzo.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(silent)),
    })
  const link = page.getByRole('link', { name: /Silent plate/ }).first()
  const home = (await link.getAttribute('href'))!.replace(/\/[a-z]+$/, '')
  await page.goto(`${home}/plan`)
  return home
}
const figure = (page: Page, label: string) => page.locator(`[data-figure="${label}"]`)

test('a charge that nobody knows has no figure and judges nothing; what is entered in place settles it', async ({
  page,
}) => {
  const home = await openSilent(page)
  await page.getByRole('tab', { name: 'Refrigerant' }).click()
  await expect(figure(page, 'Charge')).toContainText('not known')
  const cylinder = page.getByRole('region', { name: /^Cylinder/ })
  await expect(cylinder).toContainText('Enter the plate charge: then what came out is told against it.')
  await expect(page.getByText(/plate and lines is missing|of the plate more|did not leak/)).toHaveCount(0)
  // from what, by keyboard
  await cylinder.getByRole('button', { name: /^Cylinder is assumed/ }).press('Enter')
  await expect(page.getByText('a cylinder of the 50 lb class')).toBeVisible()
  expect(await seriousFindings(page)).toEqual([])
  await page.keyboard.press('Escape')
  await cylinder.getByRole('textbox', { name: 'Factory charge' }).fill('6')
  await expect(page.getByText(/33 % of plate and lines is missing/)).toBeVisible()
  await expect
    .poll(async () => (await storedJobs(page))[0]?.unit)
    .toMatchObject({ factoryCharge: { value: 6, unit: 'lb' } })
  // the old dryer still holds up what went in
  await expect(
    page.getByText(/What went in is not judged: enter the cubic inches of the old dryer/),
  ).toBeVisible()
  await page.getByRole('textbox', { name: 'Old dryer, in³' }).fill('8')
  // a field that is settled goes on its own: on a slow machine before its focus does
  await page.keyboard.press('Tab')
  await expect(page.getByText(/What went in is not judged: enter the tons of the plate/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Tons' }).fill('3')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/% of the plate more than calculated/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/What went in is not judged/)).toBeVisible()
  await page.goto(`${home}/print`)
  await expect(page.getByText(/assumed: .*tons/).first()).toBeVisible()
})

test('on a phone the marks and the fields that settle them stand within the screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openSilent(page)
  for (const tab of ['Clean-up', 'Refrigerant', 'Parts', 'Day']) {
    await page.getByRole('tab', { name: tab }).click()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
    expect(await seriousFindings(page), tab).toEqual([])
  }
})
