'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import type { StoredDocument, StoredJob } from '@/core/record/job/job'
import type { JobReport } from '@/core/report/jobReport'
import type { RoundReport } from '@/core/report/roundReport'
import { useDisplay } from '../shared/display/useDisplay'
import { Nowhere } from '../shared/Nowhere'
import { asView } from '../shared/record/asView'
import { useJob } from '../shared/record/useJob'
import { PairView } from '../shared/report/PairView'
import { ReportSections } from '../shared/report/ReportSections'
import { useReport, useReportCall } from '../shared/report/useReport'
import { PrintBar } from './PrintBar'

type RoundProps = { round: RoundReport; job: StoredJob }

/** One repair: how it stands, what is on record, before and after. */
function Round({ round, job }: RoundProps) {
  const { temperature } = useDisplay()
  return (
    <Box data-round={round.id} sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      {round.name && <Typography variant="h2">{round.name}</Typography>}
      <Typography sx={{ fontWeight: 650, border: 1, borderColor: 'primary.main', p: 1 }}>
        {round.outcomeText}
      </Typography>
      <ReportSections sections={round.sections} />
      {round.pairs.map((pair, i) => (
        <PairView
          key={pair.setIds.join()}
          id={`pair-${round.id}-${i}`}
          pair={pair}
          job={job}
          display={{ temperature }}
        />
      ))}
      {round.noPair && <Typography>{round.noPair}</Typography>}
    </Box>
  )
}

function Sheet({ report, job }: { report: JobReport; job: StoredJob }) {
  return (
    <Box
      component="main"
      // one long word of a title or a note must not widen the page
      sx={{
        maxWidth: 820,
        mx: 'auto',
        p: 3,
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr)',
        gap: 2.5,
        overflowWrap: 'anywhere',
      }}
    >
      <PrintBar jobId={job.id} back="close" />
      <header>
        <Typography variant="h1">{report.title}</Typography>
        <Typography>{report.unitLine}</Typography>
      </header>
      {report.head && <ReportSections sections={[report.head]} level="h2" />}
      {report.rounds.map((round) => (
        <Round key={round.id} round={round} job={job} />
      ))}
      {report.readings.length > 0 && (
        <Box component="section" sx={{ display: 'grid', gap: 1.5 }}>
          <Typography variant="h2">Readings as taken</Typography>
          <ReportSections sections={report.readings} />
        </Box>
      )}
      {report.hazards && <Typography>Hazards of this work: {report.hazards}</Typography>}
      <Typography sx={{ fontSize: '0.85rem' }}>{report.disclaimer}</Typography>
    </Box>
  )
}

function Report({ document }: { document: StoredDocument }) {
  const job = useMemo(() => asView(document), [document])
  const { report, problem } = useReport(useReportCall(job))
  if (!report) return <p>{problem ?? 'Computing the report'}</p>
  return <Sheet report={report} job={job} />
}

/** The report of one job, made for paper. */
export function PrintPage({ jobId }: { jobId: string }) {
  const found = useJob(jobId)
  if (found.state === 'loading') return <p>Loading the report</p>
  if (found.state === 'missing')
    return (
      <Nowhere
        title="This job is not in this browser"
        what="Import its .orzo.json file: its report is made from it."
      />
    )
  return <Report document={found.job} />
}
