'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { durationText } from '@/core/base/units/wall'
import type { Plan } from '@/core/repair/plan/plan'
import type { WayCost } from '@/core/repair/plan/unitSwap'
import { More } from './More'

type Row = { readonly label: string; readonly of: (cost: WayCost, mass: (kg: number) => string) => string }

const ROWS: readonly Row[] = [
  { label: 'Hands-on', of: ({ handsOn, isEstimate }) => `${durationText(handsOn)}${isEstimate ? ' ≈' : ''}` },
  { label: 'Unattended', of: ({ unattended }) => (unattended > 0 ? durationText(unattended) : 'none') },
  { label: 'Bought to order', of: ({ parts }) => (parts.length > 0 ? parts.join('; ') : 'nothing') },
  {
    label: 'Refrigerant to bring',
    of: ({ refrigerant }, mass) =>
      refrigerant === undefined ? 'charge not known' : refrigerant === 0 ? 'none' : mass(refrigerant),
  },
]

/** A new unit beside the repair: hours, parts, refrigerant, what stays. */
export function UnitSwap({ plan: { unitSwap } }: { plan: Plan }) {
  const { mass } = useUnits()
  if (!unitSwap) return null
  const { of, repair, swap, stays, reasons, isBetter } = unitSwap
  const isEstimate = repair.isEstimate || swap.isEstimate
  return (
    <More label={`New ${of} instead${isBetter ? ': the better deal here' : ''}`}>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          fontSize: '0.95rem',
          '& td, & th': { textAlign: 'left', verticalAlign: 'top', py: 0.5, pr: 1 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">
              <span />
            </th>
            <th scope="col">Repair</th>
            <th scope="col">New {of}</th>
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ label, of: tell }) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              <td>{tell(repair, mass)}</td>
              <td>{tell(swap, mass)}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography sx={{ fontSize: '0.95rem' }}>Stays: {stays.join('; ')}.</Typography>
      {reasons.length > 0 && (
        <Typography sx={{ fontSize: '0.95rem' }}>For the new one: {reasons.join('; ')}.</Typography>
      )}
      {isEstimate && (
        <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
          ≈ usual hours of a unit that is changed whole, not planned step by step.
        </Typography>
      )}
    </More>
  )
}
