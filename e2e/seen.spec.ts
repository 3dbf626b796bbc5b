import { expect, type Page, test } from './test'
import { goTo, leadingSuspect, openFile, storedJobs } from './helpers'

/** What is seen leads, what is found stays, and a word that is put later moves nothing. */
const q = (value: number, unit: string) => ({ value, unit })
const power = { phase: 1, volts: 230, rla: 16, lra: 96 }
const SPLIT = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', power }
const chips = (page: Page, group: string) => page.getByRole('group', { name: group }).first()
const suspects = (page: Page) => page.getByRole('group', { name: 'Suspect', exact: true })

test('a belt that is off leads, the vacuum keeps its own leader; taken back, the vacuum leads alone', async ({
  page,
}) => {
  const vacuum = {
    readings: { standingPressure: q(15, 'inHgVac'), outdoorAirTemp: q(80, 'F') },
    observations: { compressorState: 'off', indoorFan: 'belt-off' },
  }
  await openFile(page, SPLIT, [vacuum], 'Measure')
  await expect(leadingSuspect(page)).toHaveAttribute('data-suspect', 'evaporator-fan-failed')
  await goTo(page, 'Diagnose')
  await expect(suspects(page).getByRole('button').nth(0)).toContainText('Evaporator fan failed')
  await expect(suspects(page).getByRole('button').nth(0)).toContainText('seen')
  await expect(suspects(page).getByRole('button').nth(1)).toContainText('Beside it:')
  await expect(suspects(page).getByRole('button').nth(1)).toContainText('Charge lost')
  await goTo(page, 'Measure')
  await page.getByRole('tab', { name: 'Seen' }).click()
  // typed over, twice: the last word counts
  await chips(page, 'Indoor fan').getByRole('button', { name: 'off', exact: true }).click()
  await chips(page, 'Indoor fan')
    .getByRole('button', { name: /running/ })
    .click()
  await expect(leadingSuspect(page)).toHaveAttribute('data-suspect', 'charge-lost')
})

test('a place said after the reading does not move it; measured again it does', async ({ page }) => {
  const grounded = {
    readings: {},
    observations: { compressorState: 'trips-breaker', groundMeasuredAt: 'contactor', pressureOff: 'yes' },
  }
  await openFile(page, SPLIT, [grounded], 'Diagnose')
  await page.getByRole('tab', { name: 'Electrical bench' }).click()
  const ground = async (ohms: string) => {
    await page.getByRole('button', { name: 'Terminal common', exact: true }).click()
    await page.getByRole('button', { name: 'Bare copper on the shell', exact: true }).click()
    const entry = page.getByRole('region', { name: /^Enter: / })
    await entry.getByRole('textbox').fill(ohms)
    await entry.getByRole('textbox').press('Enter')
  }
  await ground('300')
  const findings = page.getByRole('list', { name: 'Findings' })
  await expect(findings).toContainText('from the contactor')
  await page.getByRole('button', { name: 'Terminal common', exact: true }).click()
  await page.getByRole('button', { name: 'Bare copper on the shell', exact: true }).click()
  await chips(page, 'Ground measured at').getByRole('button', { name: 'terminals' }).click()
  await expect(page.getByText('At the terminals it proves nothing: measure it there again.')).toBeVisible()
  await expect(findings).not.toContainText('terminals, leads off')
  await ground('280')
  await expect(findings).toContainText('own terminals, leads off: grounded')
  await expect
    .poll(async () => JSON.stringify((await storedJobs(page))[0]))
    .toMatch(/"value":280.*"place":"terminals"|"place":"terminals".*"value":280/)
})

test('a coil iced over is said before the list, and superheat as shown asks where', async ({ page }) => {
  const iced = {
    readings: { suctionPressure: q(80, 'psig'), superheatShown: q(6, 'F') },
    observations: { evaporatorCoil: 'iced' },
  }
  await openFile(page, { ...SPLIT, kind: 'walk-in-freezer', refrigerant: 'R-404A' }, [iced], 'Diagnose')
  await expect(page.getByText(/The coil is iced over: that is a symptom/).first()).toBeVisible()
  await goTo(page, 'Measure')
  await page.getByRole('tab', { name: 'List' }).click()
  await page.locator('li [data-tap=superheatShown]').click()
  await chips(page, 'Superheat was shown at').getByRole('button', { name: 'coil outlet' }).click()
  await expect(page.getByText('Say where it was shown.')).toHaveCount(0)
})
