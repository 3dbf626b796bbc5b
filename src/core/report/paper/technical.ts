import type { Column, Content } from 'pdfmake/interfaces'
import { type PlotModel, plotSvg } from '../../drawing/plotSvg'
import type { JobReport } from '../jobReport'
import type { RoundReport } from '../roundReport'
import { outcomePart, type PaperLook } from './owner'
import {
  comparisonPart,
  heading,
  laddersPart,
  narrowSection,
  quiet,
  roomOf,
  sectionPart,
  title,
  together,
} from './parts'

const PLOT_HEIGHT = 150
const GAP = 12

/** Two drawings beside each other, each under its name. */
function plotRows(plots: readonly PlotModel[], room: number): Content[] {
  const width = (room - GAP) / 2
  const cell = (plot: PlotModel | undefined): Column =>
    plot
      ? {
          width,
          stack: [
            { text: plot.title, bold: true, fontSize: 9 },
            { svg: plotSvg(plot, { width, height: PLOT_HEIGHT }), width },
          ],
        }
      : { width, text: '' }
  return plots.flatMap((plot, i) =>
    i % 2 === 0
      ? [
          {
            columns: [cell(plot), cell(plots[i + 1])],
            columnGap: GAP,
            unbreakable: true,
            margin: [0, 3, 0, 3],
          },
        ]
      : [],
  )
}

const logsPart = ([first, ...rest]: readonly Content[]): Content[] =>
  first ? [together(heading('Logs of the work'), first), ...rest] : []

function roundPart(
  round: RoundReport,
  plots: readonly PlotModel[],
  { sheet, display }: PaperLook,
): Content[] {
  return [
    ...(round.name ? [heading(round.name)] : []),
    outcomePart(round),
    ...round.sections.flatMap(sectionPart),
    ...round.pairs.flatMap((pair): Content[] => [
      together(heading(pair.title), quiet(`${pair.conditions}.`), comparisonPart(pair)),
      laddersPart(pair, sheet, display),
    ]),
    ...(round.noPair ? [quiet(round.noPair)] : []),
    ...logsPart(plotRows(plots, roomOf(sheet))),
  ]
}

const readingsPart = ([first, ...rest]: readonly Content[]): Content[] =>
  first ? [together(heading('Readings as taken'), first), ...rest] : []

/** Everything that is on record. @param plots of each repair, in the order of the report */
export const technicalPaper = (
  report: JobReport,
  plots: readonly (readonly PlotModel[])[],
  look: PaperLook,
): Content[] => [
  title(report.title),
  quiet(report.unitLine),
  ...(report.head ? sectionPart(report.head) : []),
  ...report.rounds.flatMap((round, i) => roundPart(round, plots[i] ?? [], look)),
  ...readingsPart(report.readings.flatMap(narrowSection)),
  ...(report.hazards ? [together(heading('Hazards of this work'), { text: report.hazards })] : []),
]
