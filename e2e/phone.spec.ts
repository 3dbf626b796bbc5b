import { expect, test } from './test'
import { choose, expectNoSidewaysScroll, goTo, newJob, PHONE, storedJobs } from './helpers'

test.use({ viewport: PHONE, hasTouch: true, isMobile: true })

test('by touch alone: a job with four readings, and the answer as a sheet', async ({ page }) => {
  await newJob(page)
  await choose(page, 'Refrigerant', 'R-22')
  await choose(page, 'Metering device', 'Fixed orifice')
  await goTo(page, 'Measure')
  await page.locator('[data-tap=suctionPressure]').tap()
  for (const value of ['43', '300', '76', '94']) {
    for (const digit of value) await page.getByRole('button', { name: digit, exact: true }).tap()
    await page.getByRole('button', { name: 'Next' }).tap()
  }
  await page.getByRole('button', { name: /Done/ }).tap()
  await page.getByRole('tab', { name: 'Ladder' }).tap()
  await expect(page.locator('[data-rung=evaporatingMean]')).toBeVisible()
  await expectNoSidewaysScroll(page)
  await page.getByRole('button', { name: /plugged|restrict/i }).tap()
  await expect(page.getByRole('heading', { name: 'Suspects' })).toBeVisible()
  const readings = (await storedJobs(page))[0] as {
    readingSets: { readings: Record<string, { value: number; unit: string }> }[]
  }
  expect(readings.readingSets[0]!.readings).toMatchObject({
    suctionPressure: { value: 43, unit: 'psig' },
    liquidPressure: { value: 300, unit: 'psig' },
    suctionLineTemp: { value: 76, unit: 'F' },
    liquidLineTemp: { value: 94, unit: 'F' },
  })
})

test('touch targets of the pad and the rail are at least 48 px high', async ({ page }) => {
  await newJob(page)
  await goTo(page, 'Measure')
  await page.locator('[data-tap=suctionPressure]').tap()
  await expect(page.getByRole('button', { name: 'Next' })).toBeVisible()
  const heights = await page.locator('.MuiDrawer-root button, nav a, [data-tap]').evaluateAll((all) =>
    all.map((each) => ({
      text: each.textContent,
      // Scaled boxes are given in floats: 47.99997 is 48 to the eye and the thumb.
      height: Math.round(each.getBoundingClientRect().height * 100) / 100,
    })),
  )
  expect(heights.length).toBeGreaterThan(20)
  expect(heights.filter(({ height }) => height < 48)).toEqual([])
})
