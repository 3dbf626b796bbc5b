'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'

/** Where an address leads nowhere: what may be the reason, and the way home. */
export const Nowhere = ({ title, what }: { title: string; what: string }) => (
  <Box component="main" sx={{ p: 4, display: 'grid', gap: 2, justifyItems: 'start' }}>
    <Typography variant="h1">{title}</Typography>
    <Typography>{what}</Typography>
    <Button component={Link} href="/" variant="contained" sx={{ minHeight: 48 }}>
      All jobs
    </Button>
  </Box>
)
