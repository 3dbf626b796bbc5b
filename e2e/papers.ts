import { readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { pdfPages } from '../tools/run/pdfText.mjs'
import { rawWords } from '../tools/run/reportWords'
import { goTo } from './helpers'
import { expect, type Page } from './test'

type Paper = {
  readonly file: string
  readonly pages: readonly { readonly text: string; readonly width: number; readonly height: number }[]
  /** the words of all pages */
  readonly text: string
}

const TITLES = { owner: 'Owner’s report', technical: 'Technical report', tag: 'Panel tag' } as const
export type PaperName = keyof typeof TITLES

/** One paper, asked for on Close by its button, read back from its bytes. */
export async function paperOf(page: Page, name: PaperName): Promise<Paper> {
  const button = page.getByRole('button', { name: `${TITLES[name]}, PDF` })
  await expect(button).toBeEnabled()
  const coming = page.waitForEvent('download')
  await button.click()
  const download = await coming
  const bytes = await readFile(await download.path())
  const file = download.suggestedFilename()
  // to be looked at by eye, page by page
  if (process.env.PAPERS_FOLDER) await writeFile(path.join(process.env.PAPERS_FOLDER, file), bytes)
  const pages = await pdfPages(bytes)
  return { file, pages, text: pages.map(({ text }) => text).join(' ') }
}

/** All papers of the job that is open, each looked over for what never stands in one. */
export async function papersOf(page: Page): Promise<Record<PaperName, Paper>> {
  await goTo(page, 'Close')
  const papers = {
    owner: await paperOf(page, 'owner'),
    technical: await paperOf(page, 'technical'),
    tag: await paperOf(page, 'tag'),
  }
  for (const { file, pages, text } of Object.values(papers)) {
    expect(file).toMatch(/^[a-z0-9-]+-(owner|technical|tag)\.pdf$/)
    expect(rawWords(text)).toEqual([])
    for (const each of pages) expect(each.text.length).toBeGreaterThan(10)
  }
  expect(papers.owner.pages.length).toBeLessThanOrEqual(2)
  expect(papers.tag.pages[0]!.width).toBeCloseTo(283.46, 0)
  expect(papers.tag.pages[0]!.height).toBeCloseTo(170.08, 0)
  expect(papers.technical.text).toContain('Orzo defers to local codes')
  return papers
}

/** The papers of a job that is chosen as proven at its end. */
export async function provenPapers(page: Page): Promise<Record<PaperName, Paper>> {
  await goTo(page, 'Close')
  await page.getByRole('button', { name: 'proven', exact: true }).click()
  await expect(page.locator('[data-close-point="proven"]')).toHaveCount(0)
  return papersOf(page)
}
