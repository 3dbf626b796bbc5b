'use client'
import Box from '@mui/material/Box'
import CircularProgress from '@mui/material/CircularProgress'

/** Stands until a page that comes behind the first paint is there. */
export const Coming = ({ label }: { label: string }) => (
  <Box sx={{ height: '100dvh', display: 'grid', placeItems: 'center' }}>
    <CircularProgress aria-label={label} />
  </Box>
)
