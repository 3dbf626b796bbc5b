'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Drawer from '@mui/material/Drawer'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import useMediaQuery from '@mui/material/useMediaQuery'
import { type ReactNode, useState } from 'react'
import type { PlacedKey } from '@/ui/circuit/seenPlaces'
import { TapList } from '@/ui/pad/TapList'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../shared/stageProps'
import { useLook } from '../shared/display/DisplayProvider'
import { CircuitPane } from '../shared/circuit/CircuitPane'
import { ComparePane } from './ComparePane'
import { LadderPane } from './LadderPane'
import { LivePanel } from './live/LivePanel'
import { PadPanel } from './PadPanel'
import { SeenPanel } from './SeenPanel'
import { seenOnDrawing } from '../shared/circuit/seenOnDrawing'
import { SetBar } from '../shared/sets/SetBar'
import { markDoubtful, noteReading, observe } from '@/core/record/edits/readingEdits'
import { useKept } from './useKept'
import { useMeasure } from './useMeasure'

/** The large pane of the stage. */
const VIEWS = ['circuit', 'ladder', 'compare'] as const
type View = (typeof VIEWS)[number]
/** What stands beside it, on a phone instead of it. */
const PANELS = ['ladder', 'list', 'seen', 'live'] as const
type Panel = (typeof PANELS)[number]

const LABELS: Readonly<Record<View | Panel, string>> = {
  circuit: 'Circuit',
  ladder: 'Ladder',
  compare: 'Compare',
  list: 'List',
  seen: 'Seen',
  live: 'Live',
}

type Measure = ReturnType<typeof useMeasure>
type PaneProps = { props: StageProps; measure: Measure }
type Asking = { asking: PlacedKey | undefined; onAsk: (key: PlacedKey | undefined) => void }

