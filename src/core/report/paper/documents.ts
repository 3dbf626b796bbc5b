import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { slugOf } from '../../base/units/slug'
import type { PlotModel } from '../../drawing/plotSvg'
import { FACE, PAPER } from '../../drawing/svg'
import type { JobReport } from '../jobReport'
import { ownerPaper, type PaperLook } from './owner'
import { MARGIN } from './parts'
import { tagPaper } from './tag'
import { technicalPaper } from './technical'

/** What can be had on paper. */
export const PAPERS = ['owner', 'technical', 'tag'] as const
export type PaperName = (typeof PAPERS)[number]
export const PAPER_TITLES: Readonly<Record<PaperName, string>> = {
  owner: 'Owner’s report',
  technical: 'Technical report',
  tag: 'Panel tag',
}

/** "spectrograph-room-split-owner.pdf" */
export const paperFile = (title: string, paper: PaperName): string => `${slugOf(title, 60) || 'job'}-${paper}.pdf`

const base = (report: JobReport, paper: PaperName) => ({
  info: { title: `${report.title}: ${PAPER_TITLES[paper].toLowerCase()}` },
  defaultStyle: { font: FACE, fontSize: 9, color: PAPER.ink, lineHeight: 1.12 },
})

const sheetOf = (report: JobReport, paper: PaperName, { sheet }: PaperLook) => ({
  pageSize: sheet === 'a4' ? ('A4' as const) : ('LETTER' as const),
  pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 6] as [number, number, number, number],
  footer: (page: number, pages: number) => ({
    text: `${report.title} · ${PAPER_TITLES[paper]} · page ${page} of ${pages}`,
    fontSize: 7.5,
    color: PAPER.quiet,
    alignment: 'center' as const,
    margin: [0, 14, 0, 0] as [number, number, number, number],
  }),
  // a heading never stands alone at the foot of a page
  pageBreakBefore: (node: { headlineLevel?: number | undefined }, nodes: { getFollowingNodesOnPage: () => unknown[] }) =>
    node.headlineLevel === 1 && nodes.getFollowingNodesOnPage().length === 0,
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
  if (paper === 'tag') {
    const last = report.rounds.at(-1) as JobReport['rounds'][number]
    return { ...base(report, paper), ...tagPaper(last.tag) }
  }
  const content = paper === 'owner' ? ownerPaper(report, look) : technicalPaper(report, plots, look)
  return { ...base(report, paper), ...sheetOf(report, paper, look), content } as TDocumentDefinitions
}
