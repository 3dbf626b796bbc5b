import type { Content, TableCell } from 'pdfmake/interfaces'
import type { Sheet } from '../../base/units/sheets'
import { chance } from '../../base/units/chance'
import { ladderModel } from '../../drawing/ladderModel'
import { kelvinsOf } from '../../drawing/ladderPlaces'
import { ladderSvg } from '../../drawing/ladderSvg'
import { PAPER } from '../../drawing/svg'
import type { Display } from '../../base/units/show'
import type { Verdict } from '../../diagnosis/evidence/sentence'
import type { ReportLine, ReportSection } from '../line'
import type { PairReport } from '../roundReport'
import { breakable } from './breakable'

/** Points of 1/72 in. */
export const MARGIN = 40
const WIDTHS: Readonly<Record<Sheet, number>> = { letter: 612, a4: 595.28 }
/** Room between the margins, points. */
export const roomOf = (sheet: Sheet): number => WIDTHS[sheet] - 2 * MARGIN

export const title = (text: string): Content => ({
  text: breakable(text),
  fontSize: 16,
  bold: true,
  margin: [0, 0, 0, 2],
})
export const heading = (text: string): Content => ({
  text,
  fontSize: 11.5,
  bold: true,
  color: PAPER.copper,
  margin: [0, 10, 0, 3],
})
export const quiet = (text: string): Content => ({ text, color: PAPER.quiet, fontSize: 8.5 })

const NONE = {
  hLineWidth: () => 0,
  vLineWidth: () => 0,
  paddingLeft: () => 0,
  paddingRight: () => 8,
  paddingTop: () => 1,
  paddingBottom: () => 1.5,
}
const HAIRLINES = {
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
  vLineWidth: () => 0,
  hLineColor: () => PAPER.hairline,
  paddingTop: () => 2,
  paddingBottom: () => 2,
}

/** What a line says; a guess carries its mark and what it rests on. */
function valueCell({ value, note, assumed }: ReportLine): TableCell {
  const said = breakable([value, note].filter(Boolean).join(' '))
  if (!assumed) return { text: said }
  return { text: [said, { text: `  △ assumed: ${assumed}`, color: PAPER.copper, fontSize: 8 }] }
}

const row = (line: ReportLine): TableCell[] => [{ text: line.name, color: PAPER.quiet }, valueCell(line)]

/** Parts that stay on one page: a heading never stands alone at its foot. */
export const together = (...stack: Content[]): Content => ({ stack, unbreakable: true })

const tableOf = (lines: readonly ReportLine[]): Content => ({
  table: { widths: [130, '*'], body: lines.map(row), dontBreakRows: true },
  layout: NONE,
})

/** So many lines stay with their heading; the others may go on to the next page. */
const HEAD_LINES = 3

/** A heading with its lines. */
export const sectionPart = ({ title: name, lines }: ReportSection): Content[] => [
  together(heading(name), tableOf(lines.slice(0, HEAD_LINES))),
  ...(lines.length > HEAD_LINES ? [tableOf(lines.slice(HEAD_LINES))] : []),
]

/** The same in two columns of lines, for many short figures. */
export function narrowSection({ title: name, lines }: ReportSection): Content[] {
  const half = Math.ceil(lines.length / 2)
  const column = (part: readonly ReportLine[]): Content =>
    part.length === 0
      ? { text: '' }
      : { table: { widths: [105, '*'], body: part.map(row), dontBreakRows: true }, layout: NONE, fontSize: 8 }
  return [
    together(heading(name), {
      columns: [column(lines.slice(0, half)), column(lines.slice(half))],
      columnGap: 12,
    }),
  ]
}

const MARKS: Readonly<Record<Verdict, string>> = { 'in band': '●', above: '△', below: '▽' }

/** Two sets side by side, as the table of the screen. */
export function comparisonPart({ comparison }: Pick<PairReport, 'comparison'>): Content {
  const { headings, rows, leaders } = comparison
  const several = headings.length > 1
  const right = (text: string, bold = false): TableCell => ({ text, alignment: 'right', bold })
  const head: TableCell[] = ['Reading', ...headings, ...(several ? ['Change'] : []), 'Target'].map(
    (text, i) => ({
      text,
      alignment: i === 0 ? 'left' : 'right',
      color: PAPER.quiet,
    }),
  )
  const body = rows.map(({ label, cells, change, target }): TableCell[] => [
    { text: label },
    ...cells.map((cell) => right(cell ? `${MARKS[cell.verdict]} ${cell.text}` : '–', true)),
    ...(several ? [right(change ?? '–')] : []),
    right(target),
  ])
  const last: TableCell[] = [
    { text: 'Leading suspect', bold: true },
    ...headings.map((_heading, i) => {
      const leader = leaders[i]
      return right(leader ? `${leader.label} ${chance(leader.probability)}` : '–')
    }),
    ...(several ? [right('')] : []),
    right(''),
  ]
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: ['*', ...headings.map(() => 'auto'), ...(several ? ['auto'] : []), 'auto'],
      body: [head, ...body, last],
    },
    layout: HAIRLINES,
    fontSize: 8.5,
  }
}

const LADDER_HEIGHT = 310
const LADDER_GAP = 12

/** The ladders of a pair on one scale, side by side. */
export function laddersPart(
  { comparison }: Pick<PairReport, 'comparison'>,
  sheet: Sheet,
  display: Display,
): Content {
  const models = comparison.pictures.map(ladderModel)
  const all = models.flatMap(kelvinsOf)
  const width = (roomOf(sheet) - LADDER_GAP) / 2
  const spansBeside = Math.max(...models.map(({ spans }) => spans.length))
  return {
    columns: models.map((model, i) => ({
      width,
      stack: [
        { text: comparison.headings[i] ?? '', bold: true, fontSize: 9 },
        {
          svg: ladderSvg(model, { width, height: LADDER_HEIGHT, display, alongside: all, spansBeside }),
          width,
        },
      ],
    })),
    columnGap: LADDER_GAP,
    unbreakable: true,
  }
}
