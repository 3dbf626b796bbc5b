'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'

/** An answer that comes within this is not marked: the eye would see a flicker, not an old number, ms. [practice] */
const UNSEEN = 150

type Props = { fresh: boolean; children: ReactNode }

/** What answers an older state of the job is dimmed and says so, wherever it stands; nothing moves. */
export function Freshness({ fresh, children }: Props) {
  return (
    <Box aria-busy={!fresh} data-fresh={fresh} sx={{ position: 'relative' }}>
      {!fresh && (
        <Typography
          sx={{
            position: 'absolute',
            zIndex: 1,
            top: 2,
            right: 8,
            fontSize: '0.8rem',
            bgcolor: 'background.paper',
            '@keyframes mark': { from: { visibility: 'hidden' }, to: { visibility: 'visible' } },
            animation: `mark 0s ${UNSEEN}ms both`,
          }}
        >
          before the last change
        </Typography>
      )}
      <Box sx={fresh ? {} : { opacity: 0.6, transition: `opacity 0s ${UNSEEN}ms` }}>{children}</Box>
    </Box>
  )
}
