'use client'
import Box from '@mui/material/Box'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { unknownOf } from '@/core/record/equipment/asked'
import type { StageProps } from '../shared/stageProps'
import { AskFirst } from '../shared/unit/AskUnit'
import { CleanUpView } from './CleanUpView'
import { DayView } from './DayView'
import { PartsView } from './PartsView'
import { type PlanView, usePlanView } from '../shared/address/usePlanView'
import { RefrigerantView } from './RefrigerantView'

const VIEWS = [
  ['clean-up', 'Clean-up', CleanUpView],
  ['refrigerant', 'Refrigerant', RefrigerantView],
  ['parts', 'Parts', PartsView],
  ['day', 'Day', DayView],
] as const satisfies readonly (readonly [PlanView, string, unknown])[]

/** Clean-up, refrigerant, parts, the day: one at a time, each with its answer at the top. */
export function PlanStage({ job, change, display, answer: { plan } }: StageProps) {
  const [view, setView] = usePlanView()
  const unknown = unknownOf(job.unit)
  if (unknown.length > 0)
    return (
      <Box sx={{ p: 2, maxWidth: 520 }}>
        <AskFirst plate={job.unit} asks={unknown} change={change} />
      </Box>
    )
  const Content = VIEWS.find(([id]) => id === view)?.[2] ?? CleanUpView
  return (
    <Box sx={{ p: { xs: 1.5, md: 2 }, pt: { xs: 0, md: 0 } }}>
      <Tabs
        value={view}
        onChange={(_event, next: PlanView) => setView(next)}
        aria-label="Parts of the plan"
        variant="fullWidth"
        sx={{ mb: 1.5, borderBottom: 1, borderColor: 'divider' }}
      >
        {VIEWS.map(([id, label]) => (
          <Tab
            key={id}
            value={id}
            label={label}
            id={`plan-tab-${id}`}
            sx={{ minHeight: 48, fontSize: '1rem', minWidth: 0, px: 0.5 }}
          />
        ))}
      </Tabs>
      <Box role="tabpanel" aria-labelledby={`plan-tab-${view}`}>
        <Content job={job} change={change} display={display} plan={plan} />
      </Box>
    </Box>
  )
}
