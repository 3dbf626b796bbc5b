'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import Typography from '@mui/material/Typography'
import { canObserve } from '@/core/record/equipment/observable'
import { refusalOfReading } from '@/core/diagnosis/checks/bench'
import type { ObservationKey } from '@/core/record/readings/observations'
import { placeWordOf } from '@/core/record/readings/ohmPlaces'
import { OPEN_OHMS } from '@/core/record/readings/openOhms'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { ELECTRICAL_CAUTIONS } from '@/core/safety/electricalCautions'
import { vetoSentence } from '@/core/safety/vetoes'
import { EntryPad } from '../../shared/entry/EntryPad'
import { useOpenKey } from '../../shared/entry/useReadingEntry'
import { Asked } from './Asked'
import { cautionOf, nextWinding, partsOf } from './probes'
import type { BenchProps } from './useBench'

/** Words that belong to one reading and are asked beside it. */
const BESIDE: { readonly [K in ReadingKey]?: readonly ObservationKey[] } = {
  ohmsToGround: ['groundMeasuredAt', 'groundInstrument', 'groundPath', 'terminalCover', 'pressureOff'],
  solenoidVolts: ['jumpAtUnit', 'jumpAtThermostat'],
  inrushAmps: ['compressorState', 'hardStart'],
}
const WINDING = /^ohms(T|C|R)/
const WINDING_WORDS: readonly ObservationKey[] = ['windingsMeasuredAt', 'compressorShell']

/** The caution first, then the pad, then what belongs to this reading. */
export function BenchEntry({ unit, set, bench, vetoes }: BenchProps) {
  const { entry, store, see } = bench
  const key = useOpenKey(entry)
  if (!key) return null
  const { kind, label } = readingRow(key)
  const placeWord = placeWordOf(key)
  const isThere = placeWord !== undefined && set.observations?.[placeWord] === 'terminals'
  const caution = cautionOf(key, isThere)
  const part = partsOf(unit).find(({ keys }) => keys.includes(key))
  const next = nextWinding(key, set.readings)
  const onward = () => (next ? entry.open(next) : entry.close())
  const beside = [...(BESIDE[key] ?? []), ...(WINDING.test(key) ? WINDING_WORDS : [])].filter((word) =>
    canObserve(unit, word),
  )
  const refusal = refusalOfReading(key, vetoes)
  return (
    <Box component="section" aria-label={`Enter: ${label}`}>
      <Typography role="note" sx={{ color: 'error.main', px: 1.25 }}>
        ⬣ {refusal ? vetoSentence(refusal) : ELECTRICAL_CAUTIONS[caution]}
        {key === 'ohmsToGround' && ` ${ELECTRICAL_CAUTIONS.insulation}`}
      </Typography>
      {part && part.keys.length > 1 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, px: 1.25, pt: 1 }}>
          {part.keys.map((each) => (
            <ToggleButton
              key={each}
              value={each}
              selected={each === key}
              onChange={() => entry.open(each)}
              sx={{ px: 1.25 }}
            >
              {readingRow(each).short}
            </ToggleButton>
          ))}
        </Box>
      )}
      <EntryPad entry={entry} onNext={onward} />
      {isThere && set.readings[key]?.place === 'contactor' && (
        <Typography role="note" sx={{ px: 1.25, pb: 1 }}>
          △ This was read from the contactor. At the terminals it proves nothing: measure it there again.
        </Typography>
      )}
      {kind === 'resistance' && (
        <Box sx={{ px: 1.25, pb: 1 }}>
          <Button
            variant="outlined"
            fullWidth
            onClick={() => {
              entry.discard()
              store(key, OPEN_OHMS)
              if (next) entry.open(next)
            }}
          >
            Open: the meter shows no path
          </Button>
        </Box>
      )}
      {beside.length > 0 && (
        <Box sx={{ px: 1.25 }}>
          <Asked keys={beside} observations={set.observations ?? {}} see={see} vetoes={vetoes} />
        </Box>
      )}
    </Box>
  )
}
