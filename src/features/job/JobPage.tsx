'use client'
import { mainMode } from '@/core/record/equipment/kinds'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import CircularProgress from '@mui/material/CircularProgress'
import useMediaQuery from '@mui/material/useMediaQuery'
import Link from 'next/link'
import { useCallback, useMemo } from 'react'
import { type Suspect, suspectKey } from '@/core/answer/diagnose'
import type { Stage } from '@/core/record/job/job'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { StoredJob } from '@/data/jobs'
import { percent } from '@/ui/percent'
import { IS_WIDE } from '@/ui/theme/theme'
import { ArriveStage } from '../arrive/ArriveStage'
import { CloseStage } from '../close/CloseStage'
import { DiagnoseStage } from '../diagnose/DiagnoseStage'
import { GateAnswer } from '../diagnose/GateAnswer'
import { MeasureStage } from '../measure/MeasureStage'
import { PlanAnswer } from '../plan/PlanAnswer'
import { PlanStage } from '../plan/PlanStage'
import { useLook } from '../settings/DisplayProvider'
import { useScreenOn } from '../settings/useScreenOn'
import { Answer } from './Answer'
import { JobHeader } from './JobHeader'
import { PhoneSheet } from './PhoneSheet'
import type { StageProps } from './stageProps'
import { StageRail } from './StageRail'
import { stageStates } from './stages'
import { useDiagnosis } from './useDiagnosis'
import { type DisplayUnits, useDisplay } from './useDisplay'
import { type Steps, useJob } from './useJob'
import { useLooking } from './useLooking'
import { useStageKeys } from './useStageKeys'

const WORK = {
  arrive: ArriveStage,
  measure: MeasureStage,
  diagnose: DiagnoseStage,
  plan: PlanStage,
  close: CloseStage,
} as const
const ANSWER = {
  arrive: Answer,
  measure: Answer,
  diagnose: GateAnswer,
  plan: PlanAnswer,
  close: Answer,
} as const

/** Before the first reading there is an empty set to look at. */
const EMPTY_SETS: Readonly<Record<'cooling' | 'heating', ReadingSet>> = {
  cooling: { mode: 'cooling', readings: {} },
  heating: { mode: 'heating', readings: {} },
}

function useStageProps(
  job: StoredJob,
  change: StageProps['change'],
): StageProps & { setTemperature: ReturnType<typeof useDisplay>['setTemperature'] } {
  const { temperature, pressure, chosen: units, setTemperature, rememberUnit } = useDisplay()
  const { setIndex: chosen, suspect: looked, tap, look } = useLooking(job.id)
  const last = Math.max(job.readingSets.length - 1, 0)
  const setIndex = chosen !== undefined && chosen <= last ? chosen : last
  const set = job.readingSets[setIndex] ?? EMPTY_SETS[mainMode(job.unit)]
  const diagnosis = useDiagnosis(job, set, temperature)
  const chosenUnits = JSON.stringify(units)
  const display = useMemo<DisplayUnits>(
    () => ({ temperature, pressure, chosen: JSON.parse(chosenUnits) as DisplayUnits['chosen'] }),
    [temperature, pressure, chosenUnits],
  )
  const suspect =
    diagnosis.suspects.find((each) => suspectKey(each) === looked) ?? (diagnosis.suspects[0] as Suspect)
  return {
    job,
    change,
    display,
    rememberUnit,
    setTemperature,
    setIndex,
    chooseSet: (index) => look({ setIndex: index }),
    set,
    diagnosis,
    suspect,
    chooseSuspect: (key) => look({ suspect: key }),
    tap,
    openTap: (key) => look({ tap: key }),
  }
}

/** What stands on the phone's bar while the answer is folded away. */
function peekOf(stage: Stage, { diagnosis, suspect }: StageProps): { label: string; value: string } {
  if (stage === 'plan') return { label: 'Time, class, what is inside', value: '' }
  const shown = stage === 'diagnose' ? suspect : (diagnosis.suspects[0] as Suspect)
  const label = stage === 'diagnose' ? `Gate: ${shown.label}` : shown.label
  return { label, value: percent(shown.probability) }
}

function OpenJob({
  job,
  change: save,
  steps,
  stage,
}: {
  job: StoredJob
  change: StageProps['change']
  steps: Steps
  stage: Stage
}) {
  // A job stands at the stage where it was last changed; looking alone moves nothing.
  const change = useCallback<StageProps['change']>(
    (recipe) => save((current) => ({ ...recipe(current), stage })),
    [save, stage],
  )
  const props = useStageProps(job, change)
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const keys = useStageKeys(job.id, steps)
  useScreenOn(useLook().screenOn)
  const [Work, Side] = [WORK[stage], ANSWER[stage]]
  const rail = <StageRail jobId={job.id} current={stage} states={stageStates(job)} />
  const header = <JobHeader {...props} steps={steps} />
  if (!isWide) {
    return (
      <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
        {header}
        <Box component="main" sx={{ flex: 1, pb: '136px', minWidth: 0 }}>
          <Work key={props.setIndex} {...props} />
        </Box>
        <Box sx={{ position: 'fixed', bottom: 0, left: 0, right: 0, zIndex: 2 }}>
          <PhoneSheet {...peekOf(stage, props)}>
            <Side {...props} />
          </PhoneSheet>
          {rail}
        </Box>
      </Box>
    )
  }
  return (
    <Box sx={{ height: '100dvh', display: 'grid', gridTemplateRows: 'auto 1fr', overflow: 'hidden' }}>
      {header}
      <Box sx={{ display: 'grid', gridTemplateColumns: '88px minmax(0, 1fr) 300px', minHeight: 0 }}>
        {rail}
        <Box component="main" sx={{ overflowY: 'auto', minHeight: 0 }}>
          <Work key={props.setIndex} {...props} />
        </Box>
        <Box
          component="aside"
          aria-label="Answer"
          // it scrolls: the keyboard must reach it
          tabIndex={0}
          sx={{ overflowY: 'auto', borderLeft: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
        >
          <Side {...props} />
        </Box>
      </Box>
      {keys}
    </Box>
  )
}

/** One job at one stage. */
export function JobPage({ jobId, stage }: { jobId: string; stage: Stage }) {
  const found = useJob(jobId)
  if (found.state === 'loading') {
    return (
      <Box sx={{ height: '100dvh', display: 'grid', placeItems: 'center' }}>
        <CircularProgress aria-label="Loading the job" />
      </Box>
    )
  }
  if (found.state === 'missing') {
    return (
      <Box component="main" sx={{ p: 4, display: 'grid', gap: 2, justifyItems: 'start' }}>
        <h1>This job is not in this browser</h1>
        <p>Import its .orzo.json file, or open it in the browser where it was entered.</p>
        <Button component={Link} href="/" variant="contained">
          All jobs
        </Button>
      </Box>
    )
  }
  return (
    <>
      {found.problem && (
        <Alert
          severity="error"
          onClose={found.dismiss}
          sx={{ position: 'fixed', zIndex: 10, top: 8, left: 8, right: 8 }}
        >
          {found.problem}
        </Alert>
      )}
      <OpenJob job={found.job} change={found.change} steps={found.steps} stage={stage} />
    </>
  )
}
