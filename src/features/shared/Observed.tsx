'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import TextField from '@mui/material/TextField'
import { canObserve } from '@/core/record/equipment/observable'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { AlsoSeen, Observations } from '@/core/record/readings/schema'
import { isPlaced } from '@/core/record/readings/places'
import { type ObservationKey, observationRow, type PlacedKey } from '@/core/record/readings/observations'
import { ChoiceChips } from '@/ui/ChoiceChips'

/** What is asked on arrival, seen, heard, felt and tried at the circuit; electrical words stand on the bench. */
const SEEN_KEYS: readonly ObservationKey[] = [
  'frostPattern',
  'compressorState',
  'comesAndGoes',
  'indoorFan',
  'outdoorFan',
  'evaporatorCoil',
  'condenserCoil',
  'waterStrainer',
  'sightGlass',
  'moistureIndicator',
  'oilStain',
  'weighedCharge',
  'bulbState',
  'bulbWarmResponse',
  'stemResponse',
  'inletScreen',
  'equalizerState',
  'warmValveResponse',
  'orificeSize',
  'solenoidPull',
  'reliefPlug',
  'overheatedValve',
  'compressorInside',
  'shaftTurns',
  'compressorNoise',
  'reliefNoise',
  'reversingValveNoise',
  'pumpDownTest',
  'handValveTest',
  'bulbIceResponse',
  'reliefAfterRestart',
  'servicePortState',
  'lowSide',
  'gasInside',
  'waterCoil',
  'circuitWork',
  'flammableClear',
  'phaseSequence',
  'shortCycling',
  'wiring',
]

/** Of these, what this unit can show. */
export const seenKeysOf = (unit: UnitPlate): ObservationKey[] =>
  SEEN_KEYS.filter((key) => canObserve(unit, key))

export const INSIDE_KEYS: readonly ObservationKey[] = [
  'oilAppearance',
  'refrigerantSmell',
  'copperPlating',
  'moistureIndicator',
  'waterFound',
  'frostLeft',
  'linesPlugged',
  'openConditions',
]

type Props = {
  keys: readonly ObservationKey[]
  observations: Observations
  onChange: (key: keyof Observations, value: string | number | undefined) => void
  withHoursOpen?: boolean
  /** answers that are not offered now, unless they were given */
  without?: (key: ObservationKey) => readonly string[]
  /** what may be at several places, and how a place is put there or taken away */
  places?: { also: AlsoSeen | undefined; onPlace: (key: PlacedKey, word: string) => void }
}

/** Observations as chips; unknown stays unchosen. */
export function Observed({ keys, observations, onChange, withHoursOpen, places, without }: Props) {
  const { say } = useUnits()
  return (
    <Box>
      {keys.map((key) => (
        <ChoiceChips
          key={key}
          label={say(observationRow(key).label)}
          {...(observationRow(key).said ? { labels: observationRow(key).said } : {})}
          values={observationRow(key).values.filter(
            (word) => word === observations[key] || !without?.(key).includes(word),
          )}
          value={observations[key]}
          {...(places && isPlaced(key)
            ? {
                also: places.also?.[key] ?? [],
                onChange: (word: string | undefined) =>
                  places.onPlace(key, word ?? (observations[key] as string)),
              }
            : { onChange: (word: string | undefined) => onChange(key, word) })}
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
