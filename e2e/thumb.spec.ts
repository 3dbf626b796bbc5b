import { expect, type Page, test } from './test'
import { expectNoSidewaysScroll, newJob, openWithDemo, PHONE, seriousFindings } from './helpers'
import { KeyTypist } from './keys'
import { agreed, close, COMFORT, proveAndClose, toThePlan, Typist, walk, type Way } from './typist'

const DOME = '/job/demo-dome'

test('the run sheet by keyboard only: logs, list of the first start, what came off, readings, the end', async ({
  page,
}) => {
  test.slow()
  test.setTimeout(400_000)
  const hand = new Typist(page)
  await toThePlan(hand, COMFORT)
  await agreed(hand)
  const keys = new KeyTypist(page)
  const way: Way = { test: 236, charge: undefined }
  await walk(keys, way, 'settle')
  await keys.beginStep('settle')
  await proveAndClose(keys, way)
  await close(keys)
  process.stdout.write(`run sheet by keyboard: ${keys.taps} acts, ${keys.stops} stops of Tab\n`)
})

test('one letter each: done and next, start, note, log, the step before and after; the list of keys says so', async ({
  page,
}) => {
  await newJob(page)
  const hand = new Typist(page)
  await toThePlan(hand, COMFORT)
  await agreed(hand)
  const step = page.getByRole('article')
  await expect(step).toHaveAttribute('data-step', 'setUp')
  await page.locator('body').press('n')
  await page.keyboard.type('x marks')
  await expect(page.getByLabel('Note to this step')).toHaveValue('x marks')
  await page.keyboard.press('Tab')
  await page.locator('body').press('s')
  await expect(step).toHaveAttribute('data-state', 'hands')
  // the focus went on to what comes next
  await expect(page.locator('[data-act=done]')).toBeFocused()
  await page.keyboard.press('s')
  await expect(step).toHaveAttribute('data-state', 'paused')
  await page.keyboard.press('x')
  await page.keyboard.press('x')
  await expect(step).not.toHaveAttribute('data-step', 'setUp')
  await expect(page.locator('#step-title')).toBeFocused()
  const second = (await step.getAttribute('data-step'))!
  await page.keyboard.press('j')
  await expect(step).not.toHaveAttribute('data-step', second)
  await page.keyboard.press('k')
  await expect(step).toHaveAttribute('data-step', second)
  await page.keyboard.press('Shift+?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('done, next')
})

test('the address says where one is: Back goes back one, reload stays, a link opens it, a job opens its stage', async ({
  page,
  context,
}) => {
  await openWithDemo(page)
  await page.goto(DOME)
  await expect(page).toHaveURL(/demo-dome\/work$/)
  await expect(page.getByRole('article')).toBeVisible()
  await page.getByRole('tab', { name: /^All steps/ }).click()
  await page.locator('li[data-step="weighIn"]').getByRole('button').click()
  await expect(page).toHaveURL(/work\?step=weighIn$/)
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Plan/ }).click()
  await page.getByRole('tab', { name: 'Day' }).click()
  await expect(page).toHaveURL(/plan\?view=day$/)
  await page.reload()
  await expect(page.getByRole('tab', { name: 'Day' })).toHaveAttribute('aria-selected', 'true')
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByRole('tab', { name: 'Day' })).toHaveAttribute('aria-selected', 'true')
  await page.goBack()
  await expect(page.getByRole('tab', { name: 'Clean-up' })).toHaveAttribute('aria-selected', 'true')
  await page.goBack()
  await expect(page.getByRole('article')).toHaveAttribute('data-step', 'weighIn')
  await page.goBack()
  await expect(page.getByRole('list', { name: 'Steps of the work' })).toBeVisible()
  await page.goForward()
  await expect(page.getByRole('article')).toHaveAttribute('data-step', 'weighIn')
})

test('nowhere is a dead end: a missing job, a wrong page, the report and the load-out list lead home', async ({
  page,
}) => {
  await openWithDemo(page)
  for (const path of [
    '/job/no-such/work',
    '/job/demo-dome/nonsense',
    '/no/such/page',
    `${DOME}/print`,
    `${DOME}/load-out`,
  ]) {
    await page.goto(path)
    await page.getByRole('link', { name: 'All jobs' }).click()
    await expect(page.getByRole('link', { name: /Control room/ })).toBeVisible()
  }
})

/** Buttons that a stage is there for, by what is on the screen before anything is scrolled. */
async function inFirstScreen(page: Page, selector: string): Promise<boolean> {
  const target = page.locator(selector).first()
  await target.waitFor()
  return target.evaluate((each) => {
    const bars =
      Number.parseFloat(getComputedStyle(document.documentElement).getPropertyValue('--orzo-bars')) || 0
    const { top, bottom } = each.getBoundingClientRect()
    return top >= 0 && bottom <= window.innerHeight - bars + 1
  })
}

