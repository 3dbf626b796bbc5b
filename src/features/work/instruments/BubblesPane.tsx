'use client'
import { useSiteClock } from '@/ui/siteClock'
import { useUnits } from '@/ui/units'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { setBled, setBubbled } from '@/core/record/edits/workEdits'
import { bledThatCounts, bubblesThatCount } from '@/core/repair/work/momentsThatCount'
import type { InstrumentProps } from './instrumentProps'

type MomentTickProps = { label: string; at: string | undefined; onTick: (on: boolean) => void }

/** A tick that keeps the moment it was set. */
function MomentTick({ label, at, onTick }: MomentTickProps) {
  const { time } = useSiteClock()
  return (
    <FormControlLabel
      sx={{ minHeight: 48 }}
      control={
        <Checkbox
          checked={at !== undefined}
          sx={{ width: 48, height: 48 }}
          onChange={(_event, on) => onTick(on)}
        />
      }
      label={at ? `${label}, ${time(at)}` : label}
    />
  )
}

/** A hold alone never proves tight: every joint is bubbled too. */
export const BubblesPane = ({ job, change }: InstrumentProps) => (
  <MomentTick
    label="Every joint, stem, core and cap bubbled, no bubble"
    at={bubblesThatCount({ job })}
    onTick={(on) => void change(setBubbled(on))}
  />
)

/** Before anything is opened or the pump is put on, the pressure goes. */
export function BledPane({ job, change }: InstrumentProps) {
  const { say } = useUnits()
  return (
    <MomentTick
      label={say('Nitrogen bled off to 0 psig')}
      at={bledThatCounts({ job })}
      onTick={(on) => void change(setBled(on))}
    />
  )
}
