'use client'
import type { UnitPlate } from '@/core/record/equipment/unit'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import {
  observationRow,
  type ObservationValue,
  type PlacedKey,
  SEVERAL_PLACES,
} from '@/core/record/readings/observations'
import { refusalOfWord } from '@/core/diagnosis/checks/bench'
import type { StageProps } from '../shared/stageProps'
import { Observed, seenKeysOf } from '../shared/Observed'
import { placesText } from '@/core/record/readings/places'
import { observe, togglePlace } from '@/core/record/edits/readingEdits'

type Props = Pick<StageProps, 'set' | 'setId' | 'change' | 'answer'> & {
  unit: UnitPlate
  asking: PlacedKey | undefined
  onAsk: (key: PlacedKey | undefined) => void
}

const QUESTIONS: Readonly<Record<PlacedKey, string>> = {
  frostPattern: 'Where does frost or sweat begin?',
  oilStain: 'Where is oil?',
}

/** What is seen, heard and tried; two of the questions are answered on the drawing. */
export function SeenPanel({ unit, set, setId, change, answer, asking, onAsk }: Props) {
  const observations = set.observations ?? {}
  // what a state refuses is not asked for; what was answered stays
  const keys = seenKeysOf(unit).filter(
    (key) => observations[key] !== undefined || refusalOfWord(key, answer.vetoes) === undefined,
  )
  return (
    <Box sx={{ px: 1.5, pt: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {SEVERAL_PLACES.map((key) => (
          <Button
            key={key}
            variant={asking === key ? 'contained' : 'outlined'}
            aria-pressed={asking === key}
            onClick={() => onAsk(asking === key ? undefined : key)}
          >
            {asking === key ? 'Done' : QUESTIONS[key]}
          </Button>
        ))}
      </Box>
      {asking && (
        <p style={{ margin: '8px 0' }}>
          Tap the place on the circuit. {observationRow(asking).label}:{' '}
          {placesText(set, asking) || 'not said'}.
        </p>
      )}
      <Observed
        keys={keys}
        observations={observations}
        onChange={(key, value) => void change(observe(setId, key, value))}
        places={{
          also: set.also,
          onPlace: (key, word) => void change(togglePlace(setId, key, word as ObservationValue<PlacedKey>)),
        }}
      />
    </Box>
  )
}
