import { type Basis, basisOf, isAssumed } from '@/core/base/known/known'
import { DEFAULT_POLICY, policyDifferences } from '@/core/record/policy/policy'
import { policyAnswer, policyRow } from '@/core/record/policy/questions'
import { classesOf } from '@/core/repair/cleanup/contamination'
import { dryerName } from '@/core/repair/plan/dryerName'
import type { DayPlan } from '@/core/repair/day/planDay'
import type { Plan } from '@/core/repair/plan/plan'
import { doneText } from '../shared/dayText'
import { pounds } from '@/core/base/units/weightText'
import { classText, grams, oilChangesOf } from '@/core/report/planText'

type Fact = readonly [label: string, value: string | undefined]

/** Answers of the policy that are not Orzo's own: what was applied on this job and is not the usual. */
const policyText = ({ policy }: Plan): string =>
  policyDifferences(policy, DEFAULT_POLICY)
    .map((key) => `${policyRow(key).question} ${policyAnswer(policy, key)}.`)
    .join(' ')

/** " (assumed: 3 tons, usual for split-ac)" behind what rests on a guess; nothing behind what is known. */
const assumedText = (basis: Basis | undefined): string =>
  basis && isAssumed(basis) ? ` (assumed: ${basis.from.join('; ')})` : ''

const chargeText = ({ total }: NonNullable<Plan['charge']>): string =>
  total ? `${pounds(total.value)}${assumedText(total)}` : 'not known'

/** What the plan came to, for the report. */
export function planFacts(plan: Plan, day: DayPlan | undefined): Fact[] {
  const { contamination, dryers, charge, oil, refrigerantPath, access } = plan
  const { known, water, acid } = contamination
  const changes = oilChangesOf(oil)
  const way = access.ways.find((each) => each.way === access.chosen)
  return [
    [
      'Clean-up class',
      `${known ? '' : 'not known, planned as '}${classText(classesOf(contamination)).toLowerCase()}`,
    ],
    ...dryers.map(({ place, chosen, basis }): Fact => [
      place === 'liquid' ? 'Liquid dryer' : 'Suction dryer',
      `${chosen ? dryerName(chosen.dryer) : 'none of the list fits'}${assumedText(basis)}`,
    ]),
    [
      'Water, acid, oil',
      plan.opens
        ? `${grams(water.total.likely)} in, ${grams(water.remainder.likely)} left for the dryer; ${acid.before.likely > 0 ? `acid number ${acid.before.likely.toFixed(2)}, ` : ''}${changes} oil ${changes === 1 ? 'change' : 'changes'}${assumedText(basisOf(water.basis, acid.basis, oil.changesBasis))}`
        : undefined,
    ],
    [
      'Refrigerant',
      `${refrigerantPath.holds}${refrigerantPath.goesIn === refrigerantPath.holds ? ' kept' : `, ${refrigerantPath.goesIn ?? 'nothing'} goes in`}. ${refrigerantPath.recoveredReason}`,
    ],
    ['Way to the part', plan.opens ? way?.label : undefined],
    ['Charge calculated', charge ? chargeText(charge) : undefined],
    ['Policy applied', policyText(plan) || undefined],
    [
      'Planned time',
      day?.p50 === undefined
        ? undefined
        : `${doneText(day, day.p50)}${day.p90 === undefined ? '' : `, 90 % likely by ${doneText(day, day.p90)}`}`,
    ],
    [
      'Test pressure',
      plan.testPressure && `${plan.testPressure.sentence}${assumedText(plan.testPressure.basis)}`,
    ],
    ['Owner', plan.opens ? plan.approval.sentence : undefined],
  ]
}
