'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'

/** An answer that comes within this is not marked: the eye would see a flicker, not an old number, ms. [practice] */
const UNSEEN = 150

type Props = { fresh: boolean; children: ReactNode }

/**
 * What answers an older state of the job says so, wherever it stands and however far it is scrolled; nothing moves, and
 * nothing fades: a caution stays as strong as it is.
 */
export function Freshness({ fresh, children }: Props) {
  return (
    <Box aria-busy={!fresh} data-fresh={fresh}>
      {!fresh && (
        <Box
          sx={{
            position: 'sticky',
            zIndex: 2,
            top: 0,
            height: 0,
            display: 'flex',
            justifyContent: 'flex-end',
            pointerEvents: 'none',
            '@keyframes mark': { from: { visibility: 'hidden' }, to: { visibility: 'visible' } },
            animation: `mark 0s ${UNSEEN}ms both`,
          }}
        >
          <Typography
            sx={{
              height: 'max-content',
              px: 1,
              fontSize: '0.85rem',
              fontWeight: 650,
              color: 'primary.main',
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'primary.main',
            }}
          >
            △ before the last change
          </Typography>
        </Box>
      )}
      {children}
    </Box>
  )
}
