'use client'
import { Chart, Legend, LinearScale, LineElement, PointElement, ScatterController, Tooltip } from 'chart.js'
import Box from '@mui/material/Box'
import { Scatter } from 'react-chartjs-2'
import { SUNLIGHT } from '@/ui/theme'

Chart.register(LinearScale, LineElement, PointElement, ScatterController, Tooltip, Legend)

export type Curve = {
  readonly label: string
  readonly points: readonly { readonly x: number; readonly y: number }[]
  readonly look: 'solid' | 'dashed' | 'point'
}

type Props = { label: string; xTitle: string; yTitle: string; curves: readonly Curve[] }

const FONT = { family: '"Atkinson Hyperlegible Next Variable", sans-serif', size: 13 }

function dataset({ label, points, look }: Curve) {
  const colour = look === 'dashed' ? SUNLIGHT.ink : SUNLIGHT.copper
  return {
    label,
    data: points.map(({ x, y }) => ({ x, y })),
    showLine: look !== 'point',
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: 2,
    borderDash: look === 'dashed' ? [6, 4] : [],
    pointRadius: look === 'point' ? 6 : 0,
    pointHitRadius: 8,
    pointStyle: look === 'point' ? ('rectRot' as const) : ('line' as const),
  }
}

/** Ends of a scale without the dust of unit conversion. */
const tidy = (value: number) => Number(value.toFixed(3))

const axis = (title: string) => ({
  type: 'linear' as const,
  title: { display: true, text: title, color: SUNLIGHT.ink, font: FONT },
  ticks: { color: SUNLIGHT.quiet, font: FONT },
  grid: { color: SUNLIGHT.hairline },
})

/** Curves over one scale; the same numbers stand in the table beside it. */
export function CurveChart({ label, xTitle, yTitle, curves }: Props) {
  const across = curves.flatMap(({ points }) => points.map(({ x }) => x))
  return (
    <Box sx={{ height: { xs: 260, md: 330 }, position: 'relative' }}>
      <Scatter
        aria-label={label}
        role="img"
        data={{ datasets: curves.map(dataset) }}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          scales: {
            x: { ...axis(xTitle), min: tidy(Math.min(...across)), max: tidy(Math.max(...across)) },
            y: axis(yTitle),
          },
          plugins: {
            legend: { labels: { color: SUNLIGHT.ink, font: FONT, boxHeight: 1, boxWidth: 36 } },
            tooltip: { titleFont: FONT, bodyFont: FONT },
          },
        }}
      />
    </Box>
  )
}
