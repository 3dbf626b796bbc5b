'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useEffect, useMemo, useRef } from 'react'
import type { RecordProblem } from '@/core/record/job/assemble'
import type { StoredDocument, StoredJob } from '@/core/record/job/job'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { viewOf } from '@/core/record/job/rounds'
import { progressOf, type Stage, stageStates } from '@/core/record/job/stages'
import { systemClock } from '@/data/clock'
import { type SiteTime, SiteTimeContext } from '@/ui/siteClock'
import { IS_WIDE } from '@/ui/theme/theme'
import { jobPath } from '../shared/address/jobAddress'
import { Coming } from '../shared/Coming'
import { Nowhere } from '../shared/Nowhere'
import { type Answered, useAnswer } from '../shared/answer/useAnswer'
import { useKeptVerdicts } from '../shared/answer/useKeptVerdicts'
import { useSamples } from '../shared/answer/useSamples'
import { useLook } from '../shared/display/DisplayProvider'
import { useDisplay } from '../shared/display/useDisplay'
import { useScreenOn } from '../shared/display/useScreenOn'
import { type ChangeDocument, type Steps, useJob } from '../shared/record/useJob'
import type { StageProps } from '../shared/stageProps'
import { HeldSide, HeldStage, useOpened } from './HeldStage'
import { JobHeader } from './JobHeader'
import { PhoneSheet } from './PhoneSheet'
import { fetchStages, sideOf } from './registry'
import { StageRail } from './StageRail'
import { type Looking, useLooking } from './useLooking'
import { usePeek } from './usePeek'
import { useRound } from './useRound'
import { useStageKeys } from './useStageKeys'
import { chosenSet, useStageProps } from './useStageProps'

type OpenProps = { steps: Steps; stage: Stage }
type FoundProps = OpenProps & { document: StoredDocument; change: ChangeDocument }

/** The job with its first answer; until that is there, the page waits. */
function OpenJob({ document, change, ...open }: FoundProps) {
  const display = useDisplay()
  const looking = useLooking(document.id)
  const round = useRound(document, change, looking)
  const { job } = round
  const { answer, verdicts, problem } = useAnswer(
    job,
    chosenSet(job, looking.setId),
    display.temperature,
    useSamples(job),
  )
  useKeptVerdicts(job, verdicts)
  if (!answer)
    return problem ? <Alert severity="error">{problem}</Alert> : <Coming label="Computing the job" />
  return (
    <>
      {problem && <Alert severity="error">{problem}</Alert>}
      <Looked {...open} round={round} answer={answer} looking={looking} display={display} />
    </>
  )
}

type LookedProps = OpenProps & {
  round: ReturnType<typeof useRound>
  answer: Answered
  looking: Looking
  display: ReturnType<typeof useDisplay>
}

function Looked({ round, answer, looking, display, ...open }: LookedProps) {
  const props = useStageProps(round, answer, looking, display)
  return <Bench {...open} job={round.job} props={props} />
}

/** Tells the page how high the bars of a phone are: nothing is pinned, or scrolled to, below them. */
function measureBars(bars: HTMLElement | null) {
  if (!bars) return
  const { style } = document.documentElement
  const observer = new ResizeObserver(() => style.setProperty('--orzo-bars', `${bars.offsetHeight}px`))
  observer.observe(bars)
  return () => {
    observer.disconnect()
    style.removeProperty('--orzo-bars')
  }
}

type BenchProps = OpenProps & {
  job: StoredJob
  props: StageProps
}

/** [practice] ms after which what can wait is done on browsers that tell no idle moment */
const LATER = 1500

/** Does something once, when the page has nothing else to do. */
function useIdle(what: () => Promise<void>) {
  useEffect(() => {
    if (!('requestIdleCallback' in window)) {
      const timer = setTimeout(() => void what(), LATER)
      return () => clearTimeout(timer)
    }
    const idle = requestIdleCallback(() => void what(), { timeout: 2 * LATER })
    return () => cancelIdleCallback(idle)
  }, [what])
}

/** The clock at the site: where it differs from that of the reader, the header says so. */
function useSiteTime(job: StoredJob): SiteTime {
  const zone = job.unit.site?.zone
  const clock = clockOf(job)
  return useMemo(() => ({ zone, now: () => jobTime(clock, systemClock.now()) }), [zone, clock])
}

/** What scrolls begins at its top at each stage. */
function useTop(stage: Stage) {
  const scrolled = useRef<HTMLElement>(null)
  useEffect(() => {
    // browsers return a promise: an effect may not
    void scrolled.current?.scrollTo(0, 0)
  }, [stage])
  return scrolled
}

