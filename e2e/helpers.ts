import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

export const PHONE = { width: 390, height: 844 }

/** Opens the list and adds the demo jobs. */
export async function openWithDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await expect(page.getByRole('link', { name: /Control room split/ })).toBeVisible()
}

/** Starts a new job and waits for its first stage. */
export async function newJob(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'New job' }).click()
  await expect(page.getByLabel('Job name')).toBeVisible()
}

/** Chooses a word of a select. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}

/** Goes to a stage by the rail. */
export async function goTo(page: Page, stage: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: new RegExp(`^${stage}`) })
    .click()
  await expect(page).toHaveURL(new RegExp(`/${stage.toLowerCase()}$`))
}

/** The first suspect's id on screen. */
export const leadingSuspect = (page: Page) => page.locator('[data-suspect]').first()

/** All jobs as they are stored in this browser. */
export function storedJobs(page: Page): Promise<Record<string, unknown>[]> {
  return page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('orzo')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const all = open.result.transaction('jobs').objectStore('jobs').getAll()
          all.onsuccess = () => {
            open.result.close()
            resolve(all.result.map((row: { job: Record<string, unknown> }) => row.job))
          }
        }
      }),
  )
}

/** Nothing on the page reaches past the right edge. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  expect(over).toBeLessThanOrEqual(0)
}

/** Accessibility findings that are serious or critical, each with where it is. */
export async function seriousFindings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`)
}
