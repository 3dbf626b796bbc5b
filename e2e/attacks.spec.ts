import { strToU8, zipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import { ATTACKS } from '../tools/attacks/attacks'
import { expect, test } from './test'
import { expectNoSidewaysScroll, newJob, PHONE, storedJobs } from './helpers'

test('files made to hang a program end in a sentence, and the page lives on', async ({ page }) => {
  await newJob(page)
  await page.getByLabel('Job name').fill('Kept as it is')
  await expect.poll(async () => (await storedJobs(page))[0]?.title).toBe('Kept as it is')
  const [kept] = await storedJobs(page)
  await page.goto('/')
  for (const [what, { name, make }] of Object.entries(ATTACKS)) {
    const buffer = Buffer.from(make())
    await page
      .getByTestId('import-file')
      .setInputFiles({ name, mimeType: 'application/octet-stream', buffer })
    const start = Date.now()
    const alert = page.getByRole('alert').filter({ hasText: name })
    await expect(alert).toContainText(
      /was not imported|could not be read|2 GB|share their bytes|60,000 files/,
    )
    process.stdout.write(`${what}: told after ${Date.now() - start} ms\n`)
    await page.getByRole('button', { name: 'Close' }).first().click()
    await expect(alert).toHaveCount(0)
  }
  expect((await storedJobs(page)).find(({ id }) => id === kept!.id)).toEqual(kept)
})

test('a sentence that names a long place fits a phone', async ({ page }) => {
  await page.setViewportSize(PHONE)
  await page.goto('/')
  const job = JSON.parse(readFileSync('examples/plugged-dryer.orzo.json', 'utf8')) as {
    readingSets: { readings: Record<string, object> }[]
  }
  job.readingSets[0]!.readings.suctionLineTemp = { value: 1e15, unit: 'F' }
  const buffer = Buffer.from(JSON.stringify(job))
  await page
    .getByTestId('import-file')
    .setInputFiles({ name: 'a.orzo.json', mimeType: 'application/json', buffer })
  const alert = page.getByRole('alert').filter({ hasText: 'a.orzo.json' })
  await expect(alert).toContainText('readingSets[0].readings.suctionLineTemp.value')
  await expect(alert.getByRole('button', { name: 'Close' })).toBeInViewport({ ratio: 1 })
  await expectNoSidewaysScroll(page)
})

/** What a telephone writes into a photo: a segment with the place. */
function withPlace(jpeg: Buffer): Buffer {
  const words = Buffer.from('Exif\0\0 north 48 east 9')
  const head = Buffer.from([0xff, 0xe1, 0, words.length + 2])
  return Buffer.concat([jpeg.subarray(0, 2), head, words, jpeg.subarray(2)])
}

test('a photo of an archive loses its place; what is no picture is named and left out', async ({ page }) => {
  await page.goto('/')
  const picture = withPlace(await page.screenshot({ type: 'jpeg' }))
  expect(picture.includes('Exif')).toBe(true)
  const photo = (id: string) => ({ id, name: id, type: 'image/jpeg', size: picture.length })
  const job = {
    format: 'orzo.job',
    version: 1,
    title: 'Lodge cooler',
    unit: { kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv' },
    readingSets: [],
  }
  const document = { ...job, version: 3, kinds: {}, attachments: ['plate', 'words', 'hurt'].map(photo) }
  const archive = zipSync({
    'job.orzo.json': strToU8(JSON.stringify(document)),
    'photos/01-plate.jpg': picture,
    'photos/02-words.jpg': strToU8('<svg onload="alert(1)"/>'),
    'photos/03-hurt.jpg': picture.subarray(0, 60),
  })
  await page.getByTestId('import-file').setInputFiles({
    name: 'photos.orzo.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from(archive),
  })
  const alert = page.getByRole('alert').filter({ hasText: 'Lodge cooler' })
  await expect(alert).toContainText('photos/02-words.jpg is no picture of the type image/jpeg')
  await expect(alert).toContainText('photo “hurt” is no picture that this browser reads')
  const stored = await page.evaluate(
    () =>
      new Promise<{ id: string; text: string }[]>((resolve) => {
        const open = indexedDB.open('orzo')
        open.onsuccess = () => {
          const all = open.result.transaction('blobs').objectStore('blobs').getAll()
          all.onsuccess = () => {
            const rows = all.result as { id: string; bytes: Uint8Array }[]
            resolve(
              rows.map(({ id, bytes }) => ({ id, text: String.fromCharCode(...bytes.subarray(0, 3000)) })),
            )
          }
        }
      }),
  )
  expect(stored.map(({ id }) => id)).toEqual(['plate'])
  expect(stored[0]!.text.slice(0, 3)).toBe('\u00ff\u00d8\u00ff')
  expect(stored[0]!.text).not.toContain('Exif')
})
