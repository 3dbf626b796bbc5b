'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { unknownOf } from '@/core/record/equipment/asked'
import { isDecided } from '@/core/record/job/decisions'
import type { GatePlace } from '@/core/repair/work/gatePlaces'
import type { RunSheet, StepState } from '@/core/repair/work/runSheet'
import { JobAnchor } from '../shared/address/JobAnchor'
import { lookAt, useInAddress } from '../shared/address/useAddress'
import { goToPlace } from '../shared/place/PlaceButton'
import { DecideAny } from '../shared/decide/DecideAny'
import { AnotherRepair } from '../shared/rounds/AnotherRepair'
import type { StageProps } from '../shared/stageProps'
import { AskFirst } from '../shared/unit/AskUnit'
import { AddStep } from './AddStep'
import { StepList } from './StepList'
import { StepView } from './StepView'
import { TakenOffView } from './TakenOffView'
import { useSheet } from './useSheet'
import { WorkOver } from './WorkOver'

const VIEWS = ['step', 'all', 'off'] as const
type View = (typeof VIEWS)[number]
const OPEN_STATES: readonly StepState[] = ['ready', 'paused', 'blocked']

const Undecided = ({ jobId }: { jobId: string }) => (
  <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
    <Typography variant="h2">Nothing is decided yet</Typography>
    <Typography>
      The run sheet follows the plan, and the plan a decision: decide on Diagnose what is repaired.
    </Typography>
    <Button component={JobAnchor} jobId={jobId} page="diagnose" variant="outlined" sx={{ minHeight: 48 }}>
      To Diagnose
    </Button>
  </Box>
)

function Views({ view, onView, sheet }: { view: View; onView: (view: View) => void; sheet: RunSheet }) {
  const labels: Readonly<Record<View, string>> = {
    step: 'Step',
    all: `All steps, ${sheet.done}\u00a0of\u00a0${sheet.steps.length}`,
    off: 'Taken off',
  }
  return (
    <Tabs
      value={view}
      onChange={(_event, next: View) => onView(next)}
      aria-label="Parts of the work"
      variant="fullWidth"
      sx={{ mb: 1.5, borderBottom: 1, borderColor: 'divider' }}
    >
      {VIEWS.map((id) => (
        <Tab
          key={id}
          value={id}
          label={labels[id]}
          id={`work-tab-${id}`}
          sx={{ minHeight: 48, fontSize: '1rem', minWidth: 0, px: 0.5 }}
        />
      ))}
    </Tabs>
  )
}

/** The step that stands on the screen, while it can still be begun and no other one has hands on it. */
const heldStep = ({ steps, current }: RunSheet, held: string | undefined) =>
  current?.state === 'hands'
    ? undefined
    : steps.find(({ task, state }) => task.id === held && OPEN_STATES.includes(state))

/** Which step stands on the screen: the chosen one, the one that stood there, else the one to which the sheet leads. */
function useStepOnScreen(sheet: RunSheet, isOrdered: boolean) {
  const [chosen, setChosen] = useInAddress<string>('step', '')
  // what was shown stays under the thumb until something is done with it
  const [held, setHeld] = useState<string>()
  // by a tap or a key: what one is led to is told
  const [isLed, setLed] = useState(false)
  // a step that was chosen stays on the screen until it is ended here; then the sheet leads again
  const all = [...sheet.steps, ...sheet.unplanned]
  const step = all.find(({ task }) => task.id === chosen) ?? heldStep(sheet, held) ?? sheet.current
  if (isOrdered && step && step.task.id !== held) setHeld(step.task.id)
  const open = (id: string) => {
    setLed(true)
    lookAt({ step: id, view: undefined })
  }
  const move = (by: 1 | -1) => {
    const to = all[all.findIndex(({ task }) => task.id === step?.task.id) + by]
    if (to) open(to.task.id)
  }
  const over = () => {
    setLed(true)
    setHeld(undefined)
    setChosen('')
  }
  return { step, isLed, open, move, over }
}

/** The run sheet: the step that is on, large; all steps; what came off. */
export function WorkStage(props: StageProps) {
  const [view, setView] = useInAddress<View>('view', 'step', VIEWS)
  const { sheet, now, isOrdered } = useSheet(props)
  const { step, isLed, open, move, over } = useStepOnScreen(sheet, isOrdered)
  const unknown = unknownOf(props.job.unit)
  if (unknown.length > 0)
    return (
      <Box sx={{ p: 2, maxWidth: 520 }}>
        <AskFirst plate={props.job.unit} asks={unknown} change={props.change} />
      </Box>
    )
  const isUndecided = !isDecided(props.job)
  if (isUndecided && sheet.unplanned.length === 0)
    return (
      <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
        <Undecided jobId={props.job.id} />
        <DecideAny {...props} />
      </Box>
    )
  const isShown = isOrdered || isUndecided
  const goTo = (place: GatePlace) => {
    if (place.at === 'step') open(place.task)
    else if (place.at === 'off') setView('off')
    else goToPlace(props.job.id, place)
  }
  return (
    <Box sx={{ p: { xs: 1.5, md: 2 }, pt: { xs: 0, md: 0 } }}>
      <Views view={view} onView={setView} sheet={sheet} />
      {isUndecided && <Undecided jobId={props.job.id} />}
      <Box role="tabpanel" aria-labelledby={`work-tab-${view}`}>
        {view !== 'off' && !isShown && <Typography>Putting the steps in order</Typography>}
        {view === 'step' && isShown && step && (
          <StepView
            key={step.task.id}
            {...props}
            step={step}
            sheet={sheet}
            now={now}
            takesFocus={isLed}
            onOver={over}
            onMove={move}
            onOpen={goTo}
          />
        )}
        {view === 'step' && !step && isUndecided && (
          <StepList sheet={sheet} current={undefined} onOpen={open} />
        )}
        {view === 'step' && !step && !isUndecided && (
          <Box sx={{ display: 'grid', gap: 3 }}>
            <WorkOver job={props.job} verdicts={props.answer.verdicts} onOpen={open} />
            <AnotherRepair {...props} />
          </Box>
        )}
        {view === 'all' && isShown && (
          <Box sx={{ display: 'grid', gap: 2 }}>
            <StepList sheet={sheet} current={step?.task.id} onOpen={open} />
            <AddStep
              job={props.job.id}
              change={props.change}
              after={step && { id: step.task.id, label: step.task.label }}
              onAdded={open}
            />
          </Box>
        )}
        {view === 'off' && <TakenOffView {...props} />}
      </Box>
    </Box>
  )
}
