'use client'
import Box from '@mui/material/Box'
import CircularProgress from '@mui/material/CircularProgress'

/** Stands until what comes behind the first paint is there. @param inside a part of a page, not the whole of it */
export const Coming = ({ label, inside = false }: { label: string; inside?: boolean }) => (
  <Box sx={{ height: inside ? 'auto' : '100dvh', p: inside ? 6 : 0, display: 'grid', placeItems: 'center' }}>
    <CircularProgress aria-label={label} />
  </Box>
)
