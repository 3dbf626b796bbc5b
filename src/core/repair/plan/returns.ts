import { type Basis, basisOf } from '../../base/known/known'
import type { CoreChange } from '../cleanup/dryerPlacing'
import type { DryerChoice } from '../cleanup/dryers'
import { oilTask } from './work'
import { planTasks, type PlanTask, type TaskFacts } from './planTasks'
import type { TaskId } from './tasks/tasks'

/** A later visit that opens the circuit again: an opening of its own, with its own dryer, test and vacuum. */
export type ReturnVisit = {
  /** hours after the first start */
  readonly hours: number
  readonly sentence: string
  /** how what asks for it is known */
  readonly basis: Basis
  readonly tasks: readonly PlanTask[]
}

const ROUND: readonly TaskId[] = [
  'setUp',
  'confirm',
  'checkBoxes',
  'gainAccess',
  'recover',
  'swapLiquidDryer',
  'partsIn',
  'pressureTest',
  'bubbleJoints',
  'evacuate',
  'decayTest',
  'weighIn',
  'refit',
  'settle',
  'closeUp',
]

type Changing = Pick<DryerChoice, 'place' | 'basis'> & { readonly changes: readonly CoreChange[] }

/** Changes of the oil that wait until it has run: one a visit (handbook 09). */
type OilLater = { readonly changes: number; readonly basis: Basis }
/** [practice] handbook 06: about a day of running mixes what lay in the circuit. h */
const OIL_AFTER = 24
const OIL_SENTENCE = 'oil changed, where its test still asks for it: now it has run'

/**
 * The visits on which cores are looked at and changed, and oil that could not be changed before it ran.
 * @param held tasks that every opening of this unit has: valves held open, water drained
 */
export function returnVisits(
  dryers: readonly Changing[],
  held: readonly TaskId[],
  facts: TaskFacts,
  oil: OilLater,
): ReturnVisit[] {
  const cores = dryers.flatMap(({ changes }) => changes.map((each) => each.hours))
  const hours = [...new Set(cores.length > 0 || oil.changes === 0 ? cores : [OIL_AFTER])].sort(
    (a, b) => a - b,
  )
  return hours.map((at, visit): ReturnVisit => {
    const isOilDue = visit < oil.changes
    const due = dryers.filter(({ changes }) => changes.some((each) => each.hours === at))
    const sentences = due.flatMap(({ changes }) =>
      changes.filter((each) => each.hours === at).map((each) => each.sentence),
    )
    const ids: TaskId[] = [
      ...ROUND,
      ...held,
      facts.burns ? 'sweepFlammable' : 'sweep',
      ...(due.some(({ place }) => place === 'suction') ? (['fitSuctionDryer', 'testOil'] as const) : []),
      ...(isOilDue ? [oilTask(facts.unit)] : []),
    ]
    return {
      hours: at,
      basis: basisOf(...due.map(({ basis }) => basis), isOilDue ? oil.basis : undefined),
      sentence: [...sentences, ...(isOilDue ? [OIL_SENTENCE] : [])].join('; '),
      tasks: planTasks(ids, {
        ...facts,
        isPart: false,
        flueMoved: false,
        holding: facts.burns ? ['flammable'] : [],
        notes: undefined,
      }),
    }
  })
}
