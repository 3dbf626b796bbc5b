import type { Content } from 'pdfmake/interfaces'
import type { Sheet } from '../../base/units/sheets'
import type { Display } from '../../base/units/show'
import { PAPER } from '../../drawing/svg'
import type { JobReport } from '../jobReport'
import type { RoundReport } from '../roundReport'
import { heading, laddersPart, quiet, sectionPart, title, together } from './parts'

export type PaperLook = { readonly sheet: Sheet; readonly display: Display }

/** How it stands, in a frame. */
export const outcomePart = ({ outcomeText, outcome }: RoundReport): Content => ({
  table: {
    widths: ['*'],
    body: [
      [
        {
          text: `${{ proven: '●', 'not-proven-today': '△', open: '△' }[outcome]} ${outcomeText}.`,
          bold: true,
          fontSize: 10.5,
        },
      ],
    ],
  },
  layout: {
    hLineColor: () => PAPER.copper,
    vLineColor: () => PAPER.copper,
    paddingLeft: () => 8,
    paddingRight: () => 8,
    paddingTop: () => 5,
    paddingBottom: () => 5,
  },
  margin: [0, 6, 0, 2],
})

function roundPart(round: RoundReport, { sheet, display }: PaperLook): Content[] {
  const pair = round.pairs[0]
  return [
    ...(round.name ? [heading(round.name)] : []),
    outcomePart(round),
    ...round.owner.flatMap(sectionPart),
    ...(pair
      ? [
          together(
            heading(pair.title),
            quiet(
              `${pair.conditions}. The gaps between the lines are judged; a shaded band shows where one belongs.`,
            ),
            laddersPart(pair, sheet, display),
          ),
        ]
      : [quiet(round.noPair ?? '')]),
  ]
}

/** The owner's report: what was wrong, done, what it cost in refrigerant, what to watch, the two ladders. */
export const ownerPaper = (report: JobReport, look: PaperLook): Content[] => [
  title(report.title),
  quiet(report.unitLine),
  ...report.rounds.flatMap((round) => roundPart(round, look)),
]
