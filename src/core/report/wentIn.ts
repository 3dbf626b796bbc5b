import { type Basis, basisOf, isAssumed } from '../base/known/known'
import { DEFAULT_POLICY, policyDifferences } from '../record/policy/policy'
import { policyAnswer, policyRow } from '../record/policy/questions'
import { fromPascals } from '../base/units/convert'
import { classesOf } from '../repair/cleanup/contamination'
import { dryerName } from '../repair/plan/dryerName'
import type { Plan } from '../repair/plan/plan'
import { replacedParts } from '../repair/work/replacedParts'
import { line, lowerFirst, type ReportSection, section, written } from './line'
import { classText, fluidOunces, grams, oilChangesOf } from './planText'
import type { RoundScene } from './scene'

/** Answers of the policy that are not Orzo's own. */
const policyText = ({ policy }: Pick<Plan, 'policy'>): string =>
  policyDifferences(policy, DEFAULT_POLICY)
    .map((key) => `${policyRow(key).question} ${policyAnswer(policy, key)}.`)
    .join(' ')

const PLACES = { liquid: 'Liquid dryer', suction: 'Suction dryer' } as const
type DryerPlace = keyof typeof PLACES

/** Whether the dryer of a place went in, by the steps that are done. */
export const isDryerIn = ({ job, answer }: RoundScene, place: DryerPlace): boolean =>
  replacedParts(job, answer.plan).some((part) => part.startsWith(`${place} dryer `))

/** "One-way: arrow with the flow" as the body carries it. */
const DIRECTIONS = { 'one-way': 'arrow with the flow', 'bi-flow': 'either direction' } as const

/** The dryer of a place with its direction; undefined where the plan has none. */
export function dryerText(plan: Pick<Plan, 'dryers'>, place: DryerPlace): string | undefined {
  const dryer = plan.dryers.find((each) => each.place === place)?.chosen?.dryer
  return dryer && `${dryerName(dryer)}, ${DIRECTIONS[dryer.flow]}`
}

const dryerLines = (scene: RoundScene) =>
  scene.answer.plan.dryers.map(({ place, basis }) => {
    const isIn = isDryerIn(scene, place)
    const text = dryerText(scene.answer.plan, place) ?? 'none of the list fits'
    return line(`${PLACES[place]}, ${isIn ? 'went in' : 'planned'}`, text, basis)
  })

/** Water, acid and changes of the oil as they were calculated. */
function ledgerText({ contamination: { water, acid }, oil }: Plan): string {
  const changes = oilChangesOf(oil)
  const acidNumber = acid.before.likely > 0 ? ` acid number ${acid.before.likely.toFixed(2)},` : ''
  return `${grams(water.total.likely)} of water in, ${grams(water.remainder.likely)} left for the dryer;${acidNumber} ${changes} oil ${changes === 1 ? 'change' : 'changes'}`
}

/** Kind and amount of the oil. */
export function oilText({ oil }: Pick<Plan, 'oil'>): string {
  if (oil.out === undefined && oilChangesOf(oil) === 0) return oil.goesIn
  const out =
    oil.out === undefined
      ? 'amount that came out not measured'
      : `${fluidOunces(oil.out)} came out, refill ${fluidOunces(oil.refill.value)}`
  return `${oil.goesIn}; ${out}`
}

const testText = ({ testPressure }: Plan): string | undefined =>
  testPressure &&
  `${fromPascals(testPressure.gauge, 'psia').toFixed(0)} psig, limit ${fromPascals(testPressure.limit, 'psia').toFixed(0)} psig: ${testPressure.of}`

const oilBasis = ({ oil }: Plan): Basis => basisOf(oil.kind, oil.isMeasured ? undefined : oil.refill)

/** Class, water and acid, what went in. */
export function wentInSection(scene: RoundScene): ReportSection | undefined {
  const { job, answer, isKnown } = scene
  const { plan } = answer
  const { contamination } = plan
  const parts = replacedParts(job, plan).join('; ')
  const ticked = plan.parts.filter(({ id, struck }) => !struck && job.ticks.some(({ key }) => key === id))
  const isPlanned = isKnown && answer.decisionStates.length > 0
  return section('went-in', 'Clean-up and parts', [
    ...(isPlanned
      ? [
          line(
            'Clean-up class',
            `${contamination.known ? '' : 'not known, planned as '}${lowerFirst(classText(classesOf(contamination)))}`,
          ),
          plan.opens
            ? line(
                'Water, acid, oil',
                ledgerText(plan),
                basisOf(contamination.water.basis, contamination.acid.basis, plan.oil.changesBasis),
              )
            : undefined,
          ...dryerLines(scene),
          plan.opens ? line('Oil', oilText(plan), oilBasis(plan)) : undefined,
          line('Test pressure', testText(plan), plan.testPressure?.basis),
        ]
      : []),
    job.closing?.replaced === undefined ? line('Replaced', parts) : written('Replaced', job.closing.replaced),
    line(
      'Parts ticked',
      ticked
        .map(
          ({ label, quantity, basis }) =>
            `${label}${quantity ? `, ${quantity}` : ''}${basis && isAssumed(basis) ? ' (assumed)' : ''}`,
        )
        .join('; '),
    ),
    isPlanned ? line('Policy applied', policyText(plan)) : undefined,
    written('Settings changed', job.closing?.settings),
  ])
}