test('on a phone the act of every step is in the first screen, and the next check, and a new job', async ({
  page,
}) => {
  test.slow()
  await page.setViewportSize(PHONE)
  await openWithDemo(page)
  await page.goto('/')
  expect(await inFirstScreen(page, 'button:has-text("New job")')).toBe(true)
  await page.goto(`${DOME}/work?view=all`)
  await page.locator('li[data-step]').first().waitFor()
  const ids = await page
    .locator('li[data-step]')
    .evaluateAll((all) => all.map((each) => each.getAttribute('data-step')!))
  expect(ids.length).toBeGreaterThan(20)
  for (const id of ids) {
    await page.goto(`${DOME}/work?step=${id}`)
    await expect(page.getByRole('article')).toHaveAttribute('data-step', id)
    expect([id, await inFirstScreen(page, '[data-step-bar] button')]).toEqual([id, true])
    await expectNoSidewaysScroll(page)
  }
  await page.goto('/job/demo-control-room/diagnose')
  expect(await inFirstScreen(page, '#checks-title')).toBe(true)
})

test('at 200 % the work, the plan and the day stand without scrolling sideways, the act in reach', async ({
  page,
}) => {
  // 1280 x 800 at twice the size
  await page.setViewportSize({ width: 640, height: 400 })
  await openWithDemo(page)
  await page.goto(`${DOME}/work`)
  await expect(page.locator('[data-step-bar] button').first()).toBeInViewport()
  await expectNoSidewaysScroll(page)
  for (const view of ['clean-up', 'refrigerant', 'parts', 'day']) {
    await page.goto(`${DOME}/plan?view=${view}`)
    await expect(page.getByRole('tab', { selected: true })).toBeVisible()
    await expectNoSidewaysScroll(page)
  }
  expect(await seriousFindings(page)).toEqual([])
})

test('one order: bars of the day, its list, the list of steps; a bar and its line light up together', async ({
  page,
}) => {
  await openWithDemo(page)
  await page.goto(`${DOME}/plan?view=day`)
  const bars = page.locator('[data-bar]')
  await bars.first().waitFor()
  await expect(page.getByText('before the last change')).toHaveCount(0)
  const drawn = await bars.evaluateAll((all) =>
    all.map(
      (each) => [Number.parseInt(each.getAttribute('aria-label')!), each.getAttribute('data-bar')!] as const,
    ),
  )
  const order = [...new Map(drawn.map(([number, id]) => [id, number] as const))]
    .sort((a, b) => a[1] - b[1])
    .map(([id]) => id)
  await bars.nth(2).hover()
  const pointed = page.locator('[data-pointed]')
  await expect(pointed).toContainText(/^\d+\. .*, \d\d:\d\d to \d\d:\d\d$/)
  await expect(page.locator('li[data-lit]')).toHaveCount(1)
  const number = (await pointed.textContent())!.split('.')[0]!
  await expect(page.locator('li[data-lit]')).toContainText(new RegExp(`^${number}\\. `))
  await page.goto(`${DOME}/work?view=all`)
  const steps = () =>
    page.locator('li[data-step]').evaluateAll((all) => all.map((each) => each.getAttribute('data-step')!))
  // a good order stands at once, the best one when its search is over
  await expect(async () => {
    const listed = await steps()
    expect(listed.length).toBeGreaterThan(20)
    expect(listed.filter((id) => order.includes(id))).toEqual(order.filter((id) => listed.includes(id)))
  }).toPass()
})

test('a stage stays as it was left: no dialog of it over another one, nothing stale after undo, each begins at its top', async ({
  page,
}) => {
  await openWithDemo(page)
  const stage = (name: RegExp) =>
    page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name }).click()
  await page.goto(`${DOME}/measure`)
  await page.getByRole('button', { name: 'Edit this set' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await stage(/^Arrive/)
  const complaint = page.getByLabel('Complaint')
  const before = await complaint.inputValue()
  await complaint.fill('No cooling since noon')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  // left by Back while the field has the focus, undone elsewhere
  await page.goBack()
  await expect(page.locator('[data-tap=suctionPressure]').first()).toBeVisible()
  await expect(complaint).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await stage(/^Arrive/)
  await expect(complaint).toHaveValue(before)
  const scrolled = await page.locator('main').evaluate((main) => {
    main.scrollTop = 400
    return main.scrollTop
  })
  expect(scrolled).toBeGreaterThan(100)
  await stage(/^Close/)
  await expect(page.locator('#files-title')).toBeVisible()
  expect(await page.locator('main').evaluate((main) => main.scrollTop)).toBe(0)
  // a dialog goes with its stage
  await stage(/^Measure/)
  await page.getByRole('button', { name: 'Edit this set' }).click()
  await expect(dialog).toBeVisible()
  await page.goBack()
  await expect(page.locator('#files-title')).toBeVisible()
  await expect(dialog).toBeHidden()
  await stage(/^Arrive/)
  await expect(complaint).toBeVisible()
})
