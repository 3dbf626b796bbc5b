/** A demo job whose work has come to its evacuation, brought into the browser and opened. @returns its address */
export async function openAtEvacuation(page, base) {
  await page.goto(`${base}/`)
  await page.getByRole('button', { name: 'New job' }).waitFor()
  await page.getByTestId('import-file').setInputFiles('examples/work/at-the-vacuum.json')
  const link = page.getByRole('link', { name: 'Control room, come to the vacuum' }).first()
  await link.waitFor()
  const job = (await link.getAttribute('href')).replace(/\/[a-z]+$/, '')
  await page.goto(`${base}${job}/work`)
  await page.locator('article[data-step="evacuate"]').waitFor()
  return `${base}${job}/work`
}
