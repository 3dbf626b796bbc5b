import { vetoChange } from '../../diagnosis/vetoes/effects'
import { vetoesOf, type VetoId, VETO_IDS } from '../../safety/vetoes'
import { ancestorsOf, type GraphTask } from './graph'
import { type Stage, stageAt } from './tasks/row'
import {
  actsOf,
  CHARGES,
  COMPRESSORS,
  METERING_CHANGES,
  opensCircuit,
  playing,
  RECOVERIES,
  STARTS,
  SWEEPS,
  taskEffects,
  type TaskId,
  taskRow,
  usesFlame,
  VACUUMS,
} from './tasks/tasks'

/** A plan as its rules see it. */
export type Ruled = {
  readonly tasks: readonly GraphTask[]
  readonly holding: readonly VetoId[]
  readonly hasWaterCoil: boolean
  readonly isCapillary: boolean
  readonly bothSides: boolean
  /** Pa over the air: test, and the lowest limit of what is connected */
  readonly test?: { readonly gauge: number; readonly limit: number } | undefined
}

type View = Ruled & {
  readonly ids: readonly TaskId[]
  readonly opening: readonly TaskId[]
  /** whether one is over before another begins */
  readonly isBefore: (first: TaskId, second: TaskId) => boolean
}

type RuleRow = {
  readonly id: string
  readonly sentence: string
  readonly applies: (view: View) => boolean
  readonly holds: (view: View) => boolean
}

const has = ({ ids }: View, ...wanted: readonly TaskId[]) => wanted.some((id) => ids.includes(id))
const EMPTYING: readonly TaskId[] = [...RECOVERIES, 'proveEmpty']
const PROOFS = playing('proof')
const LEAK_REPAIRS = playing('leak-repair')
const LEAK_FINDS: readonly TaskId[] = ['leakSearch', 'confirmLeak']
const DRYER: TaskId = 'swapLiquidDryer'
const DRYERS: readonly TaskId[] = [DRYER, 'dryerFirst']

/** All of the first are over before any of the second begins; those that are not in the plan do not count. */
const inOrder = ({ ids, isBefore }: View, first: readonly TaskId[], second: readonly TaskId[]) =>
  first
    .filter((id) => ids.includes(id))
    .every((a) => second.filter((id) => ids.includes(id)).every((b) => isBefore(a, b)))
const opens = ({ opening }: View) => opening.length > 0
/** Stages from the lock to the start; what needs power after it brings its own lock-out. */
const isLockedIn = (stage: Stage) => stageAt(stage) >= stageAt('lock') && stageAt(stage) < stageAt('start')

/** Whether every task that a state forbids lies outside of that state, in every order that the graph allows. */
function obeysState({ tasks, holding, isBefore }: View, state: VetoId): boolean {
  const [row] = vetoesOf([state])
  const doing = tasks.filter(
    ({ id, refused }) => !refused && actsOf(id).some((act) => row!.never.includes(act)),
  )
  const lifters = tasks.filter(({ id }) => vetoChange(taskEffects(id)).lifts.includes(state))
  const bringers = tasks.filter(({ id }) => vetoChange(taskEffects(id)).brings.includes(state))
  return doing.every(({ id }) => {
    const isLifted = (from?: TaskId) =>
      lifters.some(
        (lifter) =>
          (lifter.id === id || isBefore(lifter.id, id)) && (from === undefined || isBefore(from, lifter.id)),
      )
    if (holding.includes(state) && !isLifted()) return false
    return bringers.every((bringer) => isBefore(id, bringer.id) || bringer.id === id || isLifted(bringer.id))
  })
}

