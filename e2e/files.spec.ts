import { type Browser, expect, type Page, test } from './test'
import { readFile } from 'node:fs/promises'
import { DEMO_COUNT, goTo, openWithDemo, seriousFindings, storedJobs } from './helpers'

/** A picture as a phone takes it, larger than what is kept. */
async function picture(page: Page): Promise<Buffer> {
  const text = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 2880, height: 1440 })
    const context = canvas.getContext('2d')!
    context.fillStyle = 'tan'
    context.fillRect(0, 0, 2880, 1440)
    return canvas.toDataURL('image/png').split(',')[1]!
  })
  return Buffer.from(text, 'base64')
}

async function download(page: Page, press: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> {
  const [got] = await Promise.all([page.waitForEvent('download'), press()])
  return { name: got.suggestedFilename(), bytes: await readFile((await got.path())!) }
}

const rowsIn = (page: Page, store: string) =>
  page.evaluate(
    (name) =>
      new Promise<number>((resolve) => {
        const open = indexedDB.open('orzo')
        open.onsuccess = () => {
          const count = open.result.transaction(name).objectStore(name).count()
          count.onsuccess = () => {
            open.result.close()
            resolve(count.result)
          }
        }
      }),
    store,
  )

async function elsewhere(browser: Browser): Promise<Page> {
  return (await browser.newContext()).newPage()
}

test('what instruments show is recorded, a photo is kept small, and both go with the job as one file', async ({
  page,
  browser,
}) => {
  await openWithDemo(page)
  await page.getByRole('link', { name: /Control room split/ }).click()
  await goTo(page, 'Measure')
  await page.getByRole('tab', { name: 'Live' }).click()
  await page.getByRole('button', { name: 'Connect instruments' }).click()
  await page.getByRole('button', { name: 'Put all on' }).click()
  await page.getByRole('button', { name: /Record \d+ instruments/ }).click()
  await page.getByRole('button', { name: /Stop recording · [3-9] samples/ }).click()
  const line = page.locator('[data-log]')
  await expect(line).toContainText(/[3-9] samples/)
  await expect(line).not.toContainText('recorded,')
  await line.getByRole('button', { name: 'Look' }).click()
  await expect(page.getByRole('img', { name: /Pressure of the log over time: Suction/ })).toBeVisible()
  expect(await seriousFindings(page)).toEqual([])
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()

  await goTo(page, 'Close')
  await page.getByTestId('photo-file').setInputFiles([
    { name: 'Plate of the unit.png', mimeType: 'image/png', buffer: await picture(page) },
    { name: 'words.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') },
  ])
  await expect(page.getByText(/words.jpg: is no picture that this browser reads/)).toBeVisible()
  await expect(page.locator('[data-photo] img')).toHaveCount(1)
  await page.getByLabel('What it shows').fill('The plate')
  await expect
    .poll(async () => (await storedJobs(page)).find(({ id }) => id === 'demo-control-room')?.attachments)
    .toMatchObject([
      { name: 'Plate of the unit', type: 'image/jpeg', width: 1920, height: 960, caption: 'The plate' },
    ])
  expect(await seriousFindings(page)).toEqual([])

  const file = await download(page, () => page.getByRole('button', { name: 'Export job file' }).click())
  expect(file.name).toBe('control-room-split.orzo.zip')
  const before = (await storedJobs(page)).find(({ id }) => id === 'demo-control-room')!

  // a copy that was hurt, another that was cut off, and a file of another program: each told, the rest comes in
  const hurt = Buffer.from(file.bytes)
  hurt[hurt.indexOf(Buffer.from([0xff, 0xd8, 0xff])) + 400]! ^= 1
  const other = await elsewhere(browser)
  await other.goto('/')
  await other.getByTestId('import-file').setInputFiles([
    { name: 'hurt.orzo.zip', mimeType: 'application/zip', buffer: hurt },
    { name: 'list.json', mimeType: 'application/json', buffer: Buffer.from('{"rows":[]}') },
  ])
  await expect(other.getByText(/photos\/01-plate-of-the-unit.jpg is damaged/)).toBeVisible()
  await expect(other.getByText(/format is not "orzo.job"/)).toBeVisible()
  expect(await storedJobs(other)).toEqual([before])
  expect(await rowsIn(other, 'logChunks')).toBe(1)
  expect(await rowsIn(other, 'blobs')).toBe(0)

  await other
    .getByTestId('import-file')
    .setInputFiles([{ name: file.name, mimeType: 'application/zip', buffer: file.bytes }])
  await expect(other.getByText(/its samples and photos that were missing were added/)).toBeVisible()
  expect(await storedJobs(other)).toEqual([before])
  await other.getByRole('link', { name: 'Open it' }).click()
  await goTo(other, 'Close')
  await expect(other.getByRole('img', { name: 'The plate' })).toBeVisible()
  await expect(other.locator('[data-log]')).toContainText(/[3-9] samples/)

  await other.locator('[data-photo]').getByRole('button', { name: 'Remove' }).click()
  await other.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(other.locator('[data-photo]')).toHaveCount(0)
  await other.getByRole('button', { name: 'Remove job' }).click()
  await other.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(other.getByText('No jobs yet')).toBeVisible()
  expect([
    await rowsIn(other, 'logChunks'),
    await rowsIn(other, 'blobs'),
    await rowsIn(other, 'records'),
  ]).toEqual([0, 0, 0])
})

