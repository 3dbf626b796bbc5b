'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { canObserve } from '@/core/record/equipment/observable'
import {
  type ObservationKey,
  observationRow,
  type ObservationValue,
  type PlacedKey,
  SEVERAL_PLACES,
} from '@/core/record/readings/observations'
import { AutosaveField } from '@/ui/AutosaveField'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../shared/stageProps'
import { CircuitPane } from '../shared/circuit/CircuitPane'
import { Observed } from '../shared/Observed'
import { placesText } from '@/core/record/readings/places'
import { seenOnDrawing } from '../shared/circuit/seenOnDrawing'
import { setArrival } from '@/core/record/edits/headEdits'
import { observeLatest, togglePlace } from '@/core/record/edits/readingEdits'
import { Section } from './parts'

/** Asked before gauges go on (handbook 01). */
const ON_ARRIVAL: readonly ObservationKey[] = [
  'callForOperation',
  'compressorState',
  'indoorFan',
  'outdoorFan',
  'evaporatorCoil',
  'condenserCoil',
  'breaker',
]

const NOTHING: readonly never[] = []

function OnDrawing(props: StageProps & { asking: PlacedKey; onClose: () => void }) {
  const { unit, set, change, asking, onClose } = props
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const { label } = observationRow(asking)
  const { setId } = props
  const answer = (word: string) =>
    void change(togglePlace(setId, asking, word as ObservationValue<PlacedKey>))
  return (
    <Dialog open onClose={onClose} fullScreen={!isWide} aria-labelledby="seen-title">
      <DialogTitle id="seen-title">{label}: tap the place</DialogTitle>
      <DialogContent sx={{ width: { md: 560 }, px: 1 }}>
        <CircuitPane
          unit={unit}
          metering={props.job.unit.metering}
          set={set}
          diagnosis={props.diagnosis}
          display={props.display}
          taps={NOTHING}
          selected={undefined}
          onSelect={() => undefined}
          seen={seenOnDrawing(unit, asking, set, answer)}
          height={520}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={() => answer('none')}>None seen</Button>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  )
}

/** What is looked at before the gauges; frost and oil on the drawing. */
export function SeenOnArrival(props: StageProps) {
  const { job, unit, set, change } = props
  const [asking, setAsking] = useState<PlacedKey>()
  const observations = set.observations ?? {}
  return (
    <Section title="Seen on arrival">
      <Typography sx={{ fontSize: '0.95rem' }}>
        <span style={{ fontWeight: 650 }}>
          ⬣ Measure before a tripped breaker is reset, and reset it once at most.
        </span>{' '}
        If somebody isolated the unit, find out why first.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {SEVERAL_PLACES.map((key) => (
          <Button key={key} variant="outlined" onClick={() => setAsking(key)}>
            {observationRow(key).label}: {placesText(set, key) || 'tap the place'}
          </Button>
        ))}
      </Box>
      <Observed
        keys={ON_ARRIVAL.filter((key) => canObserve(unit, key))}
        observations={observations}
        onChange={(key, value) => void change(observeLatest(key, value))}
      />
      <AutosaveField
        label="Anything else seen"
        value={job.arrival?.seen ?? ''}
        onSave={(text) => change(setArrival({ seen: text || undefined }))}
        multiline
      />
      {asking && <OnDrawing {...props} asking={asking} onClose={() => setAsking(undefined)} />}
    </Section>
  )
}
