import { format } from 'date-fns'
import type { StoredJob } from '@/core/record/job/job'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Plan } from '@/core/repair/plan/plan'
import { totalTurns, turnsText } from '@/core/repair/work/startUp'
import { stillOff, takenOffList } from '@/core/repair/work/takenOff'
import { isWorkGate, workGateRow } from '@/core/safety/workGates'
import { PURPOSE_NAMES } from '@/core/record/records/purposeNames'

type Fact = readonly [label: string, value: string | undefined]

const labelOf = ({ tasks }: Plan, id: string) => tasks.find((task) => task.id === id)?.label ?? id

/** Gates that were passed with a reason, each with what it stood for. */
const passed = (job: StoredJob): string =>
  job.steps
    .flatMap(({ overrides = [] }) => overrides)
    .map(({ gate, reason }) => `${isWorkGate(gate) ? workGateRow(gate).state : gate}: “${reason}”.`)
    .join(' ')

const leftOut = (job: StoredJob, plan: Plan): string =>
  job.steps
    .flatMap(({ id, skipped }) => (skipped ? [`${labelOf(plan, id)}: “${skipped.reason}”.`] : []))
    .join(' ')

/** What the logs of the work said, the reasons with which gates were passed, what was left out, what is still off. */
export function workFacts(job: StoredJob, plan: Plan, unit: UnitPlate): Fact[] {
  const judged = job.logs
    .flatMap(({ purpose, verdict }) => (purpose && verdict ? [{ purpose, verdict }] : []))
    .sort((a, b) => Date.parse(a.verdict.at) - Date.parse(b.verdict.at))
  const turns = job.run?.turns ?? []
  const off = stillOff(
    takenOffList(
      { ...job, unit },
      plan.tasks.map(({ id }) => id),
    ),
  )
  return [
    ...judged.map(({ purpose, verdict }): Fact => [
      PURPOSE_NAMES[purpose],
      `${format(new Date(verdict.at), 'HH:mm')} ${verdict.passed ? 'passed' : 'not passed'}: ${verdict.sentence}`,
    ]),
    ['Gates passed with a reason', passed(job)],
    ['Steps left out', leftOut(job, plan)],
    ['Valve stem', turns.length > 0 ? turnsText(totalTurns(turns)) : undefined],
    ['Still off', off.map(({ label }) => label).join('; ')],
  ]
}
