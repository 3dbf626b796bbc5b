import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { expect, type Page, test } from './test'
import { storedJobs } from './helpers'

type Stored = {
  readonly repairs: readonly {
    readonly acidTests?: readonly { kind: string; result: string; at: string }[]
  }[]
  readonly runs: readonly { readonly trims?: readonly { what: string; out?: true }[] }[]
  readonly days: readonly { readonly quote?: { without?: string } }[]
  readonly steps: readonly { readonly task: string; readonly own?: { label: string } }[]
}
const tests = (page: Page) => page.getByRole('region', { name: 'Acid tests' })
const result = (page: Page, kind: string, word: string) =>
  tests(page).getByRole('group', { name: kind }).getByRole('button', { name: word })
const choose = async (page: Page, id: string) => {
  await page.getByRole('tab', { name: /^All steps/ }).click()
  await page.locator(`li[data-step="${id}"]`).getByRole('button').click()
  await expect(page.getByRole('article')).toHaveAttribute('data-step', id)
}

test('own steps, the reason against an approval, two tests for acid and trims survive a second tab, undo, export and import', async ({
  page,
  context,
  browser,
}) => {
  const text = await readFile(path.join('examples/plans', '04-valve-sweat.json'), 'utf8')
  const title = String((JSON.parse(text) as { title: string }).title)
  await page.goto('/')
  await page.getByTestId('import-file').setInputFiles({
    name: 'valve.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...(JSON.parse(text) as object), day: {} })),
  })
  const link = page.getByRole('link', { name: title }).first()
  const home = (await link.getAttribute('href'))!.replace(/\/[a-z]+$/, '')
  await page.goto(`${home}/plan`)
  await result(page, 'Acid strip in the gas', 'negative').click()
  await result(page, 'Acid test of the oil, by a kit', 'weak').click()
  await expect(page.locator('[data-figure="Clean-up class"]')).toContainText('Mild acid')
  // a second tab sees them, and writes the next one: the latest of its kind speaks in both
  const other = await context.newPage()
  await other.goto(`${home}/plan`)
  await expect(tests(other).getByRole('listitem')).toHaveCount(2)
  await result(other, 'Acid test of the oil, by a kit', 'strong').click()
  await expect(page.locator('[data-figure="Clean-up class"]')).toContainText('Burnout')
  await expect(tests(page).getByRole('listitem')).toHaveCount(3)
  // undo in the tab that wrote it
  await other.getByRole('button', { name: 'Undo' }).click()
  await expect(tests(page).getByRole('listitem')).toHaveCount(2)
  await expect(page.locator('[data-figure="Clean-up class"]')).toContainText('Mild acid')
  await other.close()

  await page.goto(`${home}/work`)
  await choose(page, 'swapValve')
  const reason = page.locator('[data-gate="not-approved"]').getByLabel(/Or why it goes on without/)
  await reason.fill('the warden said yes on the phone')
  await reason.blur()
  await page.getByRole('tab', { name: /^All steps/ }).click()
  await page.getByRole('button', { name: 'Add a step of your own' }).click()
  await page.getByLabel('What is done').fill('Trap of the drain cleaned')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('article')).toContainText('Trap of the drain cleaned')
  await choose(page, 'settle')
  for (const [ounces, way] of [
    ['6', 'Went in'],
    ['2.5', 'Came out'],
  ] as const) {
    await page.getByLabel('By the scale', { exact: true }).fill(ounces)
    await page.getByRole('button', { name: way }).click()
    await expect(page.getByLabel('By the scale', { exact: true })).toHaveValue('')
  }
  // one that was written by mistake goes and comes back
  await page.getByRole('button', { name: /^Remove: 2.5 oz out/ }).click()
  await expect(page.getByRole('list', { name: 'Steps of the trim' }).getByRole('listitem')).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('list', { name: 'Steps of the trim' }).getByRole('listitem')).toHaveCount(2)

  await page.goto(`${home}/close`)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export job file' }).click()
  const file = await readFile(await (await download).path())
  const kept = (await storedJobs(page))[0] as unknown as Stored
  expect(kept.repairs[0]!.acidTests!.map(({ kind, result: word }) => [kind, word])).toEqual([
    ['strip', 'negative'],
    ['oil-kit', 'weak'],
  ])
  expect(kept.runs[0]!.trims!.map(({ what, out }) => [what, out === true])).toEqual([
    ['6.0 oz in', false],
    ['2.5 oz out', true],
  ])
  expect(kept.days[0]!.quote!.without).toBe('the warden said yes on the phone')
  expect(kept.steps.map(({ own }) => own?.label)).toContain('Trap of the drain cleaned')

  const empty = await browser.newContext()
  const there = await empty.newPage()
  await there.goto('/')
  await there
    .getByTestId('import-file')
    .setInputFiles({ name: 'job.orzo.json', mimeType: 'application/json', buffer: file })
  await expect(there.getByText('Imported.')).toBeVisible()
  const { repairs, runs, days, steps } = (await storedJobs(there))[0] as unknown as Stored
  expect({ repairs, runs, days, steps }).toEqual({
    repairs: kept.repairs,
    runs: kept.runs,
    days: kept.days,
    steps: kept.steps,
  })
  await empty.close()
})
