import type { Locator, Page } from './test'
import { goTo as byRail } from './helpers'

/** Does what a person without radio instruments does, and counts it: every tap, every group of keys that is typed. */
export class Hand {
  taps = 0
  groups = 0
  /** groups of keys of the looks at a log: they are counted apart */
  looks = 0
  constructor(readonly page: Page) {}
  async tap(target: Locator) {
    this.taps += 1
    await target.click()
  }
  async type(target: Locator, text: string) {
    this.groups += 1
    await this.fill(target, text)
  }
  async fill(target: Locator, text: string) {
    await target.fill(text)
  }
  /** To a stage by the rail: a tap as any other. */
  async goTo(stage: string) {
    this.taps += 1
    await byRail(this.page, stage)
  }
  button(name: string | RegExp) {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' })
  }
  get step() {
    return this.page.getByRole('article')
  }
  /** A new job from what is broken, and the kind of the unit. */
  async begin(broken: RegExp, kind: string) {
    await this.page.goto('/')
    await this.tap(this.button('New job'))
    const dialog = this.page.getByRole('dialog', { name: 'New job' })
    await this.tap(dialog.getByRole('button', { name: broken }))
    await this.tap(dialog.getByRole('button', { name: kind, exact: true }))
  }
}
