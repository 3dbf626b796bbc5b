import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import type { PlotModel } from '../../drawing/plotSvg'
import { FACE, PAPER } from '../../drawing/svg'
import type { JobReport } from '../jobReport'
import { ownerPaper, type PaperLook } from './owner'
import { MARGIN } from './parts'
import { PAPER_TITLES, type PaperName } from './paperNames'
import { tagPaper } from './tag'
import { technicalPaper } from './technical'

const base = (report: JobReport, paper: PaperName) => ({
  info: { title: `${report.title}: ${PAPER_TITLES[paper].toLowerCase()}` },
  defaultStyle: { font: FACE, fontSize: 9, color: PAPER.ink, lineHeight: 1.12 },
})

const sheetOf = (report: JobReport, paper: PaperName, { sheet }: PaperLook) => ({
  pageSize: sheet === 'a4' ? ('A4' as const) : ('LETTER' as const),
  pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 6] as [number, number, number, number],
  footer: (page: number, pages: number) => ({
    stack: [
      { text: `${report.title} · ${PAPER_TITLES[paper]} · page ${page} of ${pages}`, fontSize: 7.5 },
      { text: report.disclaimer, fontSize: 6.5 },
    ],
    color: PAPER.quiet,
    alignment: 'center' as const,
    margin: [0, 12, 0, 0] as [number, number, number, number],
  }),
})

/**
 * A paper of a job, as pdfmake draws it.
 * @param plots of each repair, for the technical report
 */
export function paperOf(
  paper: PaperName,
  report: JobReport,
  plots: readonly (readonly PlotModel[])[],
  look: PaperLook,
): TDocumentDefinitions {
  if (paper === 'tag') return { ...base(report, paper), ...tagPaper(report.tag) }
  const content = paper === 'owner' ? ownerPaper(report, look) : technicalPaper(report, plots, look)
  return { ...base(report, paper), ...sheetOf(report, paper, look), content } as TDocumentDefinitions
}
