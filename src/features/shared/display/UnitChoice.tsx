'use client'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { SxProps } from '@mui/material/styles'
import { METRIC_UNITS, systemName, US_UNITS } from '@/core/base/units/system'
import { useDisplay } from './useDisplay'

/** US or metric units, at every place at once; neither is pressed while they are mixed by quantity. */
export function UnitChoice({ sx }: { sx?: SxProps }) {
  const { system, setUnits } = useDisplay()
  const name = systemName(system)
  return (
    <ToggleButtonGroup
      exclusive
      value={name}
      aria-label="Units"
      {...(sx ? { sx } : {})}
      onChange={(_event, chosen: string | null) =>
        chosen && setUnits(chosen === 'metric' ? METRIC_UNITS : US_UNITS)
      }
    >
      <ToggleButton value="us" aria-label="US units" sx={{ px: 1.5 }}>
        US
      </ToggleButton>
      <ToggleButton value="metric" aria-label="Metric units" sx={{ px: 1.5 }}>
        Metric
      </ToggleButton>
    </ToggleButtonGroup>
  )
}
