import { type Basis, basisOf } from '../../../base/known/known'
import { TASK_IDS, type TaskId, taskRow } from '../tasks/tasks'
import type { PartId } from './catalogue'

/** Parts of a repair by its faults and by its tasks, without what the chosen way makes needless. */
export function partsOfTasks(ofFaults: readonly PartId[], tasks: readonly TaskId[]): PartId[] {
  const needless = tasks.flatMap((id) => taskRow(id).parts.insteadOf ?? [])
  const isValveOther = ofFaults.includes('electronic-valve')
  const wanted = [...ofFaults, ...tasks.flatMap((id) => taskRow(id).parts.brings ?? [])]
  return [...new Set(wanted)].filter(
    (id) => !needless.includes(id) && !(isValveOther && id === 'expansion-valve'),
  )
}

/** Parts that only tasks planned by a guess bring, each with what it rests on. */
export function guessedParts(
  ofFaults: readonly PartId[],
  tasks: readonly { readonly id: TaskId; readonly basis?: Basis }[],
): ReadonlyMap<PartId, Basis> {
  const bringing = (part: PartId) => tasks.filter(({ id }) => taskRow(id).parts.brings?.includes(part))
  const brought = [...new Set(tasks.flatMap(({ id }) => taskRow(id).parts.brings ?? []))]
  return new Map(
    brought.flatMap((part): [PartId, Basis][] => {
      const bases = bringing(part).map(({ basis }) => basis)
      const isGuess = !ofFaults.includes(part) && bases.every((basis) => basis !== undefined)
      return isGuess ? [[part, basisOf(...bases)]] : []
    }),
  )
}

/** Tasks that cannot begin without a part; the check before the pressure test where none is named. */
export const tasksNeeding = (part: PartId): TaskId[] =>
  TASK_IDS.filter((id) => taskRow(id).parts.needs?.includes(part))

/** How many joints of a kind. */
type Joints = { readonly copper: number; readonly steel: number }

/** [practice] joints of a header that becomes a distributor beside its tubes: the line to the valve, and the valve. */
const HEADER_JOINTS = 3
/** [practice] a dryer is sweated in at two ends. */
const DRYER_JOINTS = 2

function jointsOfTask(id: TaskId, feederTubes: number, isDryerFlared: boolean): Joints {
  const { joints } = taskRow(id)
  if (joints === 'as-feeder-tubes') return { copper: feederTubes + HEADER_JOINTS, steel: 0 }
  if (joints === 'as-dryer') return { copper: isDryerFlared ? 0 : DRYER_JOINTS, steel: 0 }
  return { copper: joints[0], steel: joints[1] }
}

/** Joints of all tasks. @param feederTubes as counted or usual @param isDryerFlared the dryer is screwed in */
export function jointsOf(tasks: readonly TaskId[], feederTubes: number, isDryerFlared: boolean): Joints {
  const all = tasks.map((id) => jointsOfTask(id, feederTubes, isDryerFlared))
  return {
    copper: all.reduce((sum, { copper }) => sum + copper, 0),
    steel: all.reduce((sum, { steel }) => sum + steel, 0),
  }
}
