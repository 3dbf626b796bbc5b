import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { FACE } from '@/core/drawing/svg'

/** The bytes of the two faces that a report is set in. */
export type Faces = { readonly regular: Uint8Array; readonly bold: Uint8Array }

/** What of pdfmake is used; its own types describe another entry. */
type Maker = {
  readonly virtualfs: { writeFileSync: (name: string, content: Uint8Array) => void }
  readonly addFonts: (fonts: Record<string, Record<string, string>>) => void
  readonly createPdf: (document: TDocumentDefinitions) => { readonly getBuffer: () => Promise<Uint8Array> }
}

let maker: Promise<Maker> | undefined

/** The writer with its faces; fetched when the first paper is asked for. */
async function prepared(faces: () => Promise<Faces>): Promise<Maker> {
  const [loaded, { regular, bold }] = await Promise.all([import('pdfmake/build/pdfmake'), faces()])
  const made = ((loaded as { default?: unknown }).default ?? loaded) as unknown as Maker
  made.virtualfs.writeFileSync('regular.ttf', regular)
  made.virtualfs.writeFileSync('bold.ttf', bold)
  made.addFonts({
    [FACE]: { normal: 'regular.ttf', bold: 'bold.ttf', italics: 'regular.ttf', bolditalics: 'bold.ttf' },
  })
  return made
}

/** A document as the bytes of a PDF. @param faces fetched once */
export async function writePdf(
  document: TDocumentDefinitions,
  faces: () => Promise<Faces>,
): Promise<Uint8Array> {
  maker ??= prepared(faces)
  try {
    const bytes = await (await maker).createPdf(document).getBuffer()
    return new Uint8Array(bytes)
  } catch (error) {
    maker = undefined
    throw error
  }
}
