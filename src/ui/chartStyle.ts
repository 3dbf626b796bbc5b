import type { Theme } from '@mui/material/styles'

/** What every chart is drawn with. */
export const CHART_FONT = { family: '"Atkinson Hyperlegible Next Variable", sans-serif', size: 13 }

/** Lines are told apart by their dashes first. */
export const DASHES = {
  solid: [],
  dashed: [6, 4],
  dotted: [2, 3],
  long: [14, 4],
  mixed: [10, 3, 2, 3],
  point: [],
} as const
export type Look = keyof typeof DASHES
/** Looks for any number of lines of one kind. */
export const LINE_LOOKS: readonly Look[] = ['solid', 'dashed', 'dotted', 'long', 'mixed']

/** The first line, and single points, in the accent. */
export const lookColour = ({ palette }: Theme, look: Look): string =>
  look === 'solid' || look === 'point' ? palette.primary.main : palette.text.primary

/** A scale with its title. */
export const chartAxis = ({ palette }: Theme, title: string) => ({
  title: { display: true, text: title, color: palette.text.primary, font: CHART_FONT },
  ticks: { color: palette.text.secondary, font: CHART_FONT, maxRotation: 0 },
  grid: { color: palette.divider },
})

/** Legend and hover note. */
export const chartLabels = ({ palette }: Theme) => ({
  legend: { labels: { color: palette.text.primary, font: CHART_FONT, boxHeight: 1, boxWidth: 36 } },
  tooltip: { titleFont: CHART_FONT, bodyFont: CHART_FONT },
})
