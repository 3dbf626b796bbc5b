'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { causesText, decidedText, overrideTexts } from '../shared/decided'
import { type Answered, useAnswer } from '../shared/answer/useAnswer'
import { useDay } from '../shared/answer/useDay'
import { useComparison } from '../shared/answer/useComparison'
import { unknownOf } from '@/core/record/equipment/asked'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { isPlaced } from '@/core/record/readings/places'
import { placesText } from '../shared/seenText'
import { summaryOf } from '@/core/record/job/summary'
import type { Comparison } from '@/core/answer/comparison'
import { showQuantity, type TypedQuantity } from '@/core/base/units/compound'
import type { TemperatureUnit } from '@/core/base/units/units'
import { DISCLAIMER } from '@/core/safety/cautions'
import { observationRow, type ObservationKey } from '@/core/record/readings/observations'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import type { StoredJob } from '@/core/record/job/job'
import { useDisplay } from '../shared/display/useDisplay'
import { useJob } from '../shared/record/useJob'
import { KIND_LABELS, titleOf, unitLine } from '../shared/jobText'
import { LadderPair } from '../shared/comparison/LadderPair'
import { ComparisonTable } from '../shared/comparison/ComparisonTable'
import { PrintBar } from './PrintBar'
import { planFacts } from './planFacts'
import { workFacts } from './workFacts'

const quantity = (value: TypedQuantity | undefined) => (value ? showQuantity(value) : 'not entered')

function Facts({ rows }: { rows: readonly (readonly [string, string | undefined])[] }) {
  return (
    <Box
      component="dl"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '112px 1fr', md: '180px 1fr' },
        gap: '2px 16px',
        m: 0,
      }}
    >
      {rows
        .filter(([, value]) => value)
        .map(([name, value]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ color: 'text.secondary' }}>
              {name}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {value}
            </Box>
          </Box>
        ))}
    </Box>
  )
}

function SetReadings({ job }: { job: StoredJob }) {
  return job.readingSets.map((set, i) => (
    <section key={`${i}-${set.label}`}>
      <Typography variant="h3">
        {set.label ?? `Set ${i + 1}`}, {set.mode}
        {set.at ? `, ${format(new Date(set.at), 'd MMM yyyy HH:mm')}` : ''}
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

type Reported = { job: StoredJob; answer: Answered; comparison: Comparison }

function Report({ job }: { job: StoredJob }) {
  const { temperature } = useDisplay()
  const [found] = job.readingSets
  const { answer, problem } = useAnswer(job, found?.id, temperature)
  const { comparison, problem: notCompared } = useComparison(job, temperature)
  if (!answer || !comparison) return <p>{problem ?? notCompared ?? 'Computing the report'}</p>
  return <Sheet job={job} answer={answer} comparison={comparison} />
}

function Sheet({ job, answer, comparison }: Reported) {
  const { temperature } = useDisplay()
  const { plan, standings } = answer
  const { day } = useDay(job.id, plan)
  const [found] = job.readingSets
  const isKnown = unknownOf(job.unit).length === 0
  const leader = found && answer.asks.length === 0 ? answer.ranking.suspects[0] : undefined
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
          {job.unit.kind ? KIND_LABELS[job.unit.kind] : 'Kind not known'}, {unitLine(summaryOf(job))}
        </Typography>
      </header>
      <Facts
        rows={[
          ['Site', job.unit.site?.name],
          ['Complaint', job.arrival?.complaint],
          ['Done before', job.arrival?.doneBefore],
          [
            'Found',
            leader &&
              `${leader.label}. ${leader.evidence.find(({ direction }) => direction === 'for')?.sentence ?? ''}`,
          ],
          ['Decided', standings.map(decidedText).join(' ')],
          ['Cause of death', causesText(job)],
          ['Without full proof because', overrideTexts(standings).join('; ')],
          ...(isKnown ? planFacts(plan, day) : []),
          ...(isKnown && job.steps.length > 0 ? workFacts(job, plan, job.unit as UnitPlate) : []),
          ['Recovered', quantity(job.closing?.recovered)],
          ['Charged', quantity(job.closing?.charged)],
          ['Replaced', job.closing?.replaced],
          ['Not done, and should be', job.closing?.notDone],
          ['Proof', job.closing?.proven === 'proven' ? 'shown under load' : 'not proven today'],
          ['Note', job.closing?.note],
        ]}
      />
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
  if (found.state === 'missing') return <p>This job is not in this browser.</p>
  return <Report job={found.job} />
}
