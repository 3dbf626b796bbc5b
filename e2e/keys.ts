import { expect, type Locator } from './test'
import { Typist } from './typist'

/** So many stops of the keyboard a page has at most. */
const MOST_STOPS = 260

/** The same hand without a pointer: everything is reached by Tab and arrows. */
export class KeyTypist extends Typist {
  stops = 0
  override async tap(target: Locator) {
    this.taps += 1
    await target.first().waitFor()
    const [role, type] = await target.evaluate((each) => [
      each.getAttribute('role'),
      each.getAttribute('type'),
    ])
    if (role === 'tab') return this.toTab(target)
    await this.reach(target)
    await this.page.keyboard.press(type === 'checkbox' ? 'Space' : 'Enter')
  }
  override async fill(target: Locator, text: string) {
    await this.reach(target)
    await this.page.keyboard.press('ControlOrMeta+a')
    await this.page.keyboard.type(text)
    await expect(target).toHaveValue(text)
  }
  override async goTo(stage: string) {
    const link = this.page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('link', { name: new RegExp(`^${stage}`) })
    await this.tap(link)
    await expect(this.page).toHaveURL(new RegExp(`/${stage.toLowerCase()}(\\?|$)`))
  }
  /** Of tabs one is a stop; arrows go to the others. */
  private async toTab(target: Locator) {
    await this.reach(
      this.page.getByRole('tablist').filter({ has: target }).locator('[role=tab][tabindex="0"]'),
    )
    for (let i = 0; i < 8 && !(await this.hasFocus(target)); i += 1)
      await this.page.keyboard.press('ArrowRight')
    await this.page.keyboard.press('Enter')
    await expect(target).toHaveAttribute('aria-selected', 'true')
  }
  private hasFocus = (target: Locator) => target.evaluate((each) => each === document.activeElement)
  /** Tab until it has the focus, which must then be seen. */
  private async reach(target: Locator) {
    await expect(target).toBeEnabled()
    for (let i = 0; i < MOST_STOPS; i += 1) {
      if (await this.hasFocus(target)) return
      await this.page.keyboard.press('Tab')
      this.stops += 1
    }
    throw new Error(`the keyboard does not reach ${target.toString()}`)
  }
}
