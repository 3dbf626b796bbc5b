import { format } from 'date-fns'
import { isDecided } from '@/core/record/job/decisions'
import type { StoredJob } from '@/core/record/job/job'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { passOf } from '@/core/record/job/passes'
import { unitState } from '@/core/record/state/unitState'
import { effectsOf, isTask, taskRow } from '@/core/repair/plan/tasks/tasks'
import { isOwnTask } from '@/core/repair/plan/tasks/own'
import type { Plan } from '@/core/repair/plan/plan'
import { totalTurns, turnsText } from '@/core/repair/work/startUp'
import { stillOff, takenOffList } from '@/core/repair/work/takenOff'
import { isWorkGate, workGateRow } from '@/core/safety/workGates'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { logWord } from '@/core/repair/logs/logWord'
import type { Verdicts } from '@/core/repair/logs/verdicts'

type Fact = readonly [label: string, value: string | undefined]

const labelOf = (task: string, own?: string) => own ?? (isTask(task) ? taskRow(task).label : task)

/** Gates that were passed with a reason, each with what it stood for. */
const passed = (job: StoredJob): string =>
  [
    ...(job.day?.quote?.without ? [{ gate: 'not-approved', reason: job.day.quote.without }] : []),
    ...job.steps.flatMap(({ overrides = [] }) => overrides),
  ]
    .map(({ gate, reason }) => `${isWorkGate(gate) ? workGateRow(gate).state : gate}: “${reason}”.`)
    .join(' ')

const leftOut = (job: StoredJob): string =>
  job.steps
    .flatMap(({ task, own, skipped }) =>
      skipped ? [`${labelOf(task, own?.label)}: “${skipped.reason}”.`] : [],
    )
    .join(' ')

/** What was done and is planned no longer: it stays on the report with what it showed. */
const unplanned = (job: StoredJob, plan: Plan): string =>
  [...new Set(job.steps.map(({ task }) => task))]
    .filter((task) => !isOwnTask(task))
    .filter((task) => !isDecided(job) || plan.tasks.every(({ id }) => id !== task))
    .map((task) => labelOf(task))
    .join('; ')

/** Steps that were added on site and done. */
const ownDone = (job: StoredJob): string =>
  job.steps
    .flatMap(({ own, doneAt, note }) => (own && doneAt ? [`${own.label}${note ? ` (${note})` : ''}`] : []))
    .join('; ')

/** Which pass of its task a log belongs to, where there were several. */
function passText(job: StoredJob, step: string | undefined): string {
  const own = job.steps.find(({ id }) => id === step)
  const several = own && job.steps.filter(({ task }) => task === own.task).length > 1
  return several ? `, pass ${passOf(own)}` : ''
}

/** What the logs of the work said, the reasons with which gates were passed, what was left out, what is still off. */
export function workFacts(job: StoredJob, plan: Plan, unit: UnitPlate, verdicts: Verdicts): Fact[] {
  const judged = job.logs
    .flatMap((log) =>
      log.purpose ? [{ purpose: log.purpose, step: log.step, told: logWord(log, verdicts[log.id]) }] : [],
    )
    .sort((a, b) => Date.parse(a.told.at) - Date.parse(b.told.at))
  const turns = job.run?.turns ?? []
  const state = unitState({ ...job, unit }, effectsOf)
  const tasks = [...plan.tasks.map(({ id }) => id), ...job.steps.map(({ task }) => task)]
  const off = stillOff(takenOffList({ job: { ...job, unit }, state, tasks }))
  return [
    ...judged.map(({ purpose, told, step }): Fact => [
      `${LOG_KINDS[purpose].name}${passText(job, step)}`,
      `${format(new Date(told.at), 'HH:mm')} ${told.word}: ${told.sentence}`,
    ]),
    ['Gates passed with a reason', passed(job)],
    ['Steps of our own', ownDone(job)],
    ['Steps left out', leftOut(job)],
    ['Done, no longer planned', unplanned(job, plan)],
    ['Valve stem', turns.length > 0 ? turnsText(totalTurns(turns)) : undefined],
    ['Still off', off.map(({ label }) => label).join('; ')],
  ]
}
