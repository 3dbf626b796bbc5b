'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import type { TemperatureUnit } from '@/core/units/units'
import { titleOf, unitLine } from '../jobs/jobText'
import type { StageProps } from './stageProps'

type Props = StageProps & { setTemperature: (unit: TemperatureUnit) => void }

/** Which job this is, and the unit that temperatures are shown in. */
export function JobHeader({ job, display, setTemperature }: Props) {
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: { xs: 1, md: 2 },
        px: { xs: 1, md: 2 },
        minHeight: 56,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <Button
        component={Link}
        href="/"
        color="inherit"
        sx={{ fontWeight: 700, minWidth: 56, px: 1 }}
        aria-label="All jobs"
      >
        ‹ Jobs
      </Button>
      <Box sx={{ minWidth: 0, flex: 1 }}>
        <Typography variant="h1" noWrap>
          {titleOf(job)}
        </Typography>
        <Typography noWrap sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {unitLine(job)}
        </Typography>
      </Box>
      <ToggleButtonGroup
        exclusive
        value={display.temperature}
        aria-label="Temperature unit"
        onChange={(_event, unit: TemperatureUnit | null) => unit && setTemperature(unit)}
      >
        {(['F', 'C'] as const).map((unit) => (
          <ToggleButton key={unit} value={unit} aria-label={unit === 'F' ? 'Fahrenheit' : 'Celsius'}>
            °{unit}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  )
}
