'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import { Figure, Figures } from '@/ui/Figure'
import { OilFields } from '../../shared/OilFields'
import type { InstrumentProps } from './instrumentProps'

/** Oil out, oil in: what came out is what goes in again, counted against the plate. */
export function OilPane({ job, change, answer }: InstrumentProps) {
  const { oil } = answer.plan
  const { volume } = useUnits()
  return (
    <Box component="section" aria-label="Oil" sx={{ display: 'grid', gap: 1 }}>
      <Figures>
        <Figure label="On the plate" value={volume(oil.plate.value)} note={oil.goesIn} basis={oil.plate} />
        <Figure
          label="Refill"
          value={volume(oil.refill.value)}
          basis={oil.refill}
          note={oil.isMeasured ? 'as it came out' : 'likely, not measured yet'}
        />
        <Figure label="Stays in the circuit" value={volume(oil.left.value)} basis={oil.left} />
        {oil.strokes !== undefined && <Figure label="Strokes of the pump" value={String(oil.strokes)} />}
      </Figures>
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
        <OilFields job={job} change={change} />
      </Box>
    </Box>
  )
}
