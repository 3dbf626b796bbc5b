'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { refusalOfPath } from '@/core/diagnosis/checks/bench'
import {
  COMPRESSOR_PATH,
  CONTROL_PATH,
  nextPoint,
  type PathResult,
} from '@/core/diagnosis/electrical/supplyPath'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { ELECTRICAL_CAUTIONS } from '@/core/safety/electricalCautions'
import { vetoSentence } from '@/core/safety/vetoes'
import { useOpenKey } from '../../shared/entry/useReadingEntry'
import { BenchDrawing } from './BenchDrawing'
import { PointButton } from './PointButton'
import { readingBetween } from './probes'
import type { BenchProps } from './useBench'

function whereItIs({ between, next, done }: PathResult): string {
  if (between && done) {
    return `Found: live at ${between.live?.label.toLowerCase() ?? 'the source'}, dead at ${between.dead.label.toLowerCase()}. The fault lies between the two.`
  }
  if (done) return 'Live at the load: everything before it is proven.'
  return next ? `Test next: ${next.label.toLowerCase()}.` : ''
}

const NOTHING_BETWEEN =
  'Nothing is read between these two: tap two lines, two motor terminals, or a terminal and the shell.'

/** Two probes make a reading; what is not read between two points is said. */
function useProbes(open: (key: ReadingKey) => void) {
  const [probe, setProbe] = useState<string>()
  const [note, setNote] = useState('')
  const put = (id: string) => {
    if (probe === undefined || probe === id) {
      setProbe(probe === id ? undefined : id)
      setNote(probe === id ? '' : 'One probe is on: tap the second point.')
      return
    }
    const key = readingBetween(probe, id)
    setProbe(undefined)
    setNote(key ? '' : NOTHING_BETWEEN)
    if (key) open(key)
  }
  const take = (key: ReadingKey) => {
    setProbe(undefined)
    setNote('')
    open(key)
  }
  return { probe, note, put, take }
}

/** The drawing, and the control circuit below it. */
export function BenchDrawings({ unit, set, bench, vetoes }: BenchProps) {
  const { entry } = bench
  const openKey = useOpenKey(entry)
  const probes = useProbes(entry.open)
  const tested = set.points ?? {}
  const control = nextPoint(CONTROL_PATH, tested)
  const refusal = refusalOfPath(vetoes)
  const where = (path: PathResult) => (refusal && !path.done ? vetoSentence(refusal) : whereItIs(path))
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Typography role="note" sx={{ color: 'error.main', fontSize: '0.92rem', mb: 0.5 }}>
        ⬣ {ELECTRICAL_CAUTIONS.live}
      </Typography>
      <BenchDrawing
        unit={unit}
        readings={set.readings}
        tested={tested}
        probe={probes.probe}
        openKey={openKey}
        mayTest={refusal === undefined}
        onProbe={probes.put}
        onKey={probes.take}
        onPoint={bench.point}
      />
      <Typography role="status" sx={{ minHeight: 24, color: 'text.secondary' }}>
        {probes.note || where(nextPoint(COMPRESSOR_PATH, tested))}
      </Typography>
      <Typography variant="h3" component="h2" sx={{ mt: 1, mb: 0.5 }}>
        Control circuit, from the coil backwards
      </Typography>
      <Box sx={{ display: 'grid', gap: 0.5 }}>
        {CONTROL_PATH.map((point) => (
          <PointButton
            key={point.id}
            point={point}
            state={tested[point.id]}
            proven={control.proven.includes(point.id)}
            isNext={refusal === undefined && control.next?.id === point.id}
            onClick={() => bench.point(point.id)}
          />
        ))}
      </Box>
      <Typography sx={{ color: 'text.secondary' }}>{refusal ? '' : whereItIs(control)}</Typography>
    </Box>
  )
}
