import { type Basis, isAssumed } from '../../base/known/known'
import { kilograms, pounds } from '../../base/units/weightText'
import type { DryerPlace } from '../cleanup/dryerModel'
import { partKey } from '../../record/records/tick'
import type { Plan } from '../plan/plan'
import type { TaskId } from '../plan/tasks/tasks'

/** What of the plan a step needs at hand, so that nobody leaves it to look it up. */
export type StepFact = {
  readonly label: string
  readonly value: string
  /** how it is known, where that is a guess */
  readonly basis?: Basis
}

type FactRow = {
  readonly at: readonly TaskId[]
  readonly facts: (plan: Plan) => readonly StepFact[]
}

const guessOf = (basis: Basis | undefined) => (basis && isAssumed(basis) ? { basis } : {})

/** A line of the parts list that is not struck. */
function partFact(label: string, key: string, { parts }: Plan): StepFact[] {
  const part = parts.find(({ id, struck }) => id === key && !struck)
  if (!part) return []
  const value = [part.label, ...(part.quantity ? [part.quantity] : [])].join(', ')
  return [{ label, value, ...guessOf(part.basis) }]
}

/** The dryer of a place, its direction, and how it goes in. */
function dryerFacts(place: DryerPlace, plan: Plan): StepFact[] {
  const named = partFact('Dryer', partKey(`${place}-dryer`), plan)
  const placing = plan.dryers.find((each) => each.place === place && each.chosen)?.placing ?? []
  return [...named, ...placing.slice(0, 2).map((value, i) => ({ label: i === 0 ? 'Where' : 'And', value }))]
}

const weight = (kg: number) => `${pounds(kg)} (${kilograms(kg)})`

function expectedOut({ recovery: { expected, guess } }: Plan): StepFact[] {
  const shown = expected ?? guess
  return [{ label: 'Expected out', value: weight(shown.value), ...guessOf(shown) }]
}

function goesIn({ charge, refrigerantPath: { goesIn: name } }: Plan): StepFact[] {
  if (!charge) return []
  const form = charge.leavesAsLiquid ? ', as liquid out of its cylinder' : ''
  const inside = name ? [{ label: 'Refrigerant', value: `${name}${form}` }] : []
  if (charge.total === undefined) return inside
  return [...inside, { label: 'Goes in', value: weight(charge.total.value), ...guessOf(charge.total) }]
}

/** What each step needs to know of the plan. */
const FACT_ROWS: readonly FactRow[] = [
  { at: ['swapLiquidDryer', 'dryerFirst'], facts: (plan) => dryerFacts('liquid', plan) },
  { at: ['fitSuctionDryer'], facts: (plan) => dryerFacts('suction', plan) },
  {
    at: ['recover', 'recoverRest', 'recoverVapour'],
    facts: (plan) => [
      ...(plan.isPart ? [] : expectedOut(plan)),
      ...partFact('Cylinder', partKey('recovery-cylinder'), plan),
    ],
  },
  { at: ['weighIn', 'letIn'], facts: goesIn },
  { at: ['changeOil'], facts: (plan) => partFact('Oil', partKey('oil'), plan) },
  {
    at: ['sweep', 'sweepFlammable', 'pressureTest'],
    facts: (plan) => partFact('Nitrogen', partKey('nitrogen'), plan),
  },
]

/** Parts that cannot be missing at the step. */
const partsAt = (id: TaskId, { parts }: Plan): StepFact[] =>
  parts
    .filter(({ needs, struck }) => !struck && needs.includes(id))
    .map(({ label, quantity, basis }) => ({
      label: 'Part',
      value: quantity ? `${label}, ${quantity}` : label,
      ...guessOf(basis),
    }))

/**
 * The facts of the plan at a step: its parts, which dryer and which way round, the weight that is expected, what goes in.
 * A figure that rests on a guess carries its basis.
 */
export const stepFacts = (id: TaskId, plan: Plan): readonly StepFact[] => [
  ...partsAt(id, plan),
  ...FACT_ROWS.filter(({ at }) => at.includes(id)).flatMap(({ facts }) => facts(plan)),
]
