'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Drawer from '@mui/material/Drawer'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { canObserve } from '@/core/record/equipment/observable'
import type { ObservationKey } from '@/core/record/readings/observations'
import { IS_WIDE } from '@/ui/theme/theme'
import { useAskedTap } from '../../shared/entry/useAskedTap'
import { useOpenKey } from '../../shared/entry/useReadingEntry'
import type { StageProps } from '../../shared/stageProps'
import { Vetoes } from '../../shared/Vetoes'
import { wordsNow } from '../../shared/wordsNow'
import { Asked } from './Asked'
import { BenchDrawings } from './BenchDrawings'
import { BenchEntry } from './BenchEntry'
import { Findings } from './Findings'
import { UnmarkedTerminals } from './UnmarkedTerminals'
import { type Bench, useBench } from './useBench'

const SEEN: readonly ObservationKey[] = [
  'callForOperation',
  'compressorState',
  'compressorShell',
  'breaker',
  'contactorPoints',
  'lowPressureSwitch',
  'leadState',
  'startGear',
  'hardStart',
  'phaseSequence',
  'magnetPull',
  'jumpAtUnit',
  'jumpAtThermostat',
  'terminalCover',
  'pressureOff',
  'terminalLook',
]

/** Naming unmarked terminals, folded away until it is asked for. */
function Unmarked({ shell, store }: { shell: 'hot' | 'cold' | undefined; store: Bench['store'] }) {
  const [open, setOpen] = useState(false)
  return (
    <Box>
      <Button variant="outlined" color="inherit" onClick={() => setOpen((now) => !now)} aria-expanded={open}>
        {open ? 'Terminals are marked' : 'Terminals are not marked'}
      </Button>
      {open && (
        <UnmarkedTerminals
          hot={shell === undefined ? undefined : shell === 'hot'}
          onNamed={({ commonRun, commonStart, runStart }) => {
            store('ohmsCR', commonRun)
            store('ohmsCS', commonStart)
            store('ohmsRS', runStart)
            setOpen(false)
          }}
        />
      )}
    </Box>
  )
}

/** The electrical bench: a drawing to tap, what was entered, and what each test says. */
export function ElectricalBench(props: StageProps) {
  const { set, setId, change, diagnosis, unit } = props
  const { vetoes, state } = props.answer
  const words = wordsNow(set, state)
  const bench = useBench(props)
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const isOpen = useOpenKey(bench.entry) !== undefined
  useAskedTap(props, bench.entry.open)
  return (
    <Box
      sx={{
        px: 2,
        pb: 2,
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '356px minmax(0, 1fr)' },
      }}
    >
      <Box sx={{ gridColumn: '1 / -1', '&:empty': { display: 'none' } }}>
        <Vetoes observations={words} {...{ vetoes, unit, setId, change }} />
      </Box>
      <BenchDrawings unit={unit} set={set} bench={bench} vetoes={vetoes} />
      <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
        {isWide ? (
          <BenchEntry unit={unit} set={set} bench={bench} vetoes={vetoes} />
        ) : (
          <Drawer anchor="bottom" open={isOpen} onClose={bench.entry.close}>
            <ButtonBase
              onClick={bench.entry.close}
              sx={{ font: 'inherit', minHeight: 48, justifyContent: 'flex-end', px: 2, fontWeight: 600 }}
            >
              Done ▾
            </ButtonBase>
            <BenchEntry unit={unit} set={set} bench={bench} vetoes={vetoes} />
          </Drawer>
        )}
        {unit.power?.phase !== 3 && (
          <Unmarked shell={set.observations?.compressorShell} store={bench.store} />
        )}
        <section aria-labelledby="findings-title">
          <Typography id="findings-title" variant="h2">
            What it says
          </Typography>
          <Findings tests={diagnosis.tests} vetoes={vetoes} />
        </section>
        <section aria-labelledby="tried-title">
          <Typography id="tried-title" variant="h2">
            Seen and tried
          </Typography>
          <Asked
            keys={SEEN.filter((key) => canObserve(unit, key))}
            observations={words}
            see={bench.see}
            vetoes={vetoes}
          />
        </section>
      </Box>
    </Box>
  )
}
