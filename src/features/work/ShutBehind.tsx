import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { GatePlace } from '@/core/repair/work/gatePlaces'
import type { RunSheet } from '@/core/repair/work/runSheet'
import { PlaceButton } from '../shared/place/PlaceButton'

type Props = { sheet: Pick<RunSheet, 'shutBehind'>; onOpen: (place: GatePlace) => void }

/** What is done while its gate stays shut: what is missing, and the way back to it. */
export function ShutBehind({ sheet, onOpen }: Props) {
  if (sheet.shutBehind.length === 0) return null
  return (
    <Box component="section" aria-label="Done, and not shown yet" sx={{ display: 'grid', gap: 1 }}>
      {sheet.shutBehind.map(({ step, gate }) => (
        <Alert key={gate.id} severity="warning" icon={<span aria-hidden>△</span>} data-shut-behind={gate.id}>
          <Typography sx={{ fontWeight: 650 }}>
            “{step.task.label}” is done, and not shown yet. {gate.state}.
          </Typography>
          <Typography sx={{ fontSize: '0.95rem' }}>Missing: {gate.missing.join('; ')}.</Typography>
          {gate.place && <PlaceButton place={gate.place} onOpen={onOpen} />}
        </Alert>
      ))}
    </Box>
  )
}
