'use client'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { setBled, setBubbled } from '@/core/record/edits/workEdits'
import { clockText } from '../stateWords'
import type { InstrumentProps } from './instrumentProps'

/** A hold alone never proves tight: every joint is bubbled too. */
export function BubblesPane({ job, change }: InstrumentProps) {
  const at = job.run?.bubbledAt
  return (
    <FormControlLabel
      sx={{ minHeight: 48 }}
      control={
        <Checkbox
          checked={at !== undefined}
          sx={{ width: 48, height: 48 }}
          onChange={(_event, on) => void change(setBubbled(on))}
        />
      }
      label={`Every joint, stem, core and cap bubbled, no bubble${at ? `, ${clockText(at)}` : ''}`}
    />
  )
}

/** Before anything is opened or the pump is put on, the pressure goes. */
export function BledPane({ job, change }: InstrumentProps) {
  const at = job.run?.bledAt
  return (
    <FormControlLabel
      sx={{ minHeight: 48 }}
      control={
        <Checkbox
          checked={at !== undefined}
          sx={{ width: 48, height: 48 }}
          onChange={(_event, on) => void change(setBled(on))}
        />
      }
      label={`Nitrogen bled off to 0 psig${at ? `, ${clockText(at)}` : ''}`}
    />
  )
}
