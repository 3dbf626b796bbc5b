import { test as base, expect, type Page } from '@playwright/test'

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

/** What a page or its workers did against the policy, and what was asked of another host. */
export function offences(page: Page, own: string): string[] {
  const found: string[] = []
  page.context().on('console', (message) => {
    if (/content security policy/i.test(message.text())) found.push(message.text())
  })
  // what the browser says of a worker does not come to the page: the worker says it itself
  page.on('worker', (worker) => {
    const listen = () =>
      self.addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
        // eslint-disable-next-line no-console -- it is heard below, as what the browser says of the page
        console.error(`Content Security Policy in a worker: ${violatedDirective} ${blockedURI}`),
      )
    // one that ended at once did nothing
    worker.evaluate(listen).catch(() => undefined)
  })
  page.context().on('request', (request) => {
    const { protocol, origin } = new URL(request.url())
    if (protocol.startsWith('http') && origin !== own) found.push(`asked ${origin}`)
  })
  return found
}

export const test = base.extend({
  page: async ({ page, baseURL }, provide) => {
    const found = offences(page, new URL(baseURL ?? '').origin)
    await provide(ofShownStage(page))
    expect(found).toEqual([])
  },
})