test('everything goes into one backup and comes back in another browser', async ({ page, browser }) => {
  await openWithDemo(page)
  await page.getByRole('button', { name: 'Backup' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText(/MB/).first()).toBeVisible()
  expect(await seriousFindings(page)).toEqual([])
  const file = await download(page, () => dialog.getByRole('button', { name: 'Save a backup' }).click())
  expect(file.name).toMatch(/^orzo-backup-\d{4}-\d\d-\d\d\.zip$/)
  const other = await elsewhere(browser)
  await other.goto('/')
  await other.getByRole('button', { name: 'Backup' }).click()
  const restore = other.getByRole('dialog').getByTestId('import-file')
  await restore.setInputFiles([{ name: file.name, mimeType: 'application/zip', buffer: file.bytes }])
  await expect(other.getByText(new RegExp(`is a backup of ${DEMO_COUNT} jobs`))).toBeVisible()
  const byId = (jobs: Record<string, unknown>[]) =>
    jobs.sort((a, b) => String(a.id).localeCompare(String(b.id)))
  expect(byId(await storedJobs(other))).toEqual(byId(await storedJobs(page)))
})

/** From now on the browser refuses to write, as when its room is used up. */
const fillUp = (page: Page, full: boolean) =>
  page.evaluate((isFull) => {
    const store = IDBObjectStore.prototype as IDBObjectStore & { kept?: IDBObjectStore['put'] }
    store.kept ??= store.put
    store.put = isFull
      ? () => {
          throw new DOMException('no room', 'QuotaExceededError')
        }
      : store.kept
  }, full)

test('a store without room: what was typed stays on screen, on other pages of Orzo too, until it is stored', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.getByRole('link', { name: /Control room split/ }).click()
  await goTo(page, 'Arrive')
  await expect(page.getByLabel('Job name')).toBeVisible()
  await fillUp(page, true)
  await page.getByLabel('Access').fill('by the north ladder')
  await expect(page.getByText(/not stored yet .*the browser has no room left/)).toBeVisible()
  await page.getByLabel('Since when').fill('Monday')
  await page.getByLabel('Complaint').focus()
  await expect(page.getByLabel('Access')).toHaveValue('by the north ladder')
  await goTo(page, 'Measure')
  await goTo(page, 'Arrive')
  await expect(page.getByLabel('Access')).toHaveValue('by the north ladder')
  await expect(page.getByLabel('Since when')).toHaveValue('Monday')
  await fillUp(page, false)
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByText(/not stored yet/)).toHaveCount(0)
  await page.reload()
  await expect(page.getByLabel('Access')).toHaveValue('by the north ladder')
  await expect(page.getByLabel('Since when')).toHaveValue('Monday')
})

const openNewer = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('orzo', 30)
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          open.result.close()
          resolve()
        }
      }),
  )

test('a newer Orzo in another window: this one stops, says so, keeps what is typed in sight, and writes nothing', async ({
  page,
  context,
}) => {
  await openWithDemo(page)
  await page.getByRole('link', { name: /Control room split/ }).click()
  await goTo(page, 'Arrive')
  await expect(page.getByLabel('Job name')).toBeVisible()
  const newer = await context.newPage()
  await newer.goto('/icon.svg')
  await openNewer(newer)
  await expect(page.getByText(/A newer Orzo was opened in another window/)).toBeVisible()
  await page.getByLabel('Access').fill('late word')
  await expect(page.getByText(/not stored yet/)).toBeVisible()
  await expect(page.getByLabel('Access')).toHaveValue('late word')
  const late = await context.newPage()
  await late.goto('/')
  await expect(late.getByText(/are of a newer Orzo than this one/)).toBeVisible()
  expect(JSON.stringify(await storedJobs(newer))).not.toContain('late word')
})

test('a store that does not open is told, and what can be read of it is saved and restored elsewhere', async ({
  page,
  context,
  browser,
}) => {
  await openWithDemo(page)
  await page.close()
  const broken = await context.newPage()
  await broken.addInitScript(() => {
    const open = IDBFactory.prototype.open
    IDBFactory.prototype.open = function (name: string, version?: number) {
      if (version !== undefined) throw new DOMException('internal', 'UnknownError')
      return open.call(this, name)
    }
  })
  await broken.goto('/')
  await expect(broken.getByText(/cannot be opened: the browser cannot read what it stored/)).toBeVisible()
  expect(await seriousFindings(broken)).toEqual([])
  const file = await download(broken, () =>
    broken.getByRole('button', { name: 'Save what can be read' }).click(),
  )
  await expect(broken.getByText(new RegExp(`${DEMO_COUNT} jobs were saved in the file`))).toBeVisible()
  const other = await elsewhere(browser)
  await other.goto('/')
  await other
    .getByTestId('import-file')
    .setInputFiles([{ name: file.name, mimeType: 'application/zip', buffer: file.bytes }])
  await expect(other.getByText(new RegExp(`is a backup of ${DEMO_COUNT} jobs`))).toBeVisible()
  await expect(other.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(DEMO_COUNT)
})
