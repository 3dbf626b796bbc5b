'use client'
import './chartParts'
import Box from '@mui/material/Box'
import { Scatter } from 'react-chartjs-2'
import { type Theme, useTheme } from '@mui/material/styles'
import { chartAxis, chartLabels, DASHES, type Look, lookColour } from './chartStyle'

export type Curve = {
  readonly label: string
  readonly points: readonly { readonly x: number; readonly y: number }[]
  readonly look: Look
}

type Props = { label: string; xTitle: string; yTitle: string; curves: readonly Curve[] }

const dataset =
  (theme: Theme) =>
  ({ label, points, look }: Curve) => {
    const colour = lookColour(theme, look)
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
            x: {
              ...chartAxis(theme, xTitle),
              type: 'linear',
              min: tidy(Math.min(...across)),
              max: tidy(Math.max(...across)),
            },
            y: { ...chartAxis(theme, yTitle), type: 'linear' },
          },
          plugins: chartLabels(theme),
        }}
      />
    </Box>
  )
}
