import { chosenTasks } from './choices'
import { machineOf } from './machine'
import { isProvenEarly, type Proof } from './proofs'
import type { TaskId } from './tasks/tasks'
import { openedWork, pressureControlWork } from './work'

import type { Whole } from './whole'

/** What is proven first, each point where it may be: over the terminals only with the pressure off (handbook 13), inside only when it is open. */
function proofWork({ proofs, opens }: Whole): TaskId[] {
  const first = proofs.filter(({ isFirst }) => isFirst)
  const isLate = (pick: (proof: Proof) => readonly string[]) =>
    opens && first.some((proof) => pick(proof).length > 0)
  const isEarly = first.some((proof) => !opens || proof.missing.length === 0 || isProvenEarly(proof))
  return [
    ...(isEarly ? (['proveFirst'] as const) : []),
    ...(isLate(({ atTerminals }) => atTerminals) ? (['proveAtTerminals'] as const) : []),
    ...(isLate(({ atOpening }) => atOpening) ? (['proveAtOpening'] as const) : []),
  ]
}

export function taskIds(whole: Whole): TaskId[] {
  const { job, remedy, record, cleanup, figured, opens, policy, approval } = whole
  const { repair, observations } = record
  const wanted = [...remedy.work, ...whole.causes.flatMap(({ tasks }) => tasks)]
  const repairs = chosenTasks(
    // what the bench named is not followed once more
    wanted.filter((id) => !(id === 'checkControls' && whole.control)),
    { unit: job.unit, machine: machineOf(job.unit), repair, observations },
  )
  const work = opens
    ? openedWork({
        unit: job.unit,
        cleanup,
        access: figured.access,
        path: figured.path,
        policy,
        observations,
        oil: figured.oil,
        inside: figured.inside,
        isPart: figured.isPart,
        isLeakKnown: repair.leakPlace !== undefined,
        burnsInside: whole.holding.includes('flammable'),
        repairs,
      })
    : []
  const ids: TaskId[] = [
    'setUp',
    ...(approval.isStale ? (['recheck'] as const) : []),
    'confirm',
    ...(repairs.length > 0 ? proofWork(whole) : []),
    // parts come in boxes, and every opening takes a dryer
    ...(opens || remedy.parts.length > 0 ? (['checkBoxes'] as const) : []),
    ...repairs,
    ...work,
    ...pressureControlWork(job.unit, [...repairs, ...work]),
    'closeUp',
  ]
  return ids
}
