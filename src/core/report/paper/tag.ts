import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { PAPER } from '../../drawing/svg'
import type { Tag } from '../tag'
import { breakable } from './breakable'
import { tagCode } from './tagCode'

const MILLIMETRE = 72 / 25.4
/** mm */
const SIZE = { width: 100, height: 60 } as const
const EDGE = 9
const CODE = 104
const GAP = 6

const lineOf = ({ name, value, note }: Tag['lines'][number]): Content => ({
  text: [
    { text: `${name}  `, color: PAPER.quiet },
    { text: breakable([value, note].filter(Boolean).join(' ')), bold: true },
  ],
  margin: [0, 0, 0, 1],
})

/** So that long tags stay on their one page: lines, and how long they are, set the size of the type. */
function sizeOf({ lines }: Tag): number {
  const letters = lines.reduce(
    (sum, { name, value, note = '' }) => sum + Math.ceil((name.length + value.length + note.length + 3) / 34),
    0,
  )
  return letters > 20 ? 4 : letters > 16 ? 4.6 : letters > 12 ? 5.6 : 7
}

function tagPage(tag: Tag): Content {
  const code = tagCode(tag)
  return {
    columns: [
      {
        width: SIZE.width * MILLIMETRE - 2 * EDGE - CODE - GAP,
        stack: [
          { text: breakable(tag.title), bold: true, fontSize: 9, margin: [0, 0, 0, 3] },
          ...tag.lines.map(lineOf),
        ],
        fontSize: sizeOf(tag),
      },
      { width: CODE, stack: [{ qr: code.text, fit: CODE, eccLevel: code.correction, alignment: 'right' }] },
    ],
    columnGap: GAP,
  }
}

/** What goes over the old plate and on each port after a conversion. */
function labels({ converted, lines }: Tag): Content[] {
  if (!converted) return []
  const { from, to } = converted
  const told = (name: string) => lines.filter((line) => line.name === name).map(lineOf)
  const plate: Content = {
    pageBreak: 'before',
    stack: [
      { text: 'Converted: label over the old plate', fontSize: 7, color: PAPER.quiet },
      { text: `This unit holds ${to}`, fontSize: 17, bold: true, margin: [0, 6, 0, 2] },
      { text: `no longer ${from}`, fontSize: 12, margin: [0, 0, 0, 6] },
      ...told('Charge'),
      ...told('Oil'),
      ...told('Date'),
    ],
    fontSize: 8,
  }
  const port = (side: string): Content => ({
    pageBreak: 'before',
    stack: [
      { text: `Label for the port, ${side}`, fontSize: 7, color: PAPER.quiet },
      { text: to, fontSize: 34, bold: true, alignment: 'center', margin: [0, 22, 0, 2] },
      { text: side, fontSize: 12, alignment: 'center' },
    ],
  })
  return [plate, port('low side'), port('high side')]
}

/** The panel tag, 100 x 60 mm, and after a conversion the labels, a page each. */
export const tagPaper = (tag: Tag): Pick<TDocumentDefinitions, 'content' | 'pageSize' | 'pageMargins'> => ({
  pageSize: { width: SIZE.width * MILLIMETRE, height: SIZE.height * MILLIMETRE },
  pageMargins: [EDGE, EDGE, EDGE, EDGE],
  content: [tagPage(tag), ...labels(tag)],
})
