import { expect, type Locator } from './test'
import { Hand } from './hand'

/** A person without radio instruments, at the pad, the logs and the steps. */
export class Typist extends Hand {
  /** bar, kg and C are typed in place of psig, lb and F */
  isMetric = false
  /** Readings one after the other, each from the keyboard: the pad leads on on its own. */
  async readings(first: string, values: readonly string[]) {
    await this.tap(this.page.locator(`[data-tap=${first}]`).first())
    for (const value of values) {
      this.groups += 1
      await this.page.keyboard.type(value)
      await this.page.keyboard.press('Enter')
    }
    await this.page.keyboard.press('Escape')
  }
  /** One look at the instruments of the log that is open. */
  async look(when: string, figures: Readonly<Record<string, string>>) {
    const form = this.page.getByRole('form', { name: 'Type a look' })
    if (when !== '') await this.lookAt(this.page.getByLabel('When, if not now'), when)
    for (const [label, figure] of Object.entries(figures))
      await this.lookAt(form.getByLabel(label), typedAs(this, label, figure))
    await this.tap(form.getByRole('button', { name: /Write down|It is right/ }))
    await expect(form.getByLabel(Object.keys(figures)[0]!)).toHaveValue('')
  }
  private async lookAt(target: Locator, text: string) {
    this.looks += 1
    await this.fill(target, text)
  }
  async mark(name: string, when = '') {
    if (when !== '') await this.lookAt(this.page.getByLabel('When, if not now'), when)
    await this.tap(this.button(name))
  }
  async beginStep(id: string) {
    await expect(this.step).toHaveAttribute('data-step', id)
    await this.tap(this.button('Start'))
    await expect(this.step).toHaveAttribute('data-state', 'hands')
  }
  async beginLog() {
    await this.tap(this.button('Log by hand').or(this.button('New log by hand')))
  }
  async endLog() {
    await this.tap(this.button('■ End the log'))
  }
  /** The large button of a step: its log is ended with it. */
  async done(id: string) {
    await this.tap(this.button(/^Done(, next| already)?$/))
    await expect(this.step).not.toHaveAttribute('data-step', id)
  }
  /** The step to which the sheet leads. */
  async at(id: string) {
    await expect(this.step).toHaveAttribute('data-step', id)
  }
}

const P = 'Pressure in the circuit'
const SCALE = 'Cylinder on the scale'
const NITROGEN = 'Nitrogen in the circuit'
const PIPE = 'Pipe where the gas is'
const VACUUM = 'Vacuum at the system, far from the pump'
export const SPACE = 'Space, or what the unit works on'

/** A figure in the units that the hand types in. */
const METRIC = {
  [P]: (psi: number) => psi / 14.5038,
  [NITROGEN]: (psi: number) => psi / 14.5038,
  [SCALE]: (lb: number) => lb * 0.45359237,
  [PIPE]: (f: number) => (f - 32) / 1.8,
  [SPACE]: (f: number) => (f - 32) / 1.8,
} as Readonly<Record<string, (us: number) => number>>
const typedAs = (hand: Typist, label: string, figure: string) => {
  const metric = hand.isMetric ? METRIC[label] : undefined
  return metric ? metric(Number(figure)).toFixed(3) : figure
}

export const verdict = (hand: Typist) => hand.page.locator('[data-verdict]').first()
export const opens = (hand: Typist) => expect(verdict(hand)).toHaveAttribute('data-opens', 'true')
export const figure = (hand: Typist, name: string) => hand.page.locator(`[data-figure="${name}"]`)

async function recovery(hand: Typist, id: string) {
  await hand.at(id)
  await hand.beginLog()
  await hand.look('14 min ago', { [P]: '120', [SCALE]: '20' })
  await hand.look('7 min ago', { [P]: '0', [SCALE]: '27.2' })
  await hand.mark('Machine stopped', '7 min ago')
  await hand.look('', { [P]: '0', [SCALE]: '27.2' })
  await hand.done(id)
}

/** A hold of forty minutes at a pressure, and what is left of it now. */
export async function hold(hand: Typist, from: number, to: number) {
  await hand.beginLog()
  await hand.look('40 min ago', { [NITROGEN]: String(from), [PIPE]: '75' })
  await hand.mark('Regulator shut, clock on', '40 min ago')
  await hand.look('', { [NITROGEN]: String(to), [PIPE]: '75' })
  await hand.endLog()
}
const bubbled = (hand: Typist) => hand.tap(hand.page.getByRole('checkbox', { name: /bubbled/ }))

/** Of each job: pressure of its test, what goes in, what is done otherwise. */
export type Way = {
  readonly test: number
  readonly charge: number | undefined
  /** a step that this job does in its own manner */
  readonly own?: Readonly<Record<string, (hand: Typist) => Promise<void>>>
}

async function pressureTest(hand: Typist, { test: psig }: Way) {
  await hand.at('pressureTest')
  await hold(hand, psig, psig)
  await bubbled(hand)
  await opens(hand)
  await hand.done('pressureTest')
}

async function evacuate(hand: Typist, id: string) {
  await hand.at(id)
  await hand.beginLog()
  await hand.look('30 min ago', { [VACUUM]: '20000' })
  await hand.look('1 min ago', { [VACUUM]: '320' })
  await hand.look('', { [VACUUM]: '300' })
  await hand.done(id)
}

async function threePulls(hand: Typist, id: string) {
  await hand.at(id)
  await hand.beginLog()
  await hand.look('3 h ago', { [VACUUM]: '20000' })
  await hand.look('2 h ago', { [VACUUM]: '1800' })
  await hand.mark('Sweep with nitrogen', '115 min ago')
  await hand.look('70 min ago', { [VACUUM]: '1700' })
  await hand.mark('Sweep with nitrogen', '65 min ago')
  await hand.look('1 min ago', { [VACUUM]: '260' })
  await hand.look('', { [VACUUM]: '240' })
  await hand.endLog()
  await expect(hand.step).toContainText('3 pulls, broken 2 times')
  await hand.done(id)
}

