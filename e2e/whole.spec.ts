import { expect, test } from './test'
import { storedJobs } from './helpers'
import { agreed, close, COMFORT, print, proveAndClose, toThePlan, Typist, walk, type Way } from './typist'

/** Jobs 17, 26 and 30 of docs/whole-jobs.md, from a new job to its closing, everything typed. */

test.use({ actionTimeout: 90_000 })

/** A verdict by its name, seen here, and what the plate says. */
async function condemned(hand: Typist, kind: string, letters: string, fault: RegExp, listed?: string) {
  const { page } = hand
  await hand.begin(/^Already condemned/, kind)
  if (listed) {
    await hand.tap(page.getByRole('dialog').getByRole('combobox'))
    await hand.tap(page.getByRole('option', { name: listed }))
  }
  await named(hand, letters, fault)
  await hand.tap(page.getByRole('link', { name: 'To the plan' }).first())
  await hand.tap(hand.button('R-410A').first())
  await hand.tap(hand.button('Expansion valve').first())
}
async function named(hand: Typist, letters: string, fault: RegExp) {
  const { page } = hand
  await hand.type(page.getByLabel('Fault, by name'), letters)
  await hand.tap(page.getByRole('option', { name: fault }))
  const seen = page.getByRole('group', { name: 'How it was shown' }).getByRole('button', { name: /seen$/ })
  // while the work is on, what is found was seen
  if ((await seen.getAttribute('aria-pressed')) !== 'true') await hand.tap(seen)
  await hand.tap(hand.button('Decide: repair this'))
}

/** The steps that are planned, by the list of the sheet. */
async function planned({ page }: Typist): Promise<string[]> {
  await page.getByRole('tab', { name: /^All steps/ }).click()
  await page.locator('li[data-step]').first().waitFor()
  const ids = await page
    .locator('li[data-step]')
    .evaluateAll((all) => all.map((each) => each.getAttribute('data-step')!))
  await page.getByRole('tab', { name: 'Step', exact: true }).click()
  return ids
}

test('job 30: start gear of a water-source unit, with its wiring map', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await condemned(hand, 'Another…', 'capacitor', /^Run or start capacitor/, 'Water-source heat pump')
  // the van carries what it takes: no quote stands before it
  await hand.goTo('Work')
  const ids = await planned(hand)
  expect(ids).toEqual(expect.arrayContaining(['lockOut', 'swapStartGear', 'unlock', 'settle', 'closeUp']))
  for (const never of ['recover', 'drainWater', 'sweep', 'swapCompressor']) expect(ids).not.toContain(never)
  const way: Way = { test: 0, charge: undefined }
  await walk(hand, way, 'swapStartGear')
  await hand.beginStep('swapStartGear')
  const map = page.getByRole('region', { name: 'Wiring map' })
  await hand.type(map.getByLabel('Lead: colour or mark'), 'brown')
  await page.keyboard.press('Enter')
  await hand.type(map.getByLabel('Was at, brown'), 'HERM')
  await page.keyboard.press('Tab')
  await expect(map).toContainText('1 lead, 1 off')
  await hand.type(map.getByLabel('Now at, brown'), 'HERM, new capacitor')
  await page.keyboard.press('Tab')
  await expect(map).not.toContainText('1 off')
  // a name is not wiped by mistake; typed over it stays one lead, after a reload too
  await map.getByLabel('Lead, brown').fill('')
  await page.keyboard.press('Tab')
  await expect(map).toContainText('Name the lead, or remove it.')
  await page.reload()
  await expect(page.getByRole('region', { name: 'Wiring map' }).getByLabel('Now at, brown')).toHaveValue(
    'HERM, new capacitor',
  )
  await expect(hand.step).toContainText('Unmarked relay or capacitor terminals are named by ohms')
  await hand.done('swapStartGear')
  await walk(hand, way, 'settle')
  await hand.beginStep('settle')
  // nothing came off
  await proveAndClose(hand, way, false)
  await close(hand)
  const [job] = (await storedJobs(page)) as { runs: { wiring: object[] }[] }[]
  expect(job!.runs[0]!.wiring).toEqual([
    expect.objectContaining({ wire: 'brown', before: 'HERM', after: 'HERM, new capacitor' }),
  ])
  print(hand, 'start gear, wiring map')
})

