// Reads the words of a PDF, page after page, with the size of each page in points.
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/**
 * @param {Uint8Array} bytes
 * @returns {Promise<{ text: string, width: number, height: number }[]>}
 */
export async function pdfPages(bytes) {
  const document = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 })
    .promise
  const pages = []
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number)
    const { items } = await page.getTextContent()
    const { width, height } = page.getViewport({ scale: 1 })
    // each run of letters is an item; a line that ends is a blank
    const text = items.map((item) => `${item.str}${item.hasEOL ? ' ' : ''}`).join('')
    pages.push({ text: text.replace(/\s+/g, ' ').trim(), width, height })
  }
  await document.destroy()
  return pages
}
