import { type BrowserContext, expect, type Page, test as base } from '@playwright/test'

export * from '@playwright/test'

/** Whatever is inside a stage that is not looked at: it stays in the document, out of sight. */
const OF_SHOWN_STAGE = ':not([style*="display: none"] *)'
const FINDERS = ['locator', 'getByLabel', 'getByText', 'getByPlaceholder', 'getByTitle'] as const

/** A page on which only what stands on the stage that is looked at is found, as by eye. */
function ofShownStage(page: Page): Page {
  const shown = page.locator(OF_SHOWN_STAGE)
  for (const name of FINDERS) {
    const find = page[name].bind(page) as (...what: unknown[]) => ReturnType<Page['locator']>
    Object.assign(page, { [name]: (...what: unknown[]) => find(...what).and(shown) })
  }
  return page
}

/** What pages of a context or their workers do against the policy, and what is asked of another host, written into a list. */
export function watch(context: BrowserContext, own: string, found: string[]): void {
  context.on('console', (message) => {
    if (/content security policy/i.test(message.text())) found.push(message.text())
  })
  // what the browser says of a worker does not come to the page: the worker says it itself
  context.on('page', (page) =>
    page.on('worker', (worker) => {
      const listen = () =>
        self.addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
          // eslint-disable-next-line no-console -- it is heard above, as what the browser says of the page
          console.error(`Content Security Policy in a worker: ${violatedDirective} ${blockedURI}`),
        )
      // one that ended at once did nothing
      worker.evaluate(listen).catch(() => undefined)
    }),
  )
  context.on('request', (request) => {
    const { protocol, origin } = new URL(request.url())
    if (protocol.startsWith('http') && origin !== own) found.push(`asked ${origin}`)
  })
}

export const test = base.extend({
  // a page of one's own, and each browser that a test opens beside it
  context: async ({ browser, context, baseURL }, provide) => {
    const own = new URL(baseURL ?? '').origin
    const found: string[] = []
    watch(context, own, found)
    const open = browser.newContext.bind(browser)
    browser.newContext = async (...how) => {
      const other = await open(...how)
      watch(other, own, found)
      return other
    }
    await provide(context)
    browser.newContext = open
    expect(found).toEqual([])
  },
  page: async ({ page }, provide) => provide(ofShownStage(page)),
})
