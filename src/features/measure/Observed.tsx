'use client'
import Box from '@mui/material/Box'
import TextField from '@mui/material/TextField'
import type { Observations } from '@/core/readings/schema'
import { type ObservationKey, observationRow } from '@/core/readings/observations'
import { ChoiceChips } from '@/ui/ChoiceChips'

/** What is seen, heard and felt on a running circuit; contamination signs are asked in Plan. */
export const SEEN_KEYS: readonly ObservationKey[] = [
  'frostPattern',
  'compressorState',
  'indoorFan',
  'outdoorFan',
  'sightGlass',
  'moistureIndicator',
  'oilStain',
  'bulbState',
  'bulbWarmResponse',
  'warmValveResponse',
  'compressorNoise',
  'reliefNoise',
  'reversingValveNoise',
  'pumpDownTest',
  'phaseSequence',
]

export const INSIDE_KEYS: readonly ObservationKey[] = [
  'acidTest',
  'acidTestKind',
  'oilAppearance',
  'refrigerantSmell',
  'copperPlating',
  'moistureIndicator',
  'openConditions',
]

type Props = {
  keys: readonly ObservationKey[]
  observations: Observations
  onChange: (key: keyof Observations, value: string | number | undefined) => void
  withHoursOpen?: boolean
}

/** Observations as chips; unknown stays unchosen. */
export function Observed({ keys, observations, onChange, withHoursOpen }: Props) {
  return (
    <Box>
      {keys.map((key) => (
        <ChoiceChips
          key={key}
          label={observationRow(key).label}
          values={observationRow(key).values}
          value={observations[key]}
          onChange={(value) => onChange(key, value)}
        />
      ))}
      {withHoursOpen && (
        <TextField
          label="Hours open to air"
          type="number"
          value={observations.hoursOpenToAir ?? ''}
          slotProps={{ htmlInput: { min: 0, step: 1, inputMode: 'decimal' } }}
          onChange={(event) =>
            onChange(
              'hoursOpenToAir',
              event.target.value === '' ? undefined : Math.max(Number(event.target.value), 0),
            )
          }
          sx={{ mt: 1 }}
        />
      )}
    </Box>
  )
}
