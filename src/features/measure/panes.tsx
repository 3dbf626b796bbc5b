'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { type ReactNode, useState } from 'react'
import { markDoubtful, noteReading, observe, togglePlace } from '@/core/record/edits/readingEdits'
import {
  type ObservationKey,
  observationRow,
  type ObservationValue,
  type PlacedKey,
} from '@/core/record/readings/observations'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { TapList } from '@/ui/pad/TapList'
import { CircuitPane } from '../shared/circuit/CircuitPane'
import { seenOnDrawing } from '../shared/circuit/seenOnDrawing'
import { useLook } from '../shared/display/DisplayProvider'
import type { StageProps } from '../shared/stageProps'
import { ComparePane } from './ComparePane'
import { LadderPane } from './LadderPane'
import { LivePanel } from './live/LivePanel'
import { PadSaturation } from '../shared/entry/PadSaturation'
import { AskUnit } from '../shared/unit/AskUnit'
import { unknownOf } from '@/core/record/equipment/asked'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { PadPanel } from './PadPanel'
import { SeenPanel } from './SeenPanel'
import type { PadEntry } from '../shared/entry/padEntry'
import { useUnitChoice } from './useEntry'
import type { useMeasure } from './useMeasure'

/** The large pane of the stage. */
export const VIEWS = ['circuit', 'ladder', 'compare'] as const
export type View = (typeof VIEWS)[number]
/** What stands beside it, on a phone instead of it. */
export const PANELS = ['ladder', 'list', 'seen', 'live'] as const
export type Panel = (typeof PANELS)[number]

export const LABELS: Readonly<Record<View | Panel, string>> = {
  circuit: 'Circuit',
  ladder: 'Ladder',
  compare: 'Compare',
  list: 'List',
  seen: 'Seen',
  live: 'Live',
}

type Measure = ReturnType<typeof useMeasure>
export type PaneProps = { props: StageProps; measure: Measure }
type Asking = { asking: PlacedKey | undefined; onAsk: (key: PlacedKey | undefined) => void }

function ListPanel({ measure: { views, open, select, order } }: Pick<PaneProps, 'measure'>) {
  const [editing, setEditing] = useState(false)
  return (
    <>
      <TapList taps={views} selected={open} onSelect={select} onMove={editing ? order.move : undefined} />
      <Box sx={{ p: 1, display: 'flex', gap: 1 }}>
        <Button color="inherit" aria-pressed={editing} onClick={() => setEditing(!editing)}>
          {editing ? 'Done' : 'Change the order'}
        </Button>
        {order.isOwn && (
          <Button color="inherit" onClick={order.reset}>
            Usual order
          </Button>
        )}
      </Box>
    </>
  )
}

/** The circuit with its taps, or with the places of what is asked. */
export function CircuitView({
  props,
  measure,
  asking,
  height,
}: PaneProps & { asking: PlacedKey | undefined; height?: number }) {
  const { unit, set, setId, change } = props
  const seen =
    asking &&
    seenOnDrawing(
      unit,
      asking,
      set,
      (word) => void change(togglePlace(setId, asking, word as ObservationValue<PlacedKey>)),
    )
  return (
    <CircuitPane
      unit={unit}
      metering={props.job.unit.metering}
      set={set}
      diagnosis={props.diagnosis}
      display={props.display}
      {...(height === undefined ? {} : { height })}
      taps={measure.views}
      selected={measure.open}
      onSelect={measure.select}
      seen={seen}
    />
  )
}

/** What stands beside the drawing. */
export function PanelOf({
  panel,
  props,
  measure,
  asking,
  onAsk,
}: PaneProps & Asking & { panel: Panel }): ReactNode {
  if (panel === 'ladder')
    return (
      <Box sx={{ height: '100%', px: 1 }}>
        <LadderPane {...props} />
      </Box>
    )
  if (panel === 'list') return <ListPanel measure={measure} />
  if (panel === 'seen') return <SeenPanel {...props} unit={props.unit} asking={asking} onAsk={onAsk} />
  return (
    <LivePanel
      live={measure.live}
      stage={props}
      taps={measure.keys}
      held={measure.held}
      onHold={measure.hold}
      onCapture={measure.capture}
      auto={measure.auto}
      onAuto={measure.setAuto}
    />
  )
}

/** The large pane. */
export function ViewOf({
  view,
  props,
  measure,
  asking,
}: PaneProps & { view: View; asking: PlacedKey | undefined }) {
  if (view === 'circuit') return <CircuitView props={props} measure={measure} asking={asking} />
  return view === 'ladder' ? <LadderPane {...props} withExport /> : <ComparePane {...props} />
}

/** What must be known for a pressure to mean anything; the kind is asked beside. */
const askedAt = ({ job }: StageProps, key: ReadingKey) =>
  readingRow(key).kind === 'pressure' ? unknownOf(job.unit).find((field) => field !== 'kind') : undefined

/** Where an instrument showed its own figure: another one is right at another place. */
const SHOWN_AT: { readonly [K in ReadingKey]?: ObservationKey } = {
  superheatShown: 'superheatShownAt',
  subcoolingShown: 'subcoolingShownAt',
}

function ShownWhere({ set, setId, change, open }: StageProps & { open: ReadingKey }) {
  const word = SHOWN_AT[open]
  if (!word) return null
  const { label, values } = observationRow(word)
  return (
    <Box sx={{ px: 1.25 }}>
      <ChoiceChips
        label={label}
        values={values}
        value={set.observations?.[word]}
        onChange={(place) => void change(observe(setId, word, place))}
      />
    </Box>
  )
}

/** What a pressure means as a temperature; what of the unit must be known for that is asked here. */
function PadMeaning({ props, entry, open }: { props: StageProps; entry: PadEntry; open: ReadingKey }) {
  const { job, unit, display, change } = props
  const asked = askedAt(props, open)
  return (
    <>
      {job.unit.refrigerant && <PadSaturation entry={entry} unit={unit} display={display} />}
      {asked && <AskUnit plate={job.unit} asks={[asked]} change={change} />}
    </>
  )
}

/** The pad of the open tap. */
export function Pad({ props, measure }: PaneProps) {
  const { hand } = useLook()
  const { set, setId, change } = props
  const { entry, open, keys } = measure
  const onUnit = useUnitChoice(entry, props.rememberUnit)
  if (open === undefined) return null
  return (
    <PadPanel
      entry={entry}
      open={open}
      order={keys}
      hand={hand}
      reading={set.readings[open]}
      meaning={
        readingRow(open).kind === 'pressure' ? (
          <PadMeaning props={props} entry={entry} open={open} />
        ) : (
          <ShownWhere {...props} open={open} />
        )
      }
      compact={askedAt(props, open) !== undefined || SHOWN_AT[open] !== undefined}
      onDoubt={(key, doubtful) => void change(markDoubtful(setId, key, doubtful))}
      onNote={(key, note) => change(noteReading(setId, key, note))}
      onUnit={onUnit}
    />
  )
}

/** What a probe that does not fit its tap is told. */
export function Misfit({ measure: { message, setMessage } }: Pick<PaneProps, 'measure'>) {
  return message ? (
    <Alert severity="warning" onClose={() => setMessage(undefined)}>
      {message}
    </Alert>
  ) : null
}
