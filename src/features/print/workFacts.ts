import { isDecided } from '@/core/record/job/decisions'
import type { StoredJob } from '@/core/record/job/job'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { acidTestText } from '@/core/record/job/acidTests'
import { passOf } from '@/core/record/job/passes'
import { unitState } from '@/core/record/state/unitState'
import { effectsOf, isTask, taskRow } from '@/core/repair/plan/tasks/tasks'
import { isOwnTask } from '@/core/repair/plan/tasks/own'
import type { Plan } from '@/core/repair/plan/plan'
import { heaterHours } from '@/core/repair/work/heater'
import { otherMode } from '@/core/repair/work/otherMode'
import { workTimes } from '@/core/repair/work/workTimes'
import { momentIn } from '@/core/base/units/siteTime'
import { instantOf } from '@/core/base/units/instants'
import { durationText } from '@/core/base/units/wall'
import { totalTurns, turnsText } from '@/core/repair/work/startUp'
import { stillOff, takenOffList } from '@/core/repair/work/takenOff'
import { isWorkGate, workGateRow } from '@/core/safety/workGates'
import { fluidOunces } from '@/core/report/planText'
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

/** When it was worked on, and the hands that it took. */
function timesText({ steps, updatedAt, unit }: StoredJob): string | undefined {
  const times = workTimes(steps, Date.parse(updatedAt))
  if (!times) return undefined
  const { from, to, hands } = times
  const [begun, ended] = [from, to].map((moment) => momentIn(moment, unit.site?.zone))
  return `${begun} to ${ended}, ${durationText(Math.round(hands))} hands-on`
}

/** Leaks that a pressure test found, and how each was repaired. */
const leaksText = ({ repair }: StoredJob): string =>
  (repair?.leaks ?? [])
    .map(
      ({ place, repair: how, part, joints }) =>
        `${place}: ${how}${part ? `, ${part}` : ''}${joints ? `, ${joints} ${joints === 1 ? 'joint' : 'joints'}` : ''}`,
    )
    .join('; ')

/** Tests for acid, each with its moment. */
const acidText = ({ repair, unit }: StoredJob): string =>
  (repair?.acidTests ?? [])
    .map((test) => `${momentIn(test.at, unit.site?.zone)} ${acidTestText(test)}`)
    .join('; ')

/** Oil by measure: what came out, what goes in again. */
const oilText = ({ oil }: Plan): string | undefined =>
  oil.out === undefined
    ? undefined
    : `${fluidOunces(oil.out)} came out, refill ${fluidOunces(oil.refill.value)} of ${oil.goesIn}`

/** The other mode of a heat pump, where it is booked and not measured yet. */
function otherModeText(job: StoredJob, unit: UnitPlate): string | undefined {
  const other = otherMode({ ...job, unit })
  if (!other || other.left.length === 0 || job.repair?.startedAt === undefined) return undefined
  const left = other.left.join(' and ')
  return other.bookedFor ? `${left} booked for ${other.bookedFor}` : `${left} not measured after the start`
}

/** Hours for which the crankcase heater had power before the start. */
function heaterText({ run, repair }: StoredJob): string | undefined {
  const hours = heaterHours(run?.heater ?? [], instantOf(repair?.startedAt))
  return hours > 0 ? `${hours.toFixed(1)} h of power` : undefined
}

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
      `${momentIn(told.at, job.unit.site?.zone)} ${told.word}: ${told.sentence}`,
    ]),
    ['Worked', timesText(job)],
    ['Tests for acid', acidText(job)],
    ['Leaks found by the test', leaksText(job)],
    ['Oil', oilText(plan)],
    ['Crankcase heater', heaterText(job)],
    ['Other mode', otherModeText(job, unit)],
    ['Gates passed with a reason', passed(job)],
    ['Steps of our own', ownDone(job)],
    ['Steps left out', leftOut(job)],
    ['Done, no longer planned', unplanned(job, plan)],
    ['Valve stem', turns.length > 0 ? turnsText(totalTurns(turns)) : undefined],
    ['Still off', off.map(({ label }) => label).join('; ')],
  ]
}