/** Rules that hold in every plan (handbook 01, 07, 12, 13), each with how it is seen in the graph. */
const RULES: readonly RuleRow[] = [
  {
    id: 'proof-on-the-day',
    sentence: 'Proven again on the day before anything is opened.',
    applies: opens,
    holds: (view) => has(view, ...PROOFS) && inOrder(view, PROOFS, view.opening),
  },
  {
    id: 'boxes-before-opening',
    sentence: 'The boxes of the parts are opened and checked before anything is cut.',
    applies: opens,
    holds: (view) => has(view, 'checkBoxes') && inOrder(view, ['checkBoxes'], view.opening),
  },
  {
    id: 'sweep-before-flame',
    sentence: 'A sweep stands between recovery and any flame.',
    applies: ({ ids }) => ids.some(usesFlame),
    holds: (view) =>
      has(view, ...SWEEPS) &&
      has(view, ...EMPTYING) &&
      inOrder(view, EMPTYING, SWEEPS) &&
      inOrder(view, SWEEPS, view.ids.filter(usesFlame)),
  },
  {
    id: 'empty-is-proven',
    sentence: 'An empty circuit has nothing to recover: that is proven instead, and the leak found.',
    applies: (view) => has(view, 'proveEmpty'),
    holds: (view) => !has(view, ...RECOVERIES) && inOrder(view, ['proveEmpty'], LEAK_FINDS),
  },
  {
    id: 'vapour-is-recovered',
    sentence: 'Nitrogen goes only into a circuit whose refrigerant was recovered or proven gone.',
    applies: (view) => has(view, 'traceNitrogen'),
    holds: (view) => has(view, ...EMPTYING) && inOrder(view, EMPTYING, ['traceNitrogen']),
  },
  {
    id: 'dryer-behind-first',
    sentence: 'A dryer that sits behind the part goes in before it.',
    applies: (view) => has(view, 'dryerFirst'),
    holds: (view) =>
      inOrder(view, ['dryerFirst'], [...METERING_CHANGES, ...COMPRESSORS, 'swapReversingValve']),
  },
  {
    id: 'one-dryer',
    sentence: 'Every opening gets a liquid dryer, and one.',
    applies: opens,
    holds: ({ ids }) => ids.filter((id) => DRYERS.includes(id)).length === 1,
  },
  {
    id: 'new-compressor-is-full',
    sentence: 'No oil is drained from or filled into a compressor that never ran.',
    applies: (view) => has(view, ...COMPRESSORS),
    holds: (view) => !has(view, 'changeOil', 'tipCompressor'),
  },
  {
    id: 'metering-checked-open',
    sentence: 'A metering device is checked for another refrigerant while the circuit is open.',
    applies: (view) => has(view, 'checkMetering'),
    holds: (view) =>
      inOrder(view, ['checkMetering'], ['pressureTest']) && inOrder(view, EMPTYING, ['checkMetering']),
  },
  {
    id: 'terminals-without-pressure',
    sentence: 'What is proven at the terminals is proven after the refrigerant is out and locked out.',
    applies: (view) => has(view, 'proveAtTerminals'),
    holds: (view) =>
      has(view, 'lockOut') &&
      inOrder(view, ['lockOut', ...EMPTYING], ['proveAtTerminals']) &&
      inOrder(view, ['proveAtTerminals'], view.opening),
  },
  {
    id: 'recovered-once',
    sentence: 'Nothing is opened before the refrigerant is out of that section.',
    applies: opens,
    holds: (view) => has(view, ...EMPTYING) && inOrder(view, EMPTYING, view.opening),
  },
  {
    id: 'leak-before-compressor',
    sentence: 'The leak is found and repaired before a new compressor is bought or fitted.',
    applies: (view) => has(view, ...LEAK_FINDS) && has(view, ...COMPRESSORS),
    holds: (view) => inOrder(view, [...LEAK_FINDS, ...LEAK_REPAIRS], COMPRESSORS),
  },
  {
    id: 'dryer-last',
    sentence: 'The dryer is unsealed last.',
    applies: (view) => has(view, DRYER),
    holds: (view) =>
      inOrder(
        view,
        view.opening.filter((id) => id !== DRYER),
        [DRYER],
      ),
  },
  {
    id: 'parts-in-before-test',
    sentence: 'All planned parts are in before the pressure test.',
    applies: (view) => has(view, 'pressureTest'),
    holds: (view) => inOrder(view, view.opening, ['partsIn']) && inOrder(view, ['partsIn'], ['pressureTest']),
  },
  {
    id: 'test-vacuum-charge',
    sentence:
      'No vacuum before the pressure test, no charge before the decay test, no start before the charge.',
    applies: opens,
    holds: (view) =>
      inOrder(view, ['pressureTest', 'bubbleJoints'], VACUUMS) &&
      inOrder(view, VACUUMS, ['decayTest']) &&
      inOrder(view, ['decayTest'], CHARGES) &&
      inOrder(view, CHARGES, STARTS) &&
      [['pressureTest'], VACUUMS, ['decayTest'], CHARGES].every((any) => has(view, ...(any as TaskId[]))),
  },
  {
    id: 'test-pressure',
    sentence: 'The test pressure is no higher than the lowest of the connected sections.',
    applies: ({ test }) => test !== undefined,
    holds: ({ test }) => test!.gauge <= test!.limit,
  },
  {
    id: 'water',
    sentence: 'Water is drained or flowing before refrigerant boils in its coil, and flows before the start.',
    applies: (view) => view.hasWaterCoil && opens(view),
    holds: (view) =>
      inOrder(view, ['drainWater'], [...RECOVERIES, ...CHARGES]) &&
      has(view, 'drainWater') &&
      inOrder(view, ['waterOn'], ['settle']),
  },
  {
    id: 'held-open',
    sentence: 'Solenoids and electronic valves are held open for recovery, test and vacuum, and put back.',
    applies: (view) => has(view, 'holdOpen'),
    holds: (view) =>
      inOrder(view, ['holdOpen'], [...RECOVERIES, 'pressureTest']) &&
      has(view, 'releaseValves') &&
      inOrder(view, VACUUMS, ['releaseValves']) &&
      inOrder(view, ['releaseValves'], ['settle']),
  },
  {
    id: 'both-sides',
    sentence: 'A capillary circuit is evacuated from both sides.',
    applies: (view) => view.isCapillary && opens(view),
    holds: ({ bothSides }) => bothSides,
  },
  {
    id: 'lock-out',
    sentence: 'Locked out before anything is opened or unwired; the lock goes last, before the start.',
    applies: (view) => has(view, 'lockOut'),
    holds: (view) => {
      const dead = view.ids.filter((id) => {
        const row = taskRow(id)
        const isWork = row.effects.opens || usesFlame(id) || row.cautions.includes('shock')
        return isWork && id !== 'lockOut' && isLockedIn(stageOf(view, id))
      })
      return (
        inOrder(view, ['lockOut'], dead) &&
        inOrder(view, dead, ['unlock']) &&
        inOrder(view, ['unlock'], ['settle'])
      )
    },
  },
  {
    id: 'locked-when-open',
    sentence: 'No circuit is opened without a lock-out.',
    applies: opens,
    holds: (view) => has(view, 'lockOut') && inOrder(view, ['lockOut'], view.opening),
  },
  {
    id: 'fire-watch',
    sentence: 'A fire watch follows the last flame.',
    applies: ({ ids }) => ids.some(usesFlame),
    holds: (view) =>
      has(view, 'fireWatch') &&
      inOrder(view, view.ids.filter(usesFlame), ['fireWatch']) &&
      inOrder(view, ['fireWatch'], ['closeUp']),
  },
  {
    id: 'vetoes',
    sentence: 'Nothing is done in a state that forbids it.',
    applies: () => true,
    holds: (view) => VETO_IDS.every((state) => obeysState(view, state)),
  },
]

const stageOf = ({ tasks }: View, id: TaskId) => tasks.find((task) => task.id === id)!.stage

function viewOf(plan: Ruled): View {
  const ancestors = ancestorsOf(plan.tasks)
  const ids = plan.tasks.map(({ id }) => id)
  return {
    ...plan,
    ids,
    opening: ids.filter(opensCircuit),
    isBefore: (first, second) => ancestors.get(second)?.has(first) === true,
  }
}

/** A rule that a plan was made by, and whether it holds. */
export type AppliedRule = { readonly id: string; readonly sentence: string; readonly holds: boolean }

/** The rules that apply to a plan; one that does not hold is a mistake of Orzo's, and is said. */
export function rulesOf(plan: Ruled): AppliedRule[] {
  const view = viewOf(plan)
  return RULES.filter(({ applies }) => applies(view)).map(({ id, sentence, holds }) => ({
    id,
    sentence,
    holds: holds(view),
  }))
}
