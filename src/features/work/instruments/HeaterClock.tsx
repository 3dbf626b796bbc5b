'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useSiteClock } from '@/ui/siteClock'
import { powerHeater } from '@/core/record/edits/workEdits'
import { HEATER_HOURS, heaterHours, isWarmed } from '@/core/repair/work/heater'
import type { InstrumentProps } from './instrumentProps'

/** Hours of the crankcase heater: they count with power on alone, cover on, contactor coil lead off. */
export function HeaterClock({ job, change, now }: Pick<InstrumentProps, 'job' | 'change' | 'now'>) {
  const { time } = useSiteClock()
  const spans = job.run?.heater ?? []
  const since = spans.find(({ to }) => to === undefined)?.from
  const hours = heaterHours(spans, now)
  return (
    <Box
      role="group"
      aria-label="Crankcase heater"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', pl: 6 }}
    >
      <Typography data-heater sx={{ flex: 1, minWidth: 200, fontSize: '0.98rem' }}>
        {isWarmed(spans, now) ? '●' : '△'} {hours.toFixed(1)} of {HEATER_HOURS[0]} to {HEATER_HOURS[1]} hours
        {since ? `, on since ${time(since)}` : ''}. Cover on, contactor coil lead off.
      </Typography>
      <Button variant="outlined" sx={{ minHeight: 48 }} onClick={() => void change(powerHeater(!since))}>
        {since ? 'Heater power off' : 'Heater power on'}
      </Button>
    </Box>
  )
}