async function decay(hand: Typist) {
  await hand.at('decayTest')
  await hand.beginLog()
  await hand.mark('Valve shut, watch', '16 min ago')
  await hand.look('16 min ago', { [VACUUM]: '300' })
  await hand.look('8 min ago', { [VACUUM]: '330' })
  await hand.look('', { [VACUUM]: '345' })
  await hand.done('decayTest')
}

async function weighIn(hand: Typist, id: string, { charge }: Way) {
  await hand.at(id)
  await hand.beginLog()
  await hand.look('10 min ago', { [SCALE]: '30' })
  await hand.look('', { [SCALE]: String(30 - (charge ?? 5)) })
  await hand.done(id)
}

async function firstStart(hand: Typist) {
  const list = hand.page.getByRole('region', { name: 'First start' })
  for (const box of await list.getByRole('checkbox').all()) if (!(await box.isChecked())) await hand.tap(box)
  await hand.tap(hand.button(/^Done(, next| already)$/))
}

/** What each kind of step asks for beyond a tap. */
function byHand(hand: Typist, id: string, way: Way): Promise<void> | undefined {
  if (way.own?.[id]) return way.own[id](hand)
  if (id.startsWith('recover')) return recovery(hand, id)
  if (id === 'pressureTest') return pressureTest(hand, way)
  if (id === 'evacuateWet' || id === 'evacuateTriple') return threePulls(hand, id)
  if (id.startsWith('evacuate')) return evacuate(hand, id)
  if (id === 'decayTest') return decay(hand)
  if (id === 'weighIn' || id === 'letIn') return weighIn(hand, id, way)
  if (id === 'unlock') return firstStart(hand)
  return undefined
}

/** Goes on as the sheet leads, until a step comes up. @returns the steps that were done */
export async function walk(hand: Typist, way: Way, until: string): Promise<string[]> {
  const gone: string[] = []
  for (;;) {
    const id = (await hand.step.getAttribute('data-step'))!
    if (id === until) return gone
    gone.push(id)
    if (gone.length > 60) throw new Error(`a dead end: ${gone.slice(-5).join()}`)
    await (byHand(hand, id, way) ?? hand.tap(hand.button(/^Done(, next| already)?$/)))
    await expect(hand.step).not.toHaveAttribute('data-step', id)
  }
}

type Start = {
  readonly broken: RegExp
  readonly kind: string
  readonly refrigerant: string
  readonly values: readonly string[]
  readonly suspect: RegExp
}

/** From the call to a plan that the owner agreed to. */
export async function toThePlan(
  hand: Typist,
  { broken, kind, refrigerant, values, suspect }: Start,
  more = async () => {},
) {
  const { page } = hand
  await hand.begin(broken, kind)
  await hand.tap(page.locator('[data-tap=suctionPressure]').first())
  await hand.tap(hand.button(refrigerant).first())
  await hand.tap(hand.button('Expansion valve').first())
  for (const value of values) {
    hand.groups += 1
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await page.keyboard.press('Escape')
  await more()
  await hand.goTo('Diagnose')
  await hand.tap(page.getByRole('button', { name: suspect }).first())
  await hand.type(page.getByLabel('Why without full proof'), 'Seen with the part in hand')
  await hand.tap(hand.button('Repair this'))
  await hand.tap(page.getByRole('link', { name: 'To the plan' }))
}
export async function agreed(hand: Typist) {
  const { page } = hand
  await hand.tap(page.getByRole('tab', { name: 'Parts' }))
  await hand.tap(hand.button('The quote is asked for'))
  await hand.tap(page.getByRole('group', { name: 'Answer' }).getByRole('button', { name: 'agreed' }))
  await hand.goTo('Work')
  await expect(hand.step).toBeVisible()
}
export const COMFORT: Start = {
  broken: /^Does not cool/,
  kind: 'Split air conditioner',
  refrigerant: 'R-410A',
  values: ['88', '350', '66', '86'],
  suspect: /^Expansion valve (underfeeding|underfeeds|starves)/,
}

/** What came off is back on. */
export async function allBackOn(hand: Typist) {
  await hand.tap(hand.page.getByRole('tab', { name: 'Taken off' }))
  await hand.tap(hand.button(/^All \d+ back on$/))
  await hand.tap(hand.page.getByRole('tab', { name: 'Step', exact: true }))
}
/** Settled: a set that runs, what came off back on where something did, and the end. */
export async function proveAndClose(hand: Typist, way: Way, cameOff = true) {
  const { page } = hand
  await hand.tap(hand.button(/^(Take readings after the start|Another set of readings)$/))
  await expect(page).toHaveURL(/\/measure(\?|$)/)
  const after = hand.isMetric ? ['8.62', '22.8', '12.8', '35'] : ['125', '330', '55', '95']
  await hand.readings('suctionPressure', after)
  await hand.goTo('Work')
  await expect(hand.step).toBeVisible()
  if ((await hand.step.getAttribute('data-step')) === 'settle') await hand.done('settle')
  await walk(hand, way, 'closeUp')
  if (cameOff) await allBackOn(hand)
}
export async function close(hand: Typist) {
  await hand.tap(hand.button(/^Done( already)?$/))
  await expect(hand.page.getByText('Every step is over.')).toBeVisible()
}
export const print = (hand: Typist, name: string) =>
  process.stdout.write(`${name}: ${hand.taps} taps, ${hand.groups} typed groups, ${hand.looks} in logs\n`)
