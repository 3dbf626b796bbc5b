'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import { useComparison } from '../shared/answer/useComparison'
import { momentIn } from '@/core/base/units/siteTime'
import { isPlaced } from '@/core/record/readings/places'
import { placesText } from '../shared/seenText'
import { summaryOf } from '@/core/record/job/summary'
import type { Comparison } from '@/core/answer/comparison'
import type { TemperatureUnit } from '@/core/base/units/units'
import { DISCLAIMER } from '@/core/safety/cautions'
import { observationRow, type ObservationKey } from '@/core/record/readings/observations'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import type { StoredDocument, StoredJob } from '@/core/record/job/job'
import { roundsOf } from '@/core/record/job/rounds'
import { useDisplay } from '../shared/display/useDisplay'
import { Nowhere } from '../shared/Nowhere'
import { useJob } from '../shared/record/useJob'
import { KIND_LABELS, titleOf, unitLine } from '@/core/report/jobText'
import { LadderPair } from '../shared/comparison/LadderPair'
import { ComparisonTable } from '../shared/comparison/ComparisonTable'
import { asView } from '../shared/record/asView'
import { Facts } from './Facts'
import { PrintBar } from './PrintBar'
import { RoundReport } from './RoundReport'

function SetReadings({ job }: { job: StoredJob }) {
  return job.readingSets.map((set, i) => (
    <section key={`${i}-${set.label}`}>
      <Typography variant="h3">
        {set.label ?? `Set ${i + 1}`}, {set.mode}
        {set.refrigerant && set.refrigerant !== job.unit.refrigerant ? `, ${set.refrigerant} inside` : ''}
        {set.at ? `, ${momentIn(set.at, job.unit.site?.zone)}` : ''}
      </Typography>
      <Facts
        rows={[
          ...Object.entries(set.readings).map(
            ([key, reading]) =>
              [readingRow(key as ReadingKey).label, reading && `${reading.value} ${reading.unit}`] as const,
          ),
          ...Object.entries(set.observations ?? {}).map(
            ([key, word]) =>
              [
                key === 'hoursOpenToAir' ? 'Hours open to air' : observationRow(key as ObservationKey).label,
                isPlaced(key) ? placesText(set, key) : String(word),
              ] as const,
          ),
        ]}
      />
    </section>
  ))
}

type LaddersProps = {
  job: StoredJob
  comparison: Comparison
  temperature: TemperatureUnit
}

/** First and last set on one scale. */
function Ladders({ job, comparison, temperature }: LaddersProps) {
  if (job.readingSets.length < 2) return null
  return (
    <section>
      <Typography variant="h2">Temperature ladders</Typography>
      <LadderPair
        sets={job.readingSets}
        display={{ temperature }}
        ends={[0, job.readingSets.length - 1]}
        pictures={comparison.pictures}
      />
    </section>
  )
}

type Reported = { views: readonly StoredJob[]; comparison: Comparison }

function Report({ document }: { document: StoredDocument }) {
  const { temperature } = useDisplay()
  const views = useMemo(() => roundsOf(document).map(({ id }) => asView(document, id)), [document])
  const { comparison, problem } = useComparison(views.at(-1)!, temperature)
  if (!comparison) return <p>{problem ?? 'Computing the report'}</p>
  return <Sheet views={views} comparison={comparison} />
}

function Sheet({ views, comparison }: Reported) {
  const { say } = useUnits()
  const { temperature } = useDisplay()
  const job = views[0]!
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
        <Typography variant="h1">{titleOf(summaryOf(job))}</Typography>
        <Typography>
          {job.unit.kind ? KIND_LABELS[job.unit.kind] : 'Kind not known'}, {say(unitLine(summaryOf(job)))}
        </Typography>
      </header>
      <Facts
        rows={[
          ['Site', job.unit.site?.name],
          ['Complaint', job.arrival?.complaint],
          ['Done before', job.arrival?.doneBefore],
        ]}
      />
      {views.map((view) => (
        <RoundReport key={view.round} job={view} />
      ))}
      <section>
        <Typography variant="h2">Before and after</Typography>
        <ComparisonTable comparison={comparison} />
      </section>
      <Ladders job={job} comparison={comparison} temperature={temperature} />
      <section>
        <Typography variant="h2">Readings as taken</Typography>
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <SetReadings job={job} />
        </Box>
      </section>
      <Typography sx={{ fontSize: '0.85rem' }}>{DISCLAIMER}</Typography>
    </Box>
  )
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
