'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import { DISCLAIMER } from '@/core/safety/cautions'
import { INSIDE_KEYS, Observed } from '../shared/Observed'
import { unknownOf } from '@/core/record/equipment/asked'
import type { Plan } from '@/core/repair/plan/plan'
import { isDecided } from '@/core/record/job/stages'
import { mergedObservations, observeLatest } from '@/core/record/edits/readingEdits'
import type { StageProps } from '../shared/stageProps'
import { duration, spanText } from '../shared/planText'

/** The answer of the plan: how long, how dirty, and what is known of the inside. */
export function PlanAnswer({ job, change, answer: { plan } }: StageProps) {
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      {unknownOf(job.unit).length === 0 && <Planned job={job} plan={plan} />}
      <section aria-labelledby="answer-inside">
        <Typography id="answer-inside" variant="h2">
          What is inside
        </Typography>
        <Observed
          keys={INSIDE_KEYS}
          observations={mergedObservations(job)}
          withHoursOpen
          onChange={(key, value) => void change(observeLatest(key, value))}
        />
      </section>
      <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{DISCLAIMER}</Typography>
    </Box>
  )
}

function Planned({ job, plan }: Pick<StageProps, 'job'> & { plan: Plan }) {
  const { schedule } = plan
  return (
    <>
      <section aria-labelledby="answer-plan">
        <Typography id="answer-plan" variant="h2">
          {plan.faults.map((fault) => suspectLabel(fault)).join('; ')}
        </Typography>
        {!isDecided(job) && (
          <Typography>△ Suspected, not decided: prove it on Diagnose before parts are ordered.</Typography>
        )}
        <Typography sx={{ fontSize: '1.9rem', fontWeight: 700, lineHeight: 1.2 }}>
          {duration(schedule.total.likely)}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          likely, of it {duration(schedule.unattended.likely)} unattended; {spanText(schedule.total)}; safe{' '}
          {duration(schedule.safe)}
        </Typography>
      </section>
    </>
  )
}
