import { expect, type Locator, type Page, test } from './test'
import { PHONE, storedJobs } from './helpers'

/** A first diagnosis takes no more than this many taps and groups of keys. */
const MOST_ACTIONS = 25

type Way = 'mouse' | 'keyboard' | 'touch'

/** Does what a person does, and counts it: every tap, every way to a thing by Tab, every run of keys as one. */
class Hand {
  actions = 0
  constructor(
    private readonly page: Page,
    private readonly way: Way,
  ) {}
  /** A tap; by keyboard the way there and Enter. */
  async tap(target: Locator) {
    await target.waitFor()
    if (this.way === 'keyboard') {
      await this.reach(target)
      await this.keys('Enter')
      return
    }
    this.actions += 1
    await (this.way === 'touch' ? target.tap() : target.click())
  }
  private async reach(target: Locator) {
    this.actions += 1
    for (let i = 0; i < 120; i += 1) {
      if (await target.evaluate((element) => element === document.activeElement)) return
      await this.page.keyboard.press('Tab')
    }
    throw new Error('the keyboard does not reach it')
  }
  async keys(...keys: string[]) {
    this.actions += 1
    for (const key of keys) await this.page.keyboard.press(key)
  }
  /** From the tab that is open to the one before it: by keyboard an arrow and Enter. */
  async toTab(open: string, before: string) {
    if (this.way !== 'keyboard') return this.tap(this.page.getByRole('tab', { name: before }))
    await this.reach(this.page.getByRole('tab', { name: open }))
    await this.keys('ArrowLeft', 'Enter')
  }
  button(name: string | RegExp) {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' })
  }
  /** A new job from what is broken, and the kind of the unit. */
  async begin(broken: string | RegExp, kind: string) {
    await this.page.goto('/')
    await this.tap(this.button('New job'))
    const dialog = this.page.getByRole('dialog', { name: 'New job' })
    await this.tap(dialog.getByRole('button', { name: broken }))
    await this.tap(dialog.getByRole('button', { name: kind, exact: true }))
  }
  /** A number on the open pad, and on to the next tap. */
  async number(value: string) {
    if (this.way !== 'touch') return this.keys(...value, 'Enter')
    this.actions += 1
    for (const digit of value) await this.page.getByRole('button', { name: digit, exact: true }).tap()
    await this.tap(this.button('Next'))
  }
}

const readings = async (page: Page): Promise<string[]> => {
  const [job] = (await storedJobs(page)) as {
    readingSets: { readings: Record<string, { value: number }> }[]
  }[]
  return Object.values(job?.readingSets[0]?.readings ?? {})
    .map(({ value }) => String(value))
    .sort()
}

/** The suspect that leads, on a laptop beside the work, on a phone on its bar. */
async function expectLeader(page: Page, way: Way, label: RegExp) {
  if (way === 'touch') await expect(page.getByRole('button', { name: label }).first()).toBeVisible()
  else await expect(page.locator('[data-suspect]').first()).toContainText(label)
}

/** Readings of an orifice unit that is restricted, and of a walk-in cooler that lost charge, in the order of their taps. */
const CIRCUITS = [
  {
    name: 'a comfort unit',
    kind: 'Split air conditioner',
    refrigerant: 'R-22',
    metering: 'Fixed orifice',
    values: ['43', '300', '76', '94', '100'],
    leader: /plugged|restriction/i,
  },
  {
    name: 'a box',
    kind: 'Walk-in cooler',
    refrigerant: 'R-404A',
    metering: 'Expansion valve',
    values: ['28', '165', '48', '84', '80', '46'],
    leader: /charge/i,
  },
] as const

async function diagnoseCircuit(
  page: Page,
  way: Way,
  { kind, refrigerant, metering, values, leader }: (typeof CIRCUITS)[number],
) {
  const hand = new Hand(page, way)
  await hand.begin(/^Does not cool/, kind)
  await hand.tap(page.locator('[data-tap=suctionPressure]').first())
  // asked where the first pressure needs it, never presumed
  await hand.tap(hand.button(refrigerant).first())
  await hand.tap(hand.button(metering).first())
  for (const value of values) await hand.number(value)
  if (way === 'touch') await hand.tap(hand.button(/Done/))
  await expect.poll(() => readings(page)).toEqual([...values].sort())
  await expectLeader(page, way, leader)
  expect(hand.actions).toBeLessThanOrEqual(MOST_ACTIONS)
  if (way !== 'keyboard') return
  await page.keyboard.press('Escape')
  await expect(page.locator('#pad-display')).toBeHidden()
}

async function diagnoseBench(page: Page, way: Way) {
  const hand = new Hand(page, way)
  await hand.begin(/^Does not run/, 'Split air conditioner')
  // the first pair by its two points; the next pair opens on its own
  await hand.tap(hand.button('Terminal common'))
  await hand.tap(hand.button('Terminal run'))
  await hand.tap(hand.button(/^Open:/))
  await expect(page.getByRole('textbox', { name: /common to start/ })).toBeVisible()
  await hand.tap(hand.button(/^Open:/))
  await expect(page.getByRole('textbox', { name: /run to start/ })).toBeVisible()
  await hand.number('5')
  await hand.tap(
    page.getByRole('group', { name: 'Compressor shell' }).last().getByRole('button', { name: 'cold' }),
  )
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(/common|overload/i)
  await hand.toTab('Electrical bench', 'Suspects')
  await expect(page.getByRole('group', { name: 'Suspect' }).getByRole('button').first()).toContainText(
    /winding|overload/i,
  )
  expect(hand.actions).toBeLessThanOrEqual(MOST_ACTIONS)
}

for (const way of ['mouse', 'keyboard', 'touch'] as const) {
  test.describe(way, () => {
    test.use(way === 'touch' ? { viewport: PHONE, hasTouch: true, isMobile: true } : {})
    for (const circuit of CIRCUITS)
      test(`a first diagnosis from a cold start: ${circuit.name}`, ({ page }) =>
        diagnoseCircuit(page, way, circuit))
    test('a first diagnosis from a cold start: a unit that does not run', ({ page }) =>
      diagnoseBench(page, way))
  })
}
