'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from 'next/link'
import { JobAnchor } from '../shared/address/JobAnchor'

import { STAGE_LABELS } from '../shared/stageNames'

/** The way back and the printer; not on the paper. */
export function PrintBar({ jobId, back }: { jobId: string; back: 'plan' | 'close' }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, displayPrint: 'none' }}>
      <Button component={Link} href="/" color="inherit" aria-label="All jobs">
        ‹ Jobs
      </Button>
      <Button component={JobAnchor} jobId={jobId} page={back} color="inherit">
        Back to {STAGE_LABELS[back]}
      </Button>
      <Button variant="contained" onClick={() => window.print()}>
        Print
      </Button>
    </Box>
  )
}
