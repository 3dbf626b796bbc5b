'use client'
import ButtonBase from '@mui/material/ButtonBase'
import Popover from '@mui/material/Popover'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { type Basis, isAssumed } from '@/core/base/known/known'
import { useUnits } from './units'
import { entriesText } from '@/core/base/known/entries'

type Props = {
  basis: Pick<Basis, 'from'> & Partial<Pick<Basis, 'asks'>>
  /** what is assumed, for those who hear the page */
  of: string
}

/** The mark of a figure that rests on a guess; on tap from what, and what would settle it. */
function AssumedMark({ basis: { from, asks = [] }, of }: Props) {
  const [at, setAt] = useState<HTMLElement | null>(null)
  const { say } = useUnits()
  return (
    <>
      <ButtonBase
        data-assumed={of}
        aria-label={`${of} is assumed: from what?`}
        aria-expanded={at !== null}
        onClick={({ currentTarget }) => setAt(currentTarget)}
        sx={{
          font: 'inherit',
          fontSize: '0.9rem',
          fontWeight: 600,
          lineHeight: 1.4,
          whiteSpace: 'nowrap',
          position: 'relative',
          verticalAlign: 'baseline',
          // a finger needs more room than the word takes in a line
          '&::after': { content: '""', position: 'absolute', inset: '-14px -6px' },
          color: 'text.secondary',
          textDecoration: 'underline dotted',
          textUnderlineOffset: '3px',
          '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
        }}
      >
        ≈ assumed
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box sx={{ p: 2, maxWidth: 340, display: 'grid', gap: 0.75 }}>
          <Typography sx={{ fontWeight: 650 }}>{of}: assumed from</Typography>
          {from.map((each) => (
            <Typography key={each} sx={{ fontSize: '0.98rem' }}>
              {say(each)}
            </Typography>
          ))}
          {asks.length > 0 && (
            <Typography sx={{ fontSize: '0.98rem' }}>To settle it, enter {entriesText(asks)}.</Typography>
          )}
        </Box>
      </Popover>
    </>
  )
}

/** The mark where a basis is a guess; nothing where it is not, or where nothing is told of it. */
export const Assumed = ({ basis, of }: { basis: Basis | undefined; of: string }) =>
  basis && isAssumed(basis) ? <AssumedMark basis={basis} of={of} /> : null
