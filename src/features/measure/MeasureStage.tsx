'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Drawer from '@mui/material/Drawer'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import type { PlacedKey } from '@/core/record/readings/observations'
import { IS_WIDE } from '@/ui/theme/theme'
import { useLook } from '../shared/display/DisplayProvider'
import { SetBar } from '../shared/sets/SetBar'
import { unitAs } from '@/core/record/equipment/unitAs'
import type { StageProps } from '../shared/stageProps'
import { ComparePane } from './ComparePane'
import { LadderPane } from './LadderPane'
import {
  CircuitView,
  LABELS,
  Misfit,
  Pad,
  type PaneProps,
  type Panel,
  PanelOf,
  PANELS,
  type View,
  ViewOf,
  VIEWS,
} from './panes'
import { useInAddress } from '../shared/address/useAddress'
import { useMeasure } from './useMeasure'

/** Where one looks, from the address. */
function usePlaces() {
  const [view, setView] = useInAddress<View>('view', 'circuit', VIEWS)
  const [panel, setPanel] = useInAddress<Panel>('panel', 'ladder', PANELS)
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
  const { view, setView, panel, choosePanel, asking, onAsk } = usePlaces()
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
      <Box sx={{ overflowY: 'auto', minHeight: 0, flex: '1 1 0', borderTop: 1, borderColor: 'divider' }}>
        <PanelOf panel={shown} {...{ props, measure, asking, onAsk }} />
      </Box>
      {/* where there is no room for all of it, it scrolls: nothing of it is ever cut off */}
      <Box sx={{ borderTop: 1, borderColor: 'divider', flex: '0 1 auto', minHeight: 0, overflowY: 'auto' }}>
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
  const [tab, setTab] = useInAddress<PhoneTab>('view', 'circuit', PHONE_TABS)
  const [asking, setAsking] = useState<PlacedKey>()
  const { entry, open } = measure
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
      <Drawer anchor="bottom" open={open !== undefined} onClose={entry.close}>
        <Pad props={props} measure={measure} />
      </Drawer>
    </Box>
  )
}

/** The circuit with its taps, the ladder, what is seen, the instruments; the pad opens at the tap. */
export function MeasureStage(given: StageProps) {
  // a set is drawn and understood by what was inside when it was taken
  const props = { ...given, unit: unitAs(given.unit, given.set.refrigerant) }
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const measure = useMeasure(props)
  return isWide ? <Wide props={props} measure={measure} /> : <Phone props={props} measure={measure} />
}
