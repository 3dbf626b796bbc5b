import { MINUTE } from '@/core/base/units/time'
import { seededRandom } from '@/core/base/numeric/random'
import { decidedFaults } from '@/core/answer/repairedFaults'
import { UNITS } from '@/core/base/units/units'
import type { Edit } from '@/core/record/edits/edit'
import { addLog, setClosing } from '@/core/record/edits/listEdits'
import {
  checkStart,
  finishStep,
  leaveStep,
  markTaken,
  setBled,
  setBubbled,
  together,
} from '@/core/record/edits/workEdits'
import type { KnownJob } from '@/core/record/job/job'
import { countOf, type Samples } from '@/core/record/logs/samples'
import type { Plan } from '@/core/repair/plan/plan'
import { planOf } from '@/core/repair/plan/basis'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import { offLabel } from '@/core/record/state/offParts'
import { unitState } from '@/core/record/state/unitState'
import type { PlanTask } from '@/core/repair/plan/planTasks'
import { beginTask } from '@/core/repair/work/beginning'
import { startLines } from '@/core/repair/work/firstStart'
import { takenOffList } from '@/core/repair/work/takenOff'
import type { DemoDay } from './demoJob'
import { demoPlant } from './demoPlant'
import { demoSet } from './demoSet'
import { operator, scriptOf, type WorkHands } from './workLogs'

/** One who works: the job as it stands, the moment, the circuit under the hands. */
class Technician {
  job: KnownJob
  at: number
  readonly samples: Record<string, Samples> = {}
  readonly #plan: Plan
  readonly #hands: WorkHands
  readonly #random: () => number
  #ids = 0

  constructor(job: KnownJob, plan: Plan, at: number, seed: number) {
    this.job = job
    this.#plan = plan
    this.at = at
    this.#random = seededRandom(seed)
    this.#hands = operator(demoPlant({ job, unit: job.unit, plan }), seed)
  }

  change(edit: Edit): void {
    const stamp = { now: new Date(this.at).toISOString(), newId: () => `work-${(this.#ids += 1)}` }
    this.job = edit(this.job, stamp) as KnownJob
  }

  /** What a task takes: near to what is likely, never by the clock. */
  #pass(minutes: number) {
    this.at += Math.round(minutes * (0.85 + 0.4 * this.#random())) * MINUTE
  }

  begin(task: PlanTask) {
    const { goesIn } = this.#plan.refrigerantPath
    this.change(beginTask(task, goesIn))
  }

  /** A task from its beginning to its end. */
  work(task: PlanTask, day: DemoDay) {
    this.begin(task)
    this.#pass(task.handsOn[1] / 2)
    if (task.id === 'settle') this.#start(day)
    if (task.id === 'refit' || task.id === 'closeUp') this.#putBack()
    this.#log(task)
    if (task.id === 'pressureTest') this.change(together(setBubbled(true), setBled(true)))
    this.#pass(task.handsOn[1] / 2)
    const [, alone] = task.unattended ?? []
    if (alone && !scriptOf(task.id)) {
      this.change(leaveStep(task.id))
      this.#pass(alone)
    }
    this.change(finishStep(task.id))
  }

  #log(task: PlanTask) {
    const script = scriptOf(task.id)
    if (!script) return
    const { head, samples, moved, seconds } = script(this.#hands, this.#plan, this.job.unit)
    const id = `log-${task.id}`
    const started = new Date(this.at).toISOString()
    this.at += seconds * 1000
    this.samples[id] = samples
    this.change(addLog({ ...head, id, step: task.id, startedAt: started, samples: countOf(samples) }))
    if (!moved) return
    const weight = { value: Number((moved.kilograms / UNITS.lb.si).toFixed(2)), unit: 'lb' } as const
    this.change(setClosing({ [moved.field]: weight }))
  }

  #start({ after }: DemoDay) {
    const state = unitState(this.job, effectsOf)
    for (const { id, part } of startLines({ unit: this.job.unit, tasks: this.#plan.tasks, state }))
      this.change(part ? markTaken({ what: part, label: offLabel(part) }, 'back') : checkStart(id, true))
    this.#pass(18)
    if (!after) return
    const set = demoSet(this.job.unit, after, new Date(this.at).toISOString(), 'set-after')
    this.job = { ...this.job, readingSets: [...this.job.readingSets, set] }
  }

  #putBack() {
    const tasks = this.#plan.tasks.map(({ id }) => id)
    const state = unitState(this.job, effectsOf)
    for (const line of takenOffList({ job: this.job, state, tasks }))
      if (line.state === 'off') this.change(markTaken(line, 'back'))
  }
}

/**
 * A day of work by the plan of a job, step after step, with the logs that a simulated circuit gives.
 * @param begins ms
 * @returns the job, the samples of its logs, and the moment at which it stands
 * @throws OrzoError not-loaded
 */
export function workThrough(
  found: KnownJob,
  day: DemoDay,
  begins: number,
): { readonly job: KnownJob; readonly samples: Readonly<Record<string, Samples>>; readonly at: number } {
  const plan = planOf(found, decidedFaults(found))
  const one = new Technician(found, plan, begins, day.seed)
  for (const task of plan.tasks) {
    if (task.id === day.until) {
      one.begin(task)
      return one
    }
    one.work(task, day)
  }
  one.change(setClosing({ proven: 'proven', ...(day.replaced ? { replaced: day.replaced } : {}) }))
  return one
}
