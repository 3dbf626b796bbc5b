import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test } from './test'
import { choose, expectNoSidewaysScroll, PHONE } from './helpers'

const TOOLS = ['saturation', 'compare', 'superheat', 'line-set', 'water', 'nitrogen'] as const
const figure = (page: Page, label: string) => page.locator(`[data-figure="${label}"]`)

for (const [name, viewport] of [
  ['laptop', { width: 1280, height: 800 }],
  ['phone', PHONE],
] as const) {
  test.describe(name, () => {
    test.use({ viewport })
    test('every table opens, fits its width, and has no serious accessibility finding', async ({ page }) => {
      test.setTimeout(120_000)
      for (const tool of TOOLS) {
        await page.goto(`/tables/${tool}`)
        await expect(page.locator('main').getByRole('heading', { level: 1 })).toBeVisible()
        await expect(page.locator('main input').first()).toBeVisible()
        await expectNoSidewaysScroll(page)
        const { violations } = await new AxeBuilder({ page }).analyze()
        const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
        expect(serious.map(({ id, nodes }) => `${tool} ${id}: ${nodes[0]?.target.join(' ')}`)).toEqual([])
      }
    })
  })
}

test('saturation: from the list of jobs to an answer, another refrigerant, its elevation kept', async ({
  page,
}) => {
  const foreign: string[] = []
  page.on('request', (request) => {
    if (!request.url().startsWith('http://localhost') && !request.url().startsWith('http://127.0.0.1')) {
      foreign.push(request.url())
    }
  })
  await page.goto('/')
  await page.getByRole('link', { name: 'Tables' }).click()
  await expect(figure(page, 'Dew temperature')).toContainText('39.8 F')
  await choose(page, 'Refrigerant', 'R-407C')
  await page.getByLabel('Pressure', { exact: true }).last().fill('64')
  await expect(figure(page, 'Dew temperature')).toContainText('40.')
  await expect(figure(page, 'Glide')).toContainText(/1[01]\.\d F/)
  await page.getByLabel('Elevation', { exact: true }).fill('1750')
  await expect(figure(page, 'Dew temperature')).toContainText(/3[78]\./)
  await expect(page.getByRole('img', { name: /Saturation pressure of R-407C/ })).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Elevation', { exact: true })).toHaveValue('1750')
  await expect(figure(page, 'Dew temperature')).toContainText(/3[78]\./)
  expect(foreign.filter((url) => !url.startsWith('data:') && !url.startsWith('blob:'))).toEqual([])
})

test('saturation prints its table and nothing else', async ({ page }) => {
  await page.goto('/tables/saturation')
  await expect(page.getByRole('table', { name: 'R-410A saturation' })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Tables' })).toBeHidden()
  await expect(page.getByLabel('Elevation', { exact: true })).toBeHidden()
  await expect(page.getByRole('table', { name: 'R-410A saturation' })).toBeVisible()
})

test('comparison by keyboard: another original gives other refusals', async ({ page }) => {
  await page.goto('/tables/compare')
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name} `) })
  await expect(row('R-410A')).toContainText('refused')
  await page.getByRole('combobox', { name: 'Refrigerant on the plate' }).focus()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('410')
  await expect(page.getByRole('option', { name: 'R-410A', exact: true })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(row('R-410A')).toContainText('on the plate')
  await expect(row('R-32')).toContainText('Burns (A2L)')
  await page.getByLabel('Condensing', { exact: true }).first().fill('400')
  await expect(page.getByRole('alert').first()).toContainText('has saturation data from')
})

test('an unknown table is not found', async ({ page }) => {
  const response = await page.goto('/tables/nonsense')
  expect(response?.status()).toBe(404)
})
