'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { type Basis, isAssumed } from '@/core/base/known/known'
import { Assumed } from './Assumed'
import { useUnits } from './units'

type FigureProps = {
  label: string
  value: string
  note?: string
  /** how it is known: a guess is marked */
  basis?: Basis | undefined
}

/** The result of a table: large numerals, what it is below. */
export function Figure({ label, value, note, basis }: FigureProps) {
  const { say } = useUnits()
  const isGuess = basis !== undefined && isAssumed(basis)
  return (
    <Box data-figure={label} sx={{ minWidth: 132, maxWidth: 320 }}>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>{label}</Typography>
      <Typography sx={{ fontSize: '1.9rem', fontWeight: 650, lineHeight: 1.15 }}>{say(value)}</Typography>
      {(note || isGuess) && (
        <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {note && say(note)}
          {note && isGuess && ' · '}
          <Assumed basis={basis} of={label} />
        </Typography>
      )}
    </Box>
  )
}

export const Figures = ({ children }: { children: ReactNode }) => (
  <Box aria-live="polite" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 1.5, my: 1 }}>
    {children}
  </Box>
)