function ListPanel({ measure: { views, entry, select, order } }: Pick<PaneProps, 'measure'>) {
  const [editing, setEditing] = useState(false)
  return (
    <>
      <TapList
        taps={views}
        selected={entry.draft?.key}
        onSelect={select}
        onMove={editing ? order.move : undefined}
      />
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
function CircuitView({
  props,
  measure,
  asking,
  height,
}: PaneProps & { asking: PlacedKey | undefined; height?: number }) {
  const { job, set, setId, change } = props
  const seen =
    asking &&
    seenOnDrawing(
      job.unit,
      asking,
      set.observations ?? {},
      (word) => void change(observe(setId, asking, word)),
    )
  return (
    <CircuitPane
      {...props}
      {...(height === undefined ? {} : { height })}
      taps={measure.views}
      selected={measure.entry.draft?.key}
      onSelect={measure.select}
      seen={seen}
    />
  )
}

function PanelOf({ panel, props, measure, asking, onAsk }: PaneProps & Asking & { panel: Panel }): ReactNode {
  if (panel === 'ladder')
    return (
      <Box sx={{ height: '100%', px: 1 }}>
        <LadderPane {...props} />
      </Box>
    )
  if (panel === 'list') return <ListPanel measure={measure} />
  if (panel === 'seen') return <SeenPanel {...props} asking={asking} onAsk={onAsk} />
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

function ViewOf({ view, props, measure, asking }: PaneProps & { view: View; asking: PlacedKey | undefined }) {
  if (view === 'circuit') return <CircuitView props={props} measure={measure} asking={asking} />
  return view === 'ladder' ? <LadderPane {...props} withExport /> : <ComparePane {...props} />
}

function Pad({ props, measure }: PaneProps) {
  const { hand } = useLook()
  const { set, setId, change } = props
  const { entry, keys } = measure
  return (
    <PadPanel
      entry={entry}
      order={keys}
      hand={hand}
      reading={entry.draft && set.readings[entry.draft.key]}
      onDoubt={(key, doubtful) => void change(markDoubtful(setId, key, doubtful))}
      onNote={(key, note) => change(noteReading(setId, key, note))}
    />
  )
}

function Misfit({ measure: { message, setMessage } }: Pick<PaneProps, 'measure'>) {
  return message ? (
    <Alert severity="warning" onClose={() => setMessage(undefined)}>
      {message}
    </Alert>
  ) : null
}

/** Where one looks: kept while the tab lives. */
function usePlaces(jobId: string) {
  const [view, setView] = useKept<View>(`view ${jobId}`, 'circuit')
  const [panel, setPanel] = useKept<Panel>(`panel ${jobId}`, 'ladder')
  const [asking, setAsking] = useState<PlacedKey>()
  const onAsk = (key: PlacedKey | undefined) => {
    setAsking(key)
    if (key) setView('circuit')
  }
  const choosePanel = (next: Panel) => {
    if (next !== 'seen') setAsking(undefined)
    setPanel(next)
  }
  return { view, setView, panel, choosePanel, asking, onAsk }
}

function Wide({ props, measure }: PaneProps) {
  const { view, setView, panel, choosePanel, asking, onAsk } = usePlaces(props.job.id)
  const { hand } = useLook()
  const shown: Panel = view === 'ladder' && panel === 'ladder' ? 'list' : panel
  const main = (
    <Box key="main" sx={{ minHeight: 0, minWidth: 0, overflow: 'auto', px: 1 }}>
      <ViewOf view={view} props={props} measure={measure} asking={asking} />
    </Box>
  )
  const side = (
    <Box
      key="side"
      sx={{
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        borderLeft: hand === 'right' ? 1 : 0,
        borderRight: hand === 'left' ? 1 : 0,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <Tabs
        value={shown}
        onChange={(_event, value: Panel) => choosePanel(value)}
        variant="fullWidth"
        aria-label="Beside the drawing"
        sx={{ flexShrink: 0, '& .MuiTab-root': { minWidth: 0, px: 1 } }}
      >
        {PANELS.filter((each) => each !== 'ladder' || view !== 'ladder').map((each) => (
          <Tab key={each} value={each} label={LABELS[each]} />
        ))}
      </Tabs>
      <Misfit measure={measure} />
      <Box sx={{ overflowY: 'auto', minHeight: 0, flex: 1, borderTop: 1, borderColor: 'divider' }}>
        <PanelOf panel={shown} {...{ props, measure, asking, onAsk }} />
      </Box>
      <Box sx={{ borderTop: 1, borderColor: 'divider' }}>
        <Pad props={props} measure={measure} />
      </Box>
    </Box>
  )
  const columns =
    view === 'compare' ? '1fr' : hand === 'right' ? 'minmax(0, 1fr) 340px' : '340px minmax(0, 1fr)'
  return (
    <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
      <SetBar {...props}>
        <ToggleButtonGroup
          exclusive
          value={view}
          aria-label="View"
          onChange={(_event, value: View | null) => value && setView(value)}
          sx={{ ml: 'auto' }}
        >
          {VIEWS.map((each) => (
            <ToggleButton key={each} value={each} sx={{ px: 1.25 }}>
              {LABELS[each]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </SetBar>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: columns,
          minHeight: 0,
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        {view === 'compare' ? main : hand === 'right' ? [main, side] : [side, main]}
      </Box>
    </Box>
  )
}

const PHONE_TABS = ['circuit', 'ladder', 'list', 'seen', 'live', 'compare'] as const
type PhoneTab = (typeof PHONE_TABS)[number]
const PHONE_CIRCUIT = 560

function Phone({ props, measure }: PaneProps) {
  const [tab, setTab] = useKept<PhoneTab>(`phone ${props.job.id}`, 'circuit')
  const [asking, setAsking] = useState<PlacedKey>()
  const { entry } = measure
  const onAsk = (key: PlacedKey | undefined) => {
    setAsking(key)
    if (key) setTab('circuit')
  }
  const content = () => {
    if (tab === 'circuit')
      return <CircuitView props={props} measure={measure} asking={asking} height={PHONE_CIRCUIT} />
    if (tab === 'compare') return <ComparePane {...props} />
    if (tab === 'ladder')
      return (
        <Box sx={{ height: 460 }}>
          <LadderPane {...props} withExport />
        </Box>
      )
    return <PanelOf panel={tab} {...{ props, measure, asking, onAsk }} />
  }
  return (
    <Box>
      <SetBar {...props} />
      <Tabs
        value={tab}
        onChange={(_event, value: PhoneTab) => setTab(value)}
        variant="scrollable"
        allowScrollButtonsMobile
        aria-label="Views"
        sx={{ borderBottom: 1, borderColor: 'divider', '& .MuiTab-root': { minWidth: 0, px: 1.5 } }}
      >
        {PHONE_TABS.map((each) => (
          <Tab key={each} value={each} label={LABELS[each]} />
        ))}
      </Tabs>
      <Misfit measure={measure} />
      {asking && tab === 'circuit' && (
        <Alert severity="info" onClose={() => setAsking(undefined)}>
          Tap the place, then close this line.
        </Alert>
      )}
      <Box sx={{ px: tab === 'circuit' || tab === 'ladder' ? 1 : 0 }}>{content()}</Box>
      <Drawer anchor="bottom" open={entry.draft !== undefined} onClose={entry.close}>
        <Pad props={props} measure={measure} />
      </Drawer>
    </Box>
  )
}

/** The circuit with its taps, the ladder, what is seen, the instruments; the pad opens at the tap. */
export function MeasureStage(props: StageProps) {
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const measure = useMeasure(props)
  return isWide ? <Wide props={props} measure={measure} /> : <Phone props={props} measure={measure} />
}
