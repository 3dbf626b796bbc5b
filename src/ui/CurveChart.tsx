'use client'
import { Chart, Legend, LinearScale, LineElement, PointElement, ScatterController, Tooltip } from 'chart.js'
import Box from '@mui/material/Box'
import { Scatter } from 'react-chartjs-2'
import { type Theme, useTheme } from '@mui/material/styles'

Chart.register(LinearScale, LineElement, PointElement, ScatterController, Tooltip, Legend)

/** Lines are told apart by their dashes first. */
const DASHES = {
  solid: [],
  dashed: [6, 4],
  dotted: [2, 3],
  long: [14, 4],
  mixed: [10, 3, 2, 3],
  point: [],
} as const
type Look = keyof typeof DASHES
/** Looks for any number of lines of one kind. */
export const LINE_LOOKS: readonly Look[] = ['solid', 'dashed', 'dotted', 'long', 'mixed']

export type Curve = {
  readonly label: string
  readonly points: readonly { readonly x: number; readonly y: number }[]
  readonly look: Look
}

type Props = { label: string; xTitle: string; yTitle: string; curves: readonly Curve[] }

const FONT = { family: '"Atkinson Hyperlegible Next Variable", sans-serif', size: 13 }

const dataset =
  ({ palette }: Theme) =>
  ({ label, points, look }: Curve) => {
    const colour = look === 'solid' || look === 'point' ? palette.primary.main : palette.text.primary
    return {
      label,
      data: points.map(({ x, y }) => ({ x, y })),
      showLine: look !== 'point',
      borderColor: colour,
      backgroundColor: colour,
      borderWidth: 2,
      borderDash: [...DASHES[look]],
      pointRadius: look === 'point' ? 6 : 0,
      pointHitRadius: 8,
      pointStyle: look === 'point' ? ('rectRot' as const) : ('line' as const),
    }
  }

/** Ends of a scale without the dust of unit conversion. */
const tidy = (value: number) => Number(value.toFixed(3))

const axis = ({ palette }: Theme, title: string) => ({
  type: 'linear' as const,
  title: { display: true, text: title, color: palette.text.primary, font: FONT },
  ticks: { color: palette.text.secondary, font: FONT },
  grid: { color: palette.divider },
})

/** Curves over one scale; the same numbers stand in the table beside it. */
export function CurveChart({ label, xTitle, yTitle, curves }: Props) {
  const theme = useTheme()
  const across = curves.flatMap(({ points }) => points.map(({ x }) => x))
  return (
    <Box sx={{ height: { xs: 260, md: 330 }, position: 'relative' }}>
      <Scatter
        aria-label={label}
        role="img"
        data={{ datasets: curves.map(dataset(theme)) }}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          scales: {
            x: { ...axis(theme, xTitle), min: tidy(Math.min(...across)), max: tidy(Math.max(...across)) },
            y: axis(theme, yTitle),
          },
          plugins: {
            legend: { labels: { color: theme.palette.text.primary, font: FONT, boxHeight: 1, boxWidth: 36 } },
            tooltip: { titleFont: FONT, bodyFont: FONT },
          },
        }}
      />
    </Box>
  )
}
