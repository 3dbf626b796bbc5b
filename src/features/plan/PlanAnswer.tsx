'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import { DISCLAIMER } from '@/core/safety/cautions'
import { usePlanView } from '../shared/address/usePlanView'
import { AlsoReplaced } from './AlsoReplaced'
import { DecideButton } from '../shared/decide/DecideButton'
import { AcidTests } from '../shared/AcidTests'
import { INSIDE_KEYS, Observed } from '../shared/Observed'
import { unknownOf } from '@/core/record/equipment/asked'
import type { Plan } from '@/core/repair/plan/plan'
import { isDecided } from '@/core/record/job/decisions'
import { observeLatest } from '@/core/record/edits/readingEdits'
import { setsOfRound } from '@/core/record/job/setsOfRound'
import { latestWords } from '@/core/record/job/words'
import { doneText } from '../shared/dayText'
import type { StageProps } from '../shared/stageProps'
import { durationText } from '@/core/base/units/wall'
import { Freshness } from '../shared/answer/Freshness'
import { useDay } from '../shared/answer/useDay'

/** What is known of the inside, by which the class is told. */
function Inside({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  return (
    <section aria-labelledby="answer-inside">
      <Typography id="answer-inside" variant="h2">
        What is inside
      </Typography>
      <AcidTests job={job} change={change} />
      <Observed
        keys={INSIDE_KEYS}
        observations={latestWords(setsOfRound(job))}
        withHoursOpen
        onChange={(key, value) => void change(observeLatest(key, value))}
      />
    </section>
  )
}

/** The answer of the plan: how long, and what belongs to the view that is open. */
export function PlanAnswer(props: StageProps) {
  const {
    job,
    change,
    answer: { plan },
  } = props
  const isKnown = unknownOf(job.unit).length === 0
  const [view] = usePlanView()
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      {isKnown && <Planned job={job} plan={plan} />}
      <DecideButton {...props} label="Decide another fault" />
      {isKnown && view === 'parts' && <AlsoReplaced {...props} plan={plan} />}
      {view === 'clean-up' && <Inside job={job} change={change} />}
      <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{DISCLAIMER}</Typography>
    </Box>
  )
}

function Planned({ job, plan }: Pick<StageProps, 'job'> & { plan: Plan }) {
  const { day, isFresh } = useDay(job, plan)
  const first = plan.proofs.filter((each) => each.isFirst)
  const isBrought = first.every(({ why }) => why === 'shown')
  return (
    <section aria-labelledby="answer-plan">
      <Typography id="answer-plan" variant="h2">
        {plan.faults.map((fault) => suspectLabel(fault)).join('; ')}
      </Typography>
      {first.length > 0 && (
        <Typography>
          {isBrought
            ? '△ Seen or brought along: what can be checked here has its step.'
            : `△ ${isDecided(job) ? 'Not proven yet' : 'Suspected, not decided'}: prove it on Diagnose before parts are ordered.`}
        </Typography>
      )}
      <Freshness fresh={isFresh}>
        {day?.problem && <Typography sx={{ fontWeight: 650 }}>⬣ {day.problem}</Typography>}
        {day?.p50 !== undefined && (
          <>
            <Typography sx={{ fontSize: '1.9rem', fontWeight: 700, lineHeight: 1.2 }}>
              {doneText(day, day.p50)}
            </Typography>
            <Typography sx={{ color: 'text.secondary' }}>
              likely,{' '}
              {day.p90 === undefined
                ? '90 % likely: not within a week'
                : `90 % likely by ${doneText(day, day.p90)}`}
              ; {durationText(day.unattended)} of it unattended
              {day.open && `; open for ${durationText(day.open.to - day.open.from)}`}
            </Typography>
          </>
        )}
      </Freshness>
      {plan.opens && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          {plan.approval.state === 'given' && !plan.approval.isStale ? '●' : '△'} {plan.approval.sentence}
        </Typography>
      )}
    </section>
  )
}
