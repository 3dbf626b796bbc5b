'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Plan } from '@/core/repair/plan/plan'
import { More } from './More'

/** Why it died: what removes that, and what shows after the start that it is gone. */
export function Causes({ plan: { causes }, open }: { plan: Plan; open: boolean }) {
  if (causes.length === 0) return null
  const first = causes[0]!.label.split(':')[0]!
  return (
    <More
      label={`Why it died: ${first}${causes.length > 1 ? ` and ${causes.length - 1} more` : ''}`}
      open={open}
    >
      {causes.map(({ id, label, cure, check }) => (
        <Box key={id} sx={{ mb: 1, fontSize: '0.95rem' }}>
          <Typography sx={{ fontWeight: 650 }}>{label}</Typography>
          <Typography sx={{ fontSize: '0.95rem' }}>{cure}</Typography>
          {check && <Typography sx={{ fontSize: '0.95rem' }}>After the start: {check}</Typography>}
        </Box>
      ))}
    </More>
  )
}
