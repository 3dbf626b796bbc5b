import { latestPass } from '../../record/job/passes'
import type { Job } from '../../record/job/job'
import type { ReplacedPart } from '../../record/state/effects'
import { dryerName } from '../plan/dryerName'
import { partKey } from '../../record/records/tick'
import { PART_IDS, partRow } from '../plan/parts/catalogue'
import type { PlanPart } from '../plan/parts/planParts'
import type { Plan } from '../plan/plan'
import { isOwnTask } from '../plan/tasks/own'
import { isTask, opensCircuit, type TaskId, taskEffects } from '../plan/tasks/tasks'

const NAMES: Readonly<Record<ReplacedPart, string>> = {
  compressor: 'compressor',
  lead: 'lead',
  'terminal-plug': 'terminal plug',
  'fan-motor': 'fan motor',
  'crankcase-heater': 'crankcase heater',
  'metering-device': 'metering device',
  'reversing-valve': 'reversing valve',
  'liquid-dryer': 'liquid dryer',
  oil: 'oil',
}
const DRYER_TASKS: Readonly<Record<'liquid' | 'suction', readonly TaskId[]>> = {
  liquid: ['swapLiquidDryer', 'dryerFirst'],
  suction: ['fitSuctionDryer'],
}

type DoneJob = Pick<Job, 'steps' | 'repair'>
type PartsPlan = Pick<Plan, 'parts' | 'dryers'>

/** What a line of the list is called once it is in: what it had to match is asked for, not shown. A label of one's own stays. */
function nameOf({ id, label }: Pick<PlanPart, 'id' | 'label'>): string {
  const part = PART_IDS.find((each) => partKey(each) === id)
  const row = part && partRow(part)
  return row?.label === label ? (row.fitted ?? label) : label
}

/** What was fitted by a task: the parts of the list that it cannot do without, else what its row says that it replaces. */
function fittedBy(id: TaskId, { parts }: PartsPlan): string[] {
  const listed = parts.filter(({ needs, struck }) => !struck && needs.includes(id)).map(nameOf)
  const replaced = (taskEffects(id).replaces ?? []).filter((part) => part !== 'liquid-dryer')
  return listed.length > 0 ? listed : replaced.map((part) => NAMES[part])
}

/** What was replaced, by the steps that are done and the list of parts: nobody is asked for it again. */
export function replacedParts({ steps, repair }: DoneJob, plan: PartsPlan): string[] {
  const done = [...new Set(steps.map(({ task }) => task))]
    .filter(isTask)
    .filter((task) => latestPass(steps, task)?.doneAt !== undefined)
  const dryers = plan.dryers.flatMap(({ place, chosen }) =>
    chosen && DRYER_TASKS[place].some((id) => (done as readonly TaskId[]).includes(id))
      ? [`${place} dryer ${dryerName(chosen.dryer)}`]
      : [],
  )
  // what is fitted at a leak is in once its repair is done
  const isRepaired = (leak: string) =>
    steps.some(
      ({ task, doneAt }) =>
        doneAt !== undefined && isOwnTask(task) && task.endsWith(`-${leak}`) && opensCircuit(task),
    )
  const leaks = (repair?.leaks ?? []).flatMap(({ id, part }) => (part && isRepaired(id) ? [part] : []))
  return [...new Set([...done.flatMap((id) => fittedBy(id, plan)), ...dryers, ...leaks])]
}
