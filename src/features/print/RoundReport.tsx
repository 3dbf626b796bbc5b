'use client'
import Typography from '@mui/material/Typography'
import Box from '@mui/material/Box'
import { type FinalCharge, finalCharge, finalChargeText } from '@/core/repair/work/finalCharge'
import { setsOfRound } from '@/core/record/job/setsOfRound'
import { isNothingRead } from '@/core/report/nothingRead'
import { replacedParts } from '@/core/repair/work/replacedParts'
import { unknownOf } from '@/core/record/equipment/asked'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { StoredJob } from '@/core/record/job/job'
import { roundLookedAt } from '@/core/record/job/rounds'
import { showQuantity, type TypedQuantity } from '@/core/base/units/compound'
import { type Answered, useAnswer } from '../shared/answer/useAnswer'
import type { DayPlan } from '@/core/repair/day/planDay'
import { useDay } from '../shared/answer/useDay'
import { useSamples } from '../shared/answer/useSamples'
import { causesText, decidedText, overrideTexts } from '@/core/report/decided'
import { useDisplay } from '../shared/display/useDisplay'
import { jobRounds, REASON_NAMES, roundName } from '@/core/report/roundText'
import { Facts, type FactRow } from './Facts'
import { planFacts } from './planFacts'
import { workFacts } from './workFacts'

const quantity = (value: TypedQuantity | undefined) => (value ? showQuantity(value) : 'not entered')

/** What the circuit held, found as it was. */
function found(job: StoredJob, answer: Answered): string | undefined {
  const leader = answer.asks.length === 0 ? answer.ranking.suspects[0] : undefined
  if (!leader || isNothingRead(job)) return undefined
  return `${leader.label}. ${leader.evidence.find(({ direction }) => direction === 'for')?.sentence ?? ''}`
}

/** What is inside in the end; told where trims made it another weight than was charged. */
const chargeText = (charge: FinalCharge | undefined): string | undefined =>
  charge && charge.trimmed !== 0 ? finalChargeText(charge) : undefined

type RoundProps = { job: StoredJob; answer: Answered; name: string | undefined }

/** A repair that is not over has a day ahead of it; one question of a day is answered at a time. */
function OpenRound(props: RoundProps) {
  const { job, answer } = props
  const { day } = useDay(job, answer.plan)
  return <Round {...props} day={day} />
}

function Round({ job, answer, name, day }: RoundProps & { day?: DayPlan | undefined }) {
  const { plan, decisionStates, verdicts } = answer
  const isKnown = unknownOf(job.unit).length === 0
  const { why, refrigerant } = roundLookedAt(job)
  const rows: readonly FactRow[] = [
    ['Found', found(job, answer)],
    ['Decided', decisionStates.map(decidedText).join(' ')],
    ['Cause of death', causesText(job)],
    ['Without full proof because', overrideTexts(decisionStates).join('; ')],
    ...(isKnown ? planFacts(plan, day) : []),
    ...(isKnown && job.steps.length > 0 ? workFacts(job, plan, job.unit as UnitPlate, verdicts) : []),
    ['Went in', refrigerant],
    ['Recovered', quantity(job.closing?.recovered)],
    ['Charged', quantity(job.closing?.charged)],
    ['Charge in the end', chargeText(finalCharge(job, plan.opens && !plan.isPart))],
    ['Replaced', job.closing?.replaced ?? replacedParts(job, plan).join('; ')],
    ['Not done, and should be', job.closing?.notDone],
    ['Proof', job.closing?.proven === 'proven' ? 'shown under load' : 'not proven today'],
    ['Note', job.closing?.note],
  ]
  if (name === undefined) return <Facts rows={rows} />
  return (
    <Box component="section" data-round={job.round}>
      <Typography variant="h2">{name}</Typography>
      <Facts rows={[['Why', REASON_NAMES[why]], ...rows]} />
    </Box>
  )
}

/** One repair of a job: what was found, decided, planned, done. Its name stands over it where there are several. */
export function RoundReport({ job }: { job: StoredJob }) {
  const { temperature } = useDisplay()
  const { answer, problem } = useAnswer(job, setsOfRound(job)[0]?.id, temperature, useSamples(job))
  if (!answer) return <p>{problem ?? 'Computing the report'}</p>
  const rounds = jobRounds(job)
  const at = rounds.findIndex(({ id }) => id === job.round)
  const name = rounds.length > 1 ? `Repair ${at + 1}: ${roundName(job, rounds[at]!)}` : undefined
  const isLast = at === rounds.length - 1
  return isLast ? (
    <OpenRound job={job} answer={answer} name={name} />
  ) : (
    <Round job={job} answer={answer} name={name} />
  )
}
