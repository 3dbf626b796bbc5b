import { fullMomentIn } from '../base/units/siteTime'
import { durationText } from '../base/units/wall'
import { isDecided } from '../record/job/decisions'
import type { StepRecord } from '../record/records/step'
import { isOwnTask } from '../repair/plan/tasks/own'
import { stillOff, takenOffList } from '../repair/work/takenOff'
import { workTimes } from '../repair/work/workTimes'
import { isWorkGate, workGateRow } from '../safety/workGates'
import { line, type ReportSection, section, written } from './line'
import type { RoundScene } from './scene'
import { stepName } from './stepName'

const nameOf = ({ task, own }: StepRecord) => stepName(task, own?.label)

/** Gates that were passed with a reason, each with what it stood for. */
const passedGates = ({ job }: RoundScene) => [
  ...(job.day?.quote?.without ? [{ gate: 'not-approved', reason: job.day.quote.without }] : []),
  ...job.steps.flatMap(({ overrides = [] }) => overrides),
]

const APPROVAL = {
  'not-asked': 'no quote was asked for',
  asked: 'the quote was not answered',
  given: 'agreed to the quote',
  refused: 'refused the quote',
} as const

/** When it was worked on, and the hands that it took. */
export function timesText({ job, now }: RoundScene): string | undefined {
  const times = workTimes(job.steps, Math.min(now, Date.parse(job.updatedAt)))
  if (!times) return undefined
  const [begun, ended] = [times.from, times.to].map((moment) => fullMomentIn(moment, job.unit.site?.zone))
  return `${begun} to ${ended}, ${durationText(Math.round(times.hands))} hands-on`
}

/** What was done and is planned no longer. */
const unplanned = ({ job, answer: { plan } }: RoundScene): string =>
  [...new Set(job.steps.map(({ task }) => task))]
    .filter((task) => !isOwnTask(task) && (!isDecided(job) || plan.tasks.every(({ id }) => id !== task)))
    .map((task) => stepName(task))
    .join('; ')

/** What came off, and what of it is back. */
export function offLists({ known, state, work, job }: RoundScene) {
  const tasks = [...work.tasks.map(({ id }) => id as string), ...job.steps.map(({ task }) => task)]
  const all = takenOffList({ job: known, state, tasks })
  return { back: all.filter((each) => each.state === 'back'), off: stillOff(all) }
}

/** How the work went, what was passed with a reason, what came off and is back. */
export function workSection(scene: RoundScene): ReportSection | undefined {
  const { job, answer } = scene
  const { back, off } = offLists(scene)
  const begun = job.steps.length > 0
  return section('work', 'Work', [
    begun ? line('Worked', timesText(scene)) : undefined,
    answer.plan.opens && begun ? line('Owner', APPROVAL[answer.plan.approval.state]) : undefined,
    ...passedGates(scene).map(({ gate, reason }) =>
      written(
        isWorkGate(gate) ? `${workGateRow(gate).state}, passed with a reason` : 'Passed with a reason',
        `“${reason}”`,
      ),
    ),
    ...job.steps.flatMap((step) =>
      step.skipped ? [written(`Left out: ${nameOf(step)}`, `“${step.skipped.reason}”`)] : [],
    ),
    ...job.steps.flatMap((step) =>
      step.own && step.doneAt ? [written(`Added on site: ${nameOf(step)}`, step.note ?? 'done')] : [],
    ),
    ...job.steps.flatMap((step) =>
      step.note && !step.own ? [written(`Note: ${nameOf(step)}`, step.note)] : [],
    ),
    begun ? line('Done, no longer planned', unplanned(scene)) : undefined,
    line('Taken off and back on', back.map(({ label }) => label).join('; ')),
    line('Still off', off.map(({ label }) => label).join('; ')),
    line(
      'Wiring changed',
      (job.run?.wiring ?? [])
        .map(({ wire, before, after }) => `${wire}: ${before ?? '?'} to ${after ?? '?'}`)
        .join('; '),
    ),
  ])
}