test('job 17: a pilot tube and the thermostat that the jumps named', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await condemned(hand, 'Split heat pump', 'pilot', /^Reversing valve pilot tube/)
  await hand.goTo('Diagnose')
  await hand.tap(page.getByRole('tab', { name: /bench/i }))
  for (const asked of ['Supply and call joined at the unit', 'Supply and call joined at the thermostat'])
    await hand.tap(
      page.getByRole('group', { name: asked }).getByRole('button', { name: 'holds', exact: true }),
    )
  await hand.goTo('Plan')
  await agreed(hand)
  await hand.tap(hand.button('Found another fault: decide it'))
  await named(hand, 'control voltage', /^Reversing valve gets no proper control voltage/)
  await hand.tap(hand.button('Close'))
  const ids = await planned(hand)
  expect(ids).toEqual(expect.arrayContaining(['confirmLeak', 'swapReversingValve', 'swapControl']))
  for (const never of ['checkControls', 'leakSearch']) expect(ids).not.toContain(never)
  const way: Way = {
    test: 236,
    charge: undefined,
    own: {
      swapControl: async () => {
        await expect(hand.step).toContainText('Replace the thermostat')
        await expect(hand.step).toContainText('the coil holds jumped at the unit, and at the thermostat')
        await hand.tap(hand.button(/^Done(, next| already)?$/))
      },
      swapReversingValve: async () => {
        await expect(hand.step).toContainText('Body under 250 F')
        await hand.tap(hand.button(/^Done(, next| already)?$/))
      },
    },
  }
  await walk(hand, way, 'settle')
  await hand.beginStep('settle')
  await proveAndClose(hand, way)
  await hand.tap(page.locator('[data-gate="one-mode"]').getByRole('button', { name: /^Go to:/ }))
  await hand.type(page.getByLabel(/booked for/), '2027-01-12')
  await hand.tap(page.getByRole('tab', { name: /^All steps/ }))
  await hand.tap(page.locator('li[data-step="closeUp"]').getByRole('button'))
  await close(hand)
  print(hand, 'pilot tube and thermostat')
})

test('job 26: a storm at noon and goods until noon are read by the day', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await toThePlan(
    hand,
    {
      ...COMFORT,
      kind: 'Walk-in cooler',
      refrigerant: 'R-404A',
      values: ['18', '220', '40', '84', '80', '46'],
    },
    async () => {
      await hand.goTo('Arrive')
      await hand.tap(
        page
          .getByRole('group', { name: 'Weather in the next hours' })
          .getByRole('button', { name: 'storm expected' }),
      )
      await hand.type(page.getByLabel('Work can go on until'), '12:00')
      await hand.type(page.getByLabel('Goods keep until'), '12:00')
      await page.keyboard.press('Tab')
    },
  )
  await hand.tap(page.getByRole('tab', { name: 'Day' }))
  const said = page.locator('[data-said]')
  await expect(said.first()).toContainText('Storm from 12:00, said on arrival')
  await expect(said.nth(1)).toContainText('Lightning')
  await expect(page.getByText(/the goods spoil, likely/)).toBeVisible()
  await expect(page.getByText(/no hour is known/)).toHaveCount(0)
  await agreed(hand)
  const way: Way = {
    test: 140,
    charge: undefined,
    own: {
      swapValve: async () => {
        await expect(hand.step).toContainText('Nitrogen flows from the fit-up on: the air is wet.')
        await hand.tap(hand.button(/^Done(, next| already)?$/))
      },
    },
  }
  const gone = await walk(hand, way, 'settle')
  expect(gone).toEqual(expect.arrayContaining(['checkBoxes', 'swapValve']))
  await hand.beginStep('settle')
  await proveAndClose(hand, way)
  await close(hand)
  print(hand, 'storm at noon')
})
