'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import type { StoredDocument, StoredJob } from '@/core/record/job/job'
import { summaryOf } from '@/core/record/job/summary'
import type { PlanPart } from '@/core/repair/plan/parts/planParts'
import type { Plan } from '@/core/repair/plan/plan'
import { DISCLAIMER } from '@/core/safety/cautions'
import { leaveKey } from '@/core/record/records/tick'
import { useAnswer } from '../shared/answer/useAnswer'
import { useDay } from '../shared/answer/useDay'
import { officeText } from '../shared/dayText'
import { useDisplay } from '../shared/display/useDisplay'
import { titleOf } from '@/core/report/jobText'
import { leavingList } from '../shared/loadOut'
import { asView } from '../shared/record/asView'
import { Nowhere } from '../shared/Nowhere'
import { useJob } from '../shared/record/useJob'
import { PrintBar } from './PrintBar'

const boxOf = (isTicked: boolean) => (isTicked ? '☑' : '☐')

/** What is loaded asks for no log. */
const NO_SAMPLES = {}

function PartLine({ part, isTicked }: { part: PlanPart; isTicked: boolean }) {
  const points = part.match.filter(({ wanted }) => wanted !== undefined)
  return (
    <Box
      component="li"
      sx={{ display: 'grid', gridTemplateColumns: '28px 1fr', py: 0.25, breakInside: 'avoid' }}
    >
      <span aria-hidden>{boxOf(isTicked)}</span>
      <div>
        <b>{part.label}</b>
        {part.quantity && `, ${part.quantity}`}
        {part.basis && ' (assumed)'}
        {part.hold && ` △ ${part.hold}`}
        {points.length > 0 && (
          <Box sx={{ fontSize: '0.9rem' }}>
            {points.map(({ label, wanted }) => `${label.toLowerCase()} ${wanted}`).join(', ')}
          </Box>
        )}
      </div>
    </Box>
  )
}

function Lists({ job, plan }: { job: StoredJob; plan: Plan }) {
  const { day } = useDay(job, plan)
  const ticked = job.ticks.map(({ key }) => key)
  const leaving = leavingList(plan)
  const title = titleOf(summaryOf(job))
  return (
    <Box
      component="main"
      sx={{ maxWidth: 760, mx: 'auto', p: 3, display: 'grid', gap: 2, overflowWrap: 'anywhere' }}
    >
      <PrintBar jobId={job.id} back="plan" />
      <header>
        <Typography variant="h1">Load-out: {title}</Typography>
        {day && day.finish !== undefined && (
          <Typography sx={{ whiteSpace: 'pre-line' }}>{officeText(title, day)}</Typography>
        )}
      </header>
      <section>
        <Typography variant="h2">To bring</Typography>
        <Box component="ul" aria-label="To bring" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {plan.parts
            .filter(({ struck }) => !struck)
            .map((part) => (
              <PartLine key={part.id} part={part} isTicked={ticked.includes(part.id)} />
            ))}
        </Box>
      </section>
      {leaving.length > 0 && (
        <section>
          <Typography variant="h2">Before you leave: measure, count, photograph</Typography>
          <Box component="ul" aria-label="Before you leave" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {leaving.map((line) => (
              <li key={line}>
                {boxOf(ticked.includes(leaveKey(line)))} {line}
              </li>
            ))}
          </Box>
        </section>
      )}
      <Typography sx={{ fontSize: '0.85rem' }}>{DISCLAIMER}</Typography>
    </Box>
  )
}

function LoadOut({ document }: { document: StoredDocument }) {
  const job = useMemo(() => asView(document), [document])
  const { temperature } = useDisplay()
  const { answer, problem } = useAnswer(job, job.readingSets[0]?.id, temperature, NO_SAMPLES)
  if (!answer) return <p>{problem ?? 'Computing the list'}</p>
  return <Lists job={job} plan={answer.plan} />
}

/** What goes onto the van and what is looked at before leaving, made for paper. */
export function LoadOutPage({ jobId }: { jobId: string }) {
  const found = useJob(jobId)
  if (found.state === 'loading') return <p>Loading the list</p>
  if (found.state === 'missing')
    return (
      <Nowhere
        title="This job is not in this browser"
        what="Import its .orzo.json file: its list is made from it."
      />
    )
  return <LoadOut document={found.job} />
}
