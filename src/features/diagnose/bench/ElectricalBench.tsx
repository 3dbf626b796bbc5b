'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Drawer from '@mui/material/Drawer'
import ToggleButton from '@mui/material/ToggleButton'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { ELECTRICAL_CAUTIONS } from '@/core/safety/electricalCautions'
import { OPEN_OHMS } from '@/core/record/readings/openOhms'
import {
  COMPRESSOR_PATH,
  CONTROL_PATH,
  nextPoint,
  type PathResult,
} from '@/core/diagnosis/electrical/supplyPath'
import { canObserve } from '@/core/record/equipment/observable'
import { refusalOfPath, refusalOfReading, refusalOfWord, refusedValues } from '@/core/diagnosis/checks/bench'
import { type ObservationKey, observationRow } from '@/core/record/readings/observations'
import { type VetoId, vetoSentence } from '@/core/safety/vetoes'
import { Vetoes } from '../../shared/Vetoes'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Observations } from '@/core/record/readings/schema'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../../shared/stageProps'
import { wordsNow } from '../../shared/wordsNow'
import { Observed } from '../../shared/Observed'
import { observe, putReading, replaceReading, togglePoint } from '@/core/record/edits/readingEdits'
import { useAskedTap } from '../../shared/entry/useAskedTap'
import { EntryPad } from '../../shared/entry/EntryPad'
import { useDigitsToPad } from '../../shared/entry/useDigitsToPad'
import { useOpenKey, useReadingEntry } from '../../shared/entry/useReadingEntry'
import { BenchDrawing } from './BenchDrawing'
import { Findings } from './Findings'
import { PointButton } from './PointButton'
import { cautionOf, nextWinding, partsOf, readingBetween } from './probes'
import { UnmarkedTerminals } from './UnmarkedTerminals'

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
/** Words that belong to one reading and are asked beside it. */
const BESIDE: { readonly [K in ReadingKey]?: readonly ObservationKey[] } = {
  ohmsToGround: ['groundMeasuredAt', 'groundInstrument', 'groundPath', 'terminalCover', 'pressureOff'],
  solenoidVolts: ['jumpAtUnit', 'jumpAtThermostat'],
  inrushAmps: ['compressorState', 'hardStart'],
}
const WINDING = /^ohms(T|C|R)/
const WINDING_WORDS: readonly ObservationKey[] = ['windingsMeasuredAt', 'compressorShell']

function whereItIs({ between, next, done }: PathResult): string {
  if (between && done) {
    return `Found: live at ${between.live?.label.toLowerCase() ?? 'the source'}, dead at ${between.dead.label.toLowerCase()}. The fault lies between the two.`
  }
  if (done) return 'Live at the load: everything before it is proven.'
  return next ? `Test next: ${next.label.toLowerCase()}.` : ''
}

function useBench({ set, setId, change, display }: StageProps) {
  const entry = useReadingEntry(set.readings, display, (key, reading, original) =>
    change(putReading(setId, key, reading, original)),
  )
  useDigitsToPad(entry)
  const store = (key: ReadingKey, value: number) =>
    void change(replaceReading(setId, key, { value, unit: 'ohm' }))
  const see = (key: keyof Observations, value: string | number | undefined) =>
    void change(observe(setId, key, value))
  const point = (id: string) => void change(togglePoint(setId, id))
  return { entry, store, see, point }
}

type Bench = ReturnType<typeof useBench>

const NOTHING_BETWEEN =
  'Nothing is read between these two: tap two lines, two motor terminals, or a terminal and the shell.'

type BenchProps = { unit: UnitPlate; set: StageProps['set']; bench: Bench; vetoes: readonly VetoId[] }

/** Words that may be tried now; what was answered stays, with the reason why it is not tried again. */
function Asked({
  keys,
  observations,
  see,
  vetoes,
}: {
  keys: readonly ObservationKey[]
  observations: Observations
  see: Bench['see']
  vetoes: readonly VetoId[]
}) {
  const refused = keys.filter((key) => refusalOfWord(key, vetoes) && observations[key] === undefined)
  return (
    <>
      <Observed
        keys={keys.filter((key) => !refused.includes(key))}
        observations={observations}
        onChange={see}
        without={(key) => Object.keys(refusedValues(key, vetoes))}
      />
      {refused.length > 0 && (
        <Typography role="note" sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
          Not tried now: {refused.map((key) => observationRow(key).label.toLowerCase()).join('; ')}.
        </Typography>
      )}
    </>
  )
}

/** The caution first, then the pad, then what belongs to this reading. */
function Entry({ unit, set, bench, vetoes }: BenchProps) {
  const { entry, store, see } = bench
  const key = useOpenKey(entry)
  if (!key) return null
  const { kind, label } = readingRow(key)
  const caution = cautionOf(key, set.observations?.groundMeasuredAt === 'terminals')
  const part = partsOf(unit).find(({ keys }) => keys.includes(key))
  const next = nextWinding(key, set.readings)
  const onward = () => (next ? entry.open(next) : entry.close())
  const beside = [...(BESIDE[key] ?? []), ...(WINDING.test(key) ? WINDING_WORDS : [])]
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
function Drawings({ unit, set, bench, vetoes }: BenchProps) {
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
      <Drawings unit={unit} set={set} bench={bench} vetoes={vetoes} />
      <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
        {isWide ? (
          <Entry unit={unit} set={set} bench={bench} vetoes={vetoes} />
        ) : (
          <Drawer anchor="bottom" open={isOpen} onClose={bench.entry.close}>
            <ButtonBase
              onClick={bench.entry.close}
              sx={{ font: 'inherit', minHeight: 48, justifyContent: 'flex-end', px: 2, fontWeight: 600 }}
            >
              Done ▾
            </ButtonBase>
            <Entry unit={unit} set={set} bench={bench} vetoes={vetoes} />
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
