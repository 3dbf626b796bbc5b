'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { allLogs } from '@/core/record/job/acrossRounds'
import { replacedParts } from '@/core/repair/work/replacedParts'
import type { RoundReport } from '@/core/report/roundReport'
import { Freshness } from '../shared/answer/Freshness'
import { Coming } from '../shared/Coming'
import { LogList } from '../shared/logs/LogList'
import { Photos } from '../shared/photos/Photos'
import { PairView } from '../shared/report/PairView'
import { ReportSections } from '../shared/report/ReportSections'
import { useReport, useReportCall } from '../shared/report/useReport'
import { AnotherRepair } from '../shared/rounds/AnotherRepair'
import type { StageProps } from '../shared/stageProps'
import { Entries } from './Entries'
import { Files } from './Files'
import { Missing } from './Missing'
import { Papers } from './Papers'

const OUTCOME_MARKS = { proven: '●', 'not-proven-today': '△', open: '△' } as const

const Outcome = ({ outcome, outcomeText }: RoundReport) => (
  <Typography data-outcome={outcome} sx={{ fontWeight: 650, fontSize: '1.15rem' }}>
    {OUTCOME_MARKS[outcome]} {outcomeText}
  </Typography>
)

/** What the records say of the repair that is looked at. */
function Written({ round, job, display }: { round: RoundReport } & Pick<StageProps, 'job' | 'display'>) {
  return (
    <Box component="section" aria-labelledby="written-title" sx={{ display: 'grid', gap: 2, minWidth: 0 }}>
      <Typography id="written-title" variant="h2">
        What is on record
      </Typography>
      {round.pairs.map((pair, i) => (
        <PairView key={pair.setIds.join()} id={`pair-${i}`} pair={pair} job={job} display={display} />
      ))}
      {round.noPair && <Typography>{round.noPair}</Typography>}
      <ReportSections sections={round.sections} />
    </Box>
  )
}

/** The record of the job, written from what is on record; what it lacks; the papers, and the files. */
export function CloseStage(props: StageProps) {
  const { job, change, display } = props
  const logs = allLogs(job)
  const call = useReportCall(job)
  const { report, problem, isFresh } = useReport(call)
  const round = report?.rounds.find(({ id }) => id === job.round)
  return (
    <Box
      sx={{
        p: 2,
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.3fr) minmax(0, 1fr)' },
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start', order: { xs: 1, md: 0 } }}>
        {problem && <Alert severity="error">{problem}</Alert>}
        {round ? (
          <Freshness fresh={isFresh}>
            <Written round={round} job={job} display={display} />
          </Freshness>
        ) : (
          !problem && <Coming label="Writing the report" />
        )}
        <Photos jobId={job.id} photos={job.attachments} change={change} />
        {logs.length > 0 && (
          <Box component="section" aria-labelledby="logs-title">
            <Typography id="logs-title" variant="h2">
              Logs
            </Typography>
            <LogList jobId={job.id} logs={logs} />
          </Box>
        )}
        <Files job={job} />
      </Box>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        {round && (
          <Freshness fresh={isFresh}>
            <Outcome {...round} />
          </Freshness>
        )}
        <Papers jobId={job.id} call={call} isOpen={round?.outcome === 'open'} />
        {round && <Missing job={job} change={change} points={round.points} />}
        <Entries
          closing={job.closing}
          change={change}
          replaced={replacedParts(job, props.answer.plan).join('; ')}
        />
        <AnotherRepair {...props} />
      </Box>
    </Box>
  )
}
