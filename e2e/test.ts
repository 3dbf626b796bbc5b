import { test as base, type Page } from '@playwright/test'

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

export const test = base.extend({
  page: async ({ page }, provide) => provide(ofShownStage(page)),
})
