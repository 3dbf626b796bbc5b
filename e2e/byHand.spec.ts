import { provenPapers } from './papers'
import { expect, test } from './test'
import { choose, storedJobs } from './helpers'
import {
  COMFORT,
  SPACE,
  Typist,
  agreed,
  allBackOn,
  close,
  figure,
  hold,
  opens,
  print,
  proveAndClose,
  toThePlan,
  type Way,
  verdict,
  walk,
} from './typist'

// what is not there within this is a dead end
test.use({ actionTimeout: 90_000 })

test('a start with the other mode booked, everything typed', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await toThePlan(hand, { ...COMFORT, kind: 'Split heat pump' })
  await agreed(hand)
  const way: Way = { test: 236, charge: undefined }
  await walk(hand, way, 'settle')
  await hand.beginStep('settle')
  await proveAndClose(hand, way)
  const gate = page.locator('[data-gate="one-mode"]')
  await expect(gate).toContainText('a set in heating, or the day for which it is booked')
  await expect(hand.button('Start')).toBeDisabled()
  await hand.tap(gate.getByRole('button', { name: /^Go to:/ }))
  await hand.type(page.getByLabel(/booked for/), '2027-01-12')
  await expect(page.locator('[data-other-mode]')).toContainText('heating is booked')
  await hand.tap(page.getByRole('tab', { name: /^All steps/ }))
  await hand.tap(page.locator('li[data-step="closeUp"]').getByRole('button'))
  await close(hand)
  print(hand, 'other mode booked')
})

test('a failed hold that is repaired in a second pass, everything typed', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await toThePlan(hand, COMFORT)
  await agreed(hand)
  const way: Way = { test: 236, charge: undefined }
  await walk(hand, way, 'pressureTest')
  await hand.beginStep('pressureTest')
  await hold(hand, 236, 224)
  await expect(verdict(hand)).toHaveAttribute('data-verdict', 'failed')
  // the loop is open at once: place, how, part; three steps and the test from its first step
  const form = page.getByRole('form', { name: 'A leak was found' })
  await hand.tap(form.getByRole('button', { name: 'a joint made today' }))
  await hand.type(form.getByLabel('Its place in words'), 'joint at the valve outlet')
  await hand.tap(form.getByRole('button', { name: 'Repair it, then test again' }))
  await expect(hand.step).toContainText('Bleed the nitrogen off to 0 psig')
  // nothing is heated under nitrogen
  await hand.tap(page.getByRole('tab', { name: /^All steps/ }))
  await hand.tap(page.getByRole('button', { name: /Braze it again/ }))
  const veto = page.locator('[data-veto="under-nitrogen"]')
  await expect(veto).toContainText('bled off to 0 psig')
  await hand.tap(veto.getByRole('button', { name: /^Go to: Bleed/ }))
  await hand.tap(page.getByRole('checkbox', { name: 'Nitrogen bled off to 0 psig' }))
  const gone = await walk(hand, way, 'pressureTest')
  expect(gone.map((id) => id.replace(/-[^-]*$/, ''))).toEqual(
    expect.arrayContaining(['own-bleed', 'own-flame', 'own-sweep']),
  )
  // what the first pass showed stays
  await expect(page.locator('[data-pass="1"]')).toContainText('Pressure test')
  await walk(hand, way, 'settle')
  await hand.beginStep('settle')
  await proveAndClose(hand, way)
  await close(hand)
  const [job] = (await storedJobs(page)) as { repairs: { leaks: { place: string; joints: number }[] }[] }[]
  expect(job!.repairs[0]!.leaks).toEqual([
    expect.objectContaining({ place: 'joint at the valve outlet', repair: 'brazed', joints: 1 }),
  ])
  print(hand, 'failed hold')
})

test('a charge that nobody knows, finished by subcooling, everything typed', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await toThePlan(hand, COMFORT)
  await agreed(hand)
  const way: Way = { test: 236, charge: undefined }
  await walk(hand, way, 'settle')
  await hand.beginStep('settle')
  const finish = page.locator('[data-finish]')
  await expect(finish).toContainText('By subcooling. Read a set after the start')
  const measure = async (values: readonly string[]) => {
    await hand.tap(hand.button(/^(Take readings after the start|Another set of readings)$/))
    await expect(page).toHaveURL(/\/measure(\?|$)/)
    await hand.readings('suctionPressure', values)
    await hand.goTo('Work')
    await expect(hand.step).toHaveAttribute('data-step', 'settle')
  }
  // 4 F of subcooling where 10 is wanted
  await measure(['118', '300', '62', '92'])
  await expect(finish).toContainText('add a little')
  await hand.type(page.getByLabel('By the scale', { exact: true }), '10')
  await hand.tap(hand.button('Went in'))
  await measure(['120', '330', '58', '88'])
  await expect(finish).toContainText('over its band, take out a little')
  await hand.type(page.getByLabel('By the scale', { exact: true }), '3')
  await hand.tap(hand.button('Came out'))
  await measure(['119', '315', '58', '91'])
  await expect(finish).toContainText('inside its band, enough')
  await expect(page.locator('[data-final-charge]')).toContainText('5 lb 7.0 oz in it, of it 7.0 oz by trims')
  await hand.done('settle')
  await walk(hand, way, 'closeUp')
  await allBackOn(hand)
  await close(hand)
  print(hand, 'unknown charge')
})

