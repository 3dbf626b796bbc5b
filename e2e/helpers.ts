import { readFile } from 'node:fs/promises'
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from './test'
import { strToU8, zipSync } from 'fflate'

export const PHONE = { width: 390, height: 844 }

/** Jobs of the demo. */
export const DEMO_COUNT = 12

/** Opens the list and adds the demo jobs. */
export async function openWithDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Add demo jobs' }).click()
  await expect(page.getByRole('link', { name: /Control room split/ })).toBeVisible()
}

/** Starts a new job of which nothing is known but its kind, and waits for its first stage. */
export async function newJob(page: Page, kind = 'Split air conditioner'): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'New job' }).click()
  const dialog = page.getByRole('dialog', { name: 'New job' })
  await dialog.getByRole('button', { name: 'Something else' }).click()
  await dialog.getByRole('button', { name: kind, exact: true }).click()
  await expect(page.getByLabel('Complaint')).toBeVisible()
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
  await expect(page).toHaveURL(new RegExp(`/${stage.toLowerCase()}(\\?|$)`))
}

/** The first suspect's id on screen. */
export const leadingSuspect = (page: Page) => page.locator('[data-suspect]').first()

type StoredRow = { jobId: string; kind: string; id: string; order: number; deleted?: 1; data: object }
type StoredIndex = { id: string; updatedAt: string }
const LIST_OF: Readonly<Record<string, string>> = {
  set: 'readingSets',
  decision: 'decisions',
  tick: 'ticks',
  log: 'logs',
  attachment: 'attachments',
  dryer: 'dryers',
  step: 'steps',
  takenOff: 'takenOff',
  round: 'rounds',
  closing: 'closings',
  repair: 'repairs',
  day: 'days',
  run: 'runs',
}

/** All jobs as they are stored in this browser, put together from their records without the app's own code. */
export async function storedJobs(page: Page): Promise<Record<string, unknown>[]> {
  const { jobs, records } = await page.evaluate(
    () =>
      new Promise<{ jobs: StoredIndex[]; records: StoredRow[] }>((resolve, reject) => {
        const open = indexedDB.open('orzo')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const reading = open.result.transaction(['jobIndex', 'records'])
          const [jobs, records] = ['jobIndex', 'records'].map((store) => reading.objectStore(store).getAll())
          reading.oncomplete = () => {
            open.result.close()
            resolve({ jobs: jobs!.result as StoredIndex[], records: records!.result as StoredRow[] })
          }
        }
      }),
  )
  return jobs.map(({ id, updatedAt }) => {
    const own = records
      .filter(({ jobId, deleted }) => jobId === id && !deleted)
      .sort((a, b) => a.order - b.order)
    const only = (kind: string) => own.find((each) => each.kind === kind)?.data
    const lists = Object.entries(LIST_OF).map(([kind, list]) => [
      list,
      own.filter((each) => each.kind === kind).map(({ data }) => data),
    ])
    return {
      format: 'orzo.job',
      version: 3,
      id,
      updatedAt,
      ...only('head'),
      ...(Object.fromEntries(lists) as object),
    }
  })
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

const EXAMPLE = 'examples/work/at-the-vacuum.json'
const EXAMPLE_LOGS = ['logs/01-recovery.csv', 'logs/02-pressure-test.csv'] as const

/**
 * A repair that has come to its vacuum, with the samples of its logs, brought in as an archive.
 * @returns the address of the job
 */
export async function importAtTheVacuum<F extends object>(
  page: Page,
  change: (file: F) => object,
): Promise<string> {
  const file = JSON.parse(await readFile(EXAMPLE, 'utf8')) as F & { title: string }
  const logs = await Promise.all(
    EXAMPLE_LOGS.map(
      async (name) => [name, new Uint8Array(await readFile(`examples/work/${name}`))] as const,
    ),
  )
  const archive = zipSync({
    'job.orzo.json': strToU8(JSON.stringify(change(file))),
    ...Object.fromEntries(logs),
  })
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New job' })).toBeVisible()
  await page.getByTestId('import-file').setInputFiles({
    name: 'vacuum.orzo.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from(archive),
  })
  const link = page.getByRole('link', { name: file.title }).first()
  await expect(link).toBeVisible()
  const home = (await link.getAttribute('href'))!.replace(/\/[a-z]+$/, '')
  await page.goto(`${home}/work`)
  await expect(page.getByRole('article')).toBeVisible()
  return home
}

/** A set as a file holds it. */
export type FileSet = { mode?: string; at?: string; readings?: object; observations?: object }

/** Brings a job in as a file and opens a stage of it. */
export async function openFile(
  page: Page,
  unit: object,
  sets: readonly FileSet[],
  stage: string,
): Promise<void> {
  const job = {
    format: 'orzo.job',
    version: 1,
    unit,
    readingSets: sets.map((set) => ({ mode: 'cooling', readings: {}, ...set })),
  }
  await page.goto('/')
  await page.getByTestId('import-file').setInputFiles({
    name: 'a.orzo.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(job)),
  })
  await page.getByRole('link', { name: 'Open it' }).click()
  await goTo(page, stage)
}
