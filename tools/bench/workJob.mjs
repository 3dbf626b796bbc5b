import { readFileSync } from 'node:fs'
import { strToU8, zipSync } from 'fflate'

const FOLDER = 'examples/work'
const LOGS = ['logs/01-recovery.csv', 'logs/02-pressure-test.csv']

/** A repair that has come to its vacuum, with the samples of its logs: its gates open by them. */
function archive() {
  const logs = LOGS.map((name) => [name, new Uint8Array(readFileSync(`${FOLDER}/${name}`))])
  const job = strToU8(readFileSync(`${FOLDER}/at-the-vacuum.json`, 'utf8'))
  return Buffer.from(zipSync({ 'job.orzo.json': job, ...Object.fromEntries(logs) }))
}

/** A demo job whose work has come to its evacuation, brought into the browser and opened. @returns its address */
export async function openAtEvacuation(page, base) {
  await page.goto(`${base}/`)
  await page.getByRole('button', { name: 'New job' }).waitFor()
  await page
    .getByTestId('import-file')
    .setInputFiles({ name: 'vacuum.orzo.zip', mimeType: 'application/zip', buffer: archive() })
  const link = page.getByRole('link', { name: 'Control room, come to the vacuum' }).first()
  await link.waitFor()
  const job = (await link.getAttribute('href')).replace(/\/[a-z]+$/, '')
  await page.goto(`${base}${job}/work`)
  await page.locator('article[data-step="evacuate"]').waitFor()
  return `${base}${job}/work`
}
