'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from 'next/link'

/** The way back and the printer; not on the paper. */
export function PrintBar({ jobId, back }: { jobId: string; back: 'plan' | 'close' }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, displayPrint: 'none' }}>
      <Button component={Link} href={`/job/${encodeURIComponent(jobId)}/${back}`} color="inherit">
        ‹ Back
      </Button>
      <Button variant="contained" onClick={() => window.print()}>
        Print
      </Button>
    </Box>
  )
}
