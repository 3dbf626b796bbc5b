'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useSyncExternalStore } from 'react'
import { NOT_RECORDING, type Recorder } from './recorder'

/** Begins and ends a log of what the instruments show. */
export function RecordButton({ recorder, taps }: { recorder: Recorder; taps: number }) {
  const { log, samples, problem } = useSyncExternalStore(recorder.watch, recorder.get, () => NOT_RECORDING)
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      {log ? (
        <Button variant="contained" color="error" onClick={() => void recorder.stop()}>
          ■ Stop recording · {samples} samples
        </Button>
      ) : (
        <Button variant="outlined" disabled={taps === 0} onClick={() => void recorder.start()}>
          ● Record {taps} {taps === 1 ? 'instrument' : 'instruments'}
        </Button>
      )}
      {problem && <Alert severity="error">{problem}</Alert>}
    </Box>
  )
}
