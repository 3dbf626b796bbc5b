'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { setRun } from '@/core/record/edits/workEdits'
import { otherMode } from '@/core/repair/work/otherMode'
import { AutosaveField } from '@/ui/AutosaveField'
import type { InstrumentProps } from './instrumentProps'

/** A heat pump is proven in both modes: what is left is measured, or booked for the day on which the weather allows it. */
export function OtherModePart({ job, unit, change }: InstrumentProps) {
  const other = otherMode({ ...job, unit })
  if (!other || job.repair?.startedAt === undefined) return null
  const { left, bookedFor } = other
  const way = left.length === 1 ? left[0] : 'other mode'
  return (
    <Box component="section" aria-label="Other mode">
      <Typography data-other-mode sx={{ fontWeight: 650 }}>
        {left.length === 0
          ? '● Both modes are measured after the start'
          : bookedFor
            ? `○ ${way} is booked`
            : left.length === 1
              ? `△ ${way} is not measured after the start`
              : '△ Neither mode is measured after the start: take a set in each'}
      </Typography>
      {left.length > 0 && (
        <AutosaveField
          type="date"
          label="If the weather forbids it: booked for"
          value={bookedFor ?? ''}
          onSave={(day) => change(setRun({ otherModeOn: day || undefined }))}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ mt: 1, width: 300, maxWidth: '100%' }}
        />
      )}
    </Box>
  )
}
