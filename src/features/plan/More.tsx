'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

type Props = { label: string; children: ReactNode; open?: boolean }

/** What stands behind a tap: the arithmetic below an answer. */
export function More({ label, children, open }: Props) {
  return (
    <Box
      component="details"
      open={open}
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        '& > summary': {
          minHeight: 48,
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          cursor: 'pointer',
          fontWeight: 600,
          '&::before': { content: '"+"', width: 16, color: 'text.secondary' },
        },
        '&[open] > summary::before': { content: '"−"' },
      }}
    >
      <summary>{label}</summary>
      <Box sx={{ pb: 1.5 }}>{children}</Box>
    </Box>
  )
}

/** Sentences below each other, without marks. */
export function Sentences({ all }: { all: readonly string[] }) {
  const { say } = useUnits()
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      {all.map((sentence) => (
        <Box key={sentence} component="p" sx={{ m: 0, fontSize: '0.95rem' }}>
          {say(sentence)}
        </Box>
      ))}
    </Box>
  )
}

/** Two columns of parts where there is room for them, one below the other where not. */
export const Columns = ({ left, right, wider }: { left: ReactNode; right: ReactNode; wider?: 'left' }) => (
  <Box
    sx={{
      display: 'grid',
      gap: 2,
      alignItems: 'start',
      gridTemplateColumns: {
        xs: 'minmax(0, 1fr)',
        lg: `minmax(0, ${wider === 'left' ? 1.25 : 1}fr) minmax(0, 1fr)`,
      },
    }}
  >
    {[left, right].map((parts, i) => (
      <Box key={i} sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
        {parts}
      </Box>
    ))}
  </Box>
)
