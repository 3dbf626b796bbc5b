'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Redo from '@mui/icons-material/Redo'
import Undo from '@mui/icons-material/Undo'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { apartText } from '@/core/base/units/siteTime'
import { systemClock } from '@/data/clock'
import { summaryOf } from '@/core/record/job/summary'
import { titleOf, unitLine } from '@/core/report/jobText'
import { DisplayButton } from '../shared/display/DisplayButton'
import { UnitChoice } from '../shared/display/UnitChoice'
import type { StageProps } from '../shared/stageProps'
import type { Steps } from '../shared/record/useJob'

type Props = Pick<StageProps, 'job'> & { steps: Steps }

/** A narrow screen has the units in its Display dialog. */
const ON_WIDE = { display: { xs: 'none', md: 'inline-flex' } } as const

/** The zone of the site, where its clock is not that of the reader. */
function SiteZone({ zone }: { zone: string | undefined }) {
  if (!zone) return null
  const apart = apartText(systemClock.now(), zone, systemClock.zone())
  return apart && ` · times at the site: ${zone}, ${apart}`
}

/** Which job this is, and the units in which everything is shown. */
export function JobHeader({ job, steps }: Props) {
  const { say } = useUnits()
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
          {titleOf(summaryOf(job))}
        </Typography>
        <Typography noWrap sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {say(unitLine(summaryOf(job)))}
          <SiteZone zone={job.unit.site?.zone} />
        </Typography>
      </Box>
      <IconButton aria-label="Undo" disabled={!steps.undo} onClick={steps.back}>
        <Undo />
      </IconButton>
      <IconButton
        aria-label="Redo"
        disabled={!steps.redo}
        onClick={steps.forth}
        sx={steps.redo ? {} : ON_WIDE}
      >
        <Redo />
      </IconButton>
      <DisplayButton />
      <UnitChoice sx={ON_WIDE} />
    </Box>
  )
}