test('a wet walk-in, everything typed', async ({ page }) => {
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
      await hand.tap(page.getByRole('tab', { name: /Seen/ }))
      await hand.tap(
        page
          .getByRole('group', { name: 'Moisture indicator' })
          .getByRole('button', { name: 'wet', exact: true }),
      )
    },
  )
  await agreed(hand)
  const way: Way = { test: 140, charge: undefined }
  await walk(hand, way, 'settle')
  await hand.beginStep('settle')
  // the box is pulled down to its setting
  await hand.type(page.getByLabel('Set to', { exact: true }), '35')
  await hand.beginLog()
  await hand.look('90 min ago', { [SPACE]: '62' })
  await hand.look('30 min ago', { [SPACE]: '42' })
  await hand.look('', { [SPACE]: '34.5' })
  await hand.endLog()
  await opens(hand)
  await proveAndClose(hand, way)
  await close(hand)
  print(hand, 'wet walk-in')
  const { owner, technical, tag } = await provenPapers(page)
  expect(owner.text).toContain('Expansion valve')
  // the figures that were typed after it show another fault: chosen as proven, it is not
  expect(owner.text).toContain('Not closed: nothing wrong after the repair is not on record')
  expect(technical.text).toContain('wrong or mixed refrigerant leads after the repair')
  expect(technical.text).toMatch(/Clean-up class.*wet/)
  expect(technical.text).toMatch(/3 pulls, broken with nitrogen 2 times/)
  expect(technical.text).toMatch(/Pull-down .* passed: .* the setting of .* reached/)
  expect(tag.text).toContain('R-404A')
})

test('a burnout, everything typed: two tests for acid with their moments', async ({ page }) => {
  test.slow()
  const hand = new Typist(page)
  await hand.begin(/^Does not run/, 'Split air conditioner')
  await hand.tap(hand.button('Terminal common'))
  await hand.tap(hand.button('Bare copper on the shell'))
  const entry = page.getByRole('region', { name: 'Enter: Ohms to ground' })
  await hand.type(entry.getByRole('textbox'), '2')
  await page.keyboard.press('Enter')
  await hand.goTo('Arrive')
  hand.taps += 4
  await choose(page, 'Refrigerant', 'R-410A')
  await choose(page, 'Metering device', 'Expansion valve')
  await hand.type(page.getByLabel('Tons'), '3')
  await hand.goTo('Diagnose')
  await hand.tap(page.getByRole('tab', { name: 'Suspects' }))
  await hand.tap(page.getByRole('button', { name: /^Compressor winding grounded/ }).first())
  await hand.type(page.getByLabel('Why without full proof'), 'Measured twice, cold, at its own terminals')
  await hand.tap(hand.button('Repair this'))
  await hand.tap(page.getByRole('link', { name: 'To the plan' }))
  const tests = page.getByRole('region', { name: 'Acid tests' })
  const result = (test_: string, word: string) =>
    hand.tap(tests.getByRole('group', { name: test_ }).getByRole('button', { name: word }))
  await result('Acid strip in the gas', 'negative')
  await result('Acid test of the oil, by a kit', 'strong')
  await expect(figure(hand, 'Clean-up class')).toContainText('Burnout')
  await agreed(hand)
  const way: Way = { test: 236, charge: undefined }
  const gone = await walk(hand, way, 'settle')
  expect(gone).toEqual(expect.arrayContaining(['recover', 'swapCompressor', 'pressureTest', 'weighIn']))
  await hand.beginStep('settle')
  await proveAndClose(hand, way)
  await close(hand)
  const [job] = (await storedJobs(page)) as { repairs: { acidTests: { kind: string; result: string }[] }[] }[]
  expect(job!.repairs[0]!.acidTests.map(({ kind, result: said }) => [kind, said])).toEqual([
    ['strip', 'negative'],
    ['oil-kit', 'strong'],
  ])
  print(hand, 'burnout')
  const { owner, technical, tag } = await provenPapers(page)
  expect(owner.text).toContain(
    'Compressor winding grounded: decided without full proof, for a written reason',
  )
  expect(owner.text).toContain('Proven under load, 1 point passed with a written reason')
  expect(technical.text).toContain('Measured twice, cold, at its own terminals')
  expect(technical.text).toMatch(/Clean-up class.*burnout/)
  expect(technical.text).toMatch(/Tests for acid.*negative.*strong/)
  expect(tag.text).toMatch(/Next Oil tested again for acid/)
  // from the call to the end of the run sheet (before: 186 taps and 40 groups)
  expect(hand.taps).toBeLessThanOrEqual(90)
  expect(hand.groups).toBeLessThanOrEqual(30)
})