function Bench({ job, steps, stage, props }: BenchProps) {
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const keys = useStageKeys(job.id, stage, steps)
  const siteTime = useSiteTime(job)
  useIdle(fetchStages)
  useScreenOn(useLook().screenOn)
  const { isFresh } = props.answer
  const peek = usePeek(stage, props)
  const [page, aside] = [useTop(stage), useTop(stage)]
  // the first reading makes the first set: the open tap must live through that, so the place counts, not the id
  const place = Math.max(
    job.readingSets.findIndex(({ id }) => id === props.setId),
    0,
  )
  const Side = sideOf(stage)
  const main = useOpened(stage).map((each) => (
    <HeldStage key={each} stage={each} isShown={each === stage} {...{ place, props }} />
  ))
  const side = useOpened(Side).map((each, i) => (
    <HeldSide key={i} Side={each} isShown={each === Side} props={props} />
  ))
  const rail = <StageRail jobId={job.id} current={stage} states={stageStates(job)} />
  const header = <JobHeader job={job} steps={steps} />
  if (!isWide) {
    return (
      <SiteTimeContext value={siteTime}>
        <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
          {header}
          <Box component="main" sx={{ flex: 1, pb: 'calc(var(--orzo-bars) + 8px)', minWidth: 0 }}>
            {main}
          </Box>
          <Box ref={measureBars} sx={{ position: 'fixed', bottom: 0, left: 0, right: 0, zIndex: 2 }}>
            <PhoneSheet {...peek} fresh={isFresh}>
              {side}
            </PhoneSheet>
            {rail}
          </Box>
        </Box>
      </SiteTimeContext>
    )
  }
  return (
    <SiteTimeContext value={siteTime}>
      <Box sx={{ height: '100dvh', display: 'grid', gridTemplateRows: 'auto 1fr', overflow: 'hidden' }}>
        {header}
        <Box sx={{ display: 'grid', gridTemplateColumns: '88px minmax(0, 1fr) 300px', minHeight: 0 }}>
          {rail}
          <Box component="main" ref={page} sx={{ overflowY: 'auto', minHeight: 0 }}>
            {main}
          </Box>
          <Box
            component="aside"
            ref={aside}
            aria-label="Answer"
            // it scrolls: the keyboard must reach it
            tabIndex={0}
            sx={{ overflowY: 'auto', borderLeft: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
          >
            {side}
          </Box>
        </Box>
        {keys}
      </Box>
    </SiteTimeContext>
  )
}

/** Records that this Orzo cannot read: told, kept, left alone. */
function Unread({ unread }: { unread: readonly RecordProblem[] }) {
  if (unread.length === 0) return null
  const [first] = unread
  return (
    <Alert severity="warning">
      {unread.length === 1 ? 'One record' : `${unread.length} records`} of this job cannot be read and{' '}
      {unread.length === 1 ? 'is' : 'are'} left as stored: {first?.problems[0]?.path}{' '}
      {first?.problems[0]?.message}. A newer Orzo may read it.
    </Alert>
  )
}

type AtStage = Omit<FoundProps, 'stage'> & { stage: Stage | undefined }

/** A job at a stage; without one in the address, at the one at which it stands. */
function AtStage({ stage, ...found }: AtStage) {
  const { document } = found
  const shown = stage ?? progressOf(viewOf(document))
  useEffect(() => {
    // the address says from now on where one is
    if (!stage) window.history.replaceState(null, '', jobPath(document.id, shown))
  }, [stage, shown, document.id])
  return <OpenJob {...found} stage={shown} />
}

/** One job at one stage; undefined: the one at which it stands. */
export function JobPage({ jobId, stage }: { jobId: string; stage: Stage | undefined }) {
  const found = useJob(jobId)
  if (found.state === 'loading') return <Coming label="Loading the job" />
  if (found.state === 'missing') {
    return (
      <Nowhere
        title="This job is not in this browser"
        what="Import its .orzo.json file, or open it in the browser where it was entered."
      />
    )
  }
  return (
    <>
      {found.problem && (
        <Alert
          severity="error"
          {...(found.retry
            ? {
                action: (
                  <Button color="inherit" onClick={() => void found.retry?.()}>
                    Try again
                  </Button>
                ),
              }
            : { onClose: found.dismiss })}
          sx={{ position: 'fixed', zIndex: 10, top: 8, left: 8, right: 8 }}
        >
          {found.problem}
        </Alert>
      )}
      <Unread unread={found.unread} />
      <AtStage document={found.job} change={found.change} steps={found.steps} stage={stage} />
    </>
  )
}
