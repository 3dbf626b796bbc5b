'use client'
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { checkStart } from '@/core/record/edits/workEdits'
import { FIRST_START } from '@/core/repair/work/firstStart'
import type { InstrumentProps } from './instrumentProps'

/** The list of the first start (handbook 09): nothing starts before each point is ticked. */
export function FirstStartList({ job, unit, change }: InstrumentProps) {
  const points = FIRST_START.filter(({ on }) => on(unit))
  const list = job.run?.startList ?? {}
  const left = points.filter(({ id }) => list[id] === undefined).length
  return (
    <Box component="section" aria-label="First start">
      <Typography sx={{ fontWeight: 650 }} aria-live="polite">
        {left === 0
          ? '● First start: every point is ticked'
          : `△ First start: ${left} of ${points.length} points left`}
      </Typography>
      {points.map(({ id, label }) => (
        <FormControlLabel
          key={id}
          sx={{ display: 'flex', minHeight: 48, m: 0 }}
          control={
            <Checkbox
              checked={list[id] !== undefined}
              sx={{ width: 48, height: 48 }}
              onChange={(_event, on) => void change(checkStart(id, on))}
            />
          }
          label={label}
        />
      ))}
    </Box>
  )
}
