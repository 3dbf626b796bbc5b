'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'

export type FactRow = readonly [name: string, value: string | undefined]

/** Names with their values; what is not known is left out. */
export function Facts({ rows }: { rows: readonly FactRow[] }) {
  const { say } = useUnits()
  return (
    <Box
      component="dl"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '112px 1fr', md: '180px 1fr' },
        gap: '2px 16px',
        m: 0,
      }}
    >
      {rows
        .filter(([, value]) => value)
        .map(([name, value], i) => (
          <Box key={`${i} ${name}`} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ color: 'text.secondary' }}>
              {name}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {value && say(value)}
            </Box>
          </Box>
        ))}
    </Box>
  )
}
