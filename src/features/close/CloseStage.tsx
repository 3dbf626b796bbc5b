'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { allLogs } from '@/core/record/job/acrossRounds'
import { replacedParts } from '@/core/repair/work/replacedParts'
import { useComparison } from '../shared/answer/useComparison'
import { ComparisonTable } from '../shared/comparison/ComparisonTable'
import { LogList } from '../shared/logs/LogList'
import { Photos } from '../shared/photos/Photos'
import { AnotherRepair } from '../shared/rounds/AnotherRepair'
import type { StageProps } from '../shared/stageProps'
import { Files } from './Files'
import { Record } from './Record'

/** Before and after, what is proven, the record, and the files. */
export function CloseStage(props: StageProps) {
  const { job, change, display } = props
  const logs = allLogs(job)
  const { comparison, problem } = useComparison(job, display.temperature)
  return (
    <Box
      sx={{
        p: 2,
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.3fr) minmax(0, 1fr)' },
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Box component="section" aria-labelledby="compare-title" tabIndex={0} sx={{ overflowX: 'auto' }}>
          <Typography id="compare-title" variant="h2">
            Before and after
          </Typography>
          {job.readingSets.length < 2 && (
            <p>One set so far: take readings again after the repair, in a new set under Measure.</p>
          )}
          {problem && <Alert severity="error">{problem}</Alert>}
          {comparison && <ComparisonTable comparison={comparison} />}
        </Box>
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
        <Record
          closing={job.closing}
          change={change}
          replaced={replacedParts(job, props.answer.plan).join('; ')}
        />
        <AnotherRepair {...props} />
      </Box>
    </Box>
  )
}
