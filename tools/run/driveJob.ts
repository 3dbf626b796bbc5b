import { createAnswerer } from '@/core/answer/answer'
import { UNITS } from '@/core/base/units/units'
import { fromPascals } from '@/core/base/units/convert'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { decide, setShown, toggleCause } from '@/core/record/edits/decisionEdits'
import { setDay, setQuote } from '@/core/record/edits/dayEdits'
import type { Edit } from '@/core/record/edits/edit'
import { setArrival, setPlate } from '@/core/record/edits/headEdits'
import { addLog, setClosing } from '@/core/record/edits/listEdits'
import { addLook, endTyped, markLog } from '@/core/record/edits/lookEdits'
import { captureReadings, observe } from '@/core/record/edits/readingEdits'
import { setRepair } from '@/core/record/edits/repairEdits'
import { addSet, setMode } from '@/core/record/edits/setEdits'
import * as work from '@/core/record/edits/workEdits'
import { emptyJob, type KnownJob } from '@/core/record/job/job'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { Observations } from '@/core/record/readings/schema'
import type { Arrival } from '@/core/record/records/head'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import type { Day } from '@/core/record/records/day'
import type { MarkKind } from '@/core/record/records/log'
import type { Repair } from '@/core/record/records/repair'
import { offLabel } from '@/core/record/state/offParts'
import { unitState } from '@/core/record/state/unitState'
import { isJudgedAsWet } from '@/core/repair/cleanup/contamination'
import { testSetup } from '@/core/repair/logs/judgeTest'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { vacuumLimits } from '@/core/repair/logs/vacuumLimits'
import type { Plan } from '@/core/repair/plan/plan'
import { effectsOf, playing, taskRow } from '@/core/repair/plan/tasks/tasks'
import { beginTask } from '@/core/repair/work/beginning'
import { startLines } from '@/core/repair/work/firstStart'
import { runSheet, type SheetStep } from '@/core/repair/work/runSheet'
import { takenOffList } from '@/core/repair/work/takenOff'
import { demoSet } from '@/demo/demoSet'
import type { DemoSet } from '@/demo/demoJob'
import { workScene } from './workScene'

const MINUTE = 60_000
const BEGINS = Date.parse('2026-12-01T07:00:00Z')
const MOST_STEPS = 80

type Set = Omit<DemoSet, 'hoursAgo'>

/** A job as its technician enters it: what is asked at each stage, up to the work. */
export type WholeJob = {
  readonly plate: UnitPlate
  readonly arrival?: Arrival
  /** as the simulated unit shows it */
  readonly sets: readonly Set[]
  /** words of the last set that nobody simulates: what a bench or an opened circuit shows */
  readonly words?: Observations
  readonly points?: readonly string[]
  readonly faults: readonly string[]
  readonly causes?: readonly string[]
  readonly repair?: Repair
  readonly day?: Day
  readonly also?: readonly Edit[]
  /** readings after the start: the modes that are proven */
  readonly after: Set
}

/** One who enters a job and works it through, by named edits alone. */
class Technician {
  job: KnownJob
  at = BEGINS
  #ids = 0
  readonly #answerer = createAnswerer()
  constructor(kind: UnitPlate) {
    this.job = emptyJob({ kind: kind.kind, refrigerant: kind.refrigerant, metering: kind.metering })
  }
  edit(...all: readonly Edit[]) {
    for (const each of all) {
      const stamp = { now: new Date(this.at).toISOString(), newId: () => `by-hand-${(this.#ids += 1)}` }
      this.job = each(this.job, stamp) as KnownJob
    }
  }
  wait(minutes: number) {
    this.at += minutes * MINUTE
  }
  /** The plan as the screen has it: computed anew only where something changed on which it rests. */
  plan(): Plan {
    return this.#answerer.whole({ job: this.job }).plan
  }
  /** A set of readings as the simulated unit shows it, keyed in. */
  measure(set: Set, id: string, words: Observations = {}) {
    const {
      readings,
      observations = {},
      mode,
    } = demoSet(this.job.unit, set, new Date(this.at).toISOString(), id)
    const pairs = Object.entries(readings) as [ReadingKey, NonNullable<(typeof readings)[ReadingKey]>][]
    this.edit(addSet(id), setMode(id, mode), captureReadings(id, pairs))
    for (const [key, word] of Object.entries({ ...observations, ...words }))
      this.edit(observe(id, key as keyof Observations, word as string))
    this.wait(10)
  }
}

/** Enters everything up to the work. */
export function enter(given: WholeJob): Technician {
  const one = new Technician(given.plate)
  one.edit(setPlate(given.plate), setArrival(given.arrival ?? {}))
  given.sets.forEach((set, i) =>
    one.measure(set, `found-${i + 1}`, i === given.sets.length - 1 ? given.words : {}),
  )
  for (const fault of given.faults) {
    one.edit(setShown(fault, { how: 'seen', who: 'the technician' }), decide(fault, undefined))
    for (const cause of given.causes ?? []) one.edit(toggleCause(fault, cause))
  }
  one.edit(
    ...(given.also ?? []),
    setRepair(given.repair ?? {}),
    setDay({ start: '2026-12-01T07:00', ...given.day }),
    setQuote({
      askedAt: '2026-12-01T07:00',
      answer: 'given',
      answeredAt: '2026-12-01T07:30',
      by: 'the owner',
    }),
  )
  return one
}

type Look = readonly [minute: number, ...values: (number | null)[]]
type Script = {
  readonly looks: readonly Look[]
  readonly marks?: readonly (readonly [minute: number, what: MarkKind])[]
}

const PSI = UNITS.psia.si

/** What one reads and types in a log of each kind so that its judge passes it, by the limits of this plan. */
const SCRIPTS: { readonly [P in LogPurpose]?: (plan: Plan, job: KnownJob, three: boolean) => Script } = {
  recovery: ({ recovery }, job) => {
    const air = siteAtmosphere(job.unit)
    const low = fromPascals(Math.min(recovery.depth.pascals, air) - 4000, 'psig', air)
    const out = recovery.guess.value / UNITS.lb.si
    return {
      looks: [
        [0, 90, 20],
        [20, low, 20 + out],
        [26, low, 20 + out],
      ],
      marks: [[20, 'stop']],
    }
  },
  'pressure-test': (plan, job) => {
    const target = testSetup(job.unit, plan).steps.at(-1)! / PSI
    return {
      looks: [
        [0, target, 75],
        [20, target, 75],
        [90, target, 75],
      ],
      marks: [[0, 'hold']],
    }
  },
  evacuation: (plan, _job, three) => {
    const depth =
      (vacuumLimits(plan.policy, isJudgedAsWet(plan.contamination)).target / UNITS.micron.si) * 0.7
    return three
      ? {
          looks: [
            [0, 20_000, null],
            [40, 1500, null],
            [80, 1400, null],
            [200, depth, null],
          ],
          marks: [
            [45, 'sweep'],
            [85, 'sweep'],
          ],
        }
      : {
          looks: [
            [0, 20_000, null],
            [40, depth, null],
          ],
        }
  },
  decay: (plan) => {
    const { minutes, target } = vacuumLimits(plan.policy, isJudgedAsWet(plan.contamination))
    const from = (target / UNITS.micron.si) * 0.6
    return {
      looks: [
        [0, from, null],
        [minutes / 2, from + 20, null],
        [minutes + 1, from + 25, null],
      ],
      marks: [[0, 'valve-shut']],
    }
  },
  'weigh-in': ({ charge, isPart }) => {
    const kg = isPart ? 0.1 : (charge?.total?.value ?? charge?.guess.value ?? 0.1)
    return {
      looks: [
        [0, 40],
        [12, 40 - kg / UNITS.lb.si],
      ],
    }
  },
}

const THREE = playing('three-pulls')

/** Types the log of a step from look to look. */
function keepLog(one: Technician, plan: Plan, { task }: SheetStep) {
  const purpose = taskRow(task.id).log
  const script = purpose && SCRIPTS[purpose]?.(plan, one.job, THREE.includes(task.id))
  if (!purpose || !script) return
  const id = `log-${task.id}-${one.job.logs.length}`
  const step = one.job.steps.findLast((each) => each.task === task.id)!.id
  const from = one.at
  one.edit(
    addLog({
      id,
      name: LOG_KINDS[purpose].name,
      step,
      startedAt: new Date(from).toISOString(),
      source: 'hand',
      purpose,
      channels: LOG_KINDS[purpose].channels.map(([key, unit]) => ({ key, unit })),
      looks: [],
    }),
  )
  const at = (minute: number) => ({ at: from + minute * MINUTE })
  for (const [minute, what] of script.marks ?? []) one.edit(markLog(id, { what }, at(minute)))
  for (const [minute, ...values] of script.looks) one.edit(addLook(id, values, at(minute)))
  one.edit(endTyped(id))
  one.wait(script.looks.at(-1)![0])
}

/** Every line of the first start: a part that is back on, or a tick. */
function goThroughList(one: Technician, { tasks }: Plan) {
  const lines = startLines({ unit: one.job.unit, tasks, state: unitState(one.job, effectsOf) })
  for (const { id, part } of lines)
    one.edit(part ? work.markTaken({ what: part, label: offLabel(part) }, 'back') : work.checkStart(id, true))
}

/** What else is done in a step before it is over. */
function handle(one: Technician, given: WholeJob, plan: Plan, { task }: SheetStep) {
  const { instruments, roles } = taskRow(task.id)
  if (instruments.includes('wiring') && !one.job.run?.wiring)
    one.edit(work.addLead({ wire: 'common, black', before: 'C', after: 'C' }))
  if (instruments.includes('bubbles')) one.edit(work.setBubbled(true))
  if (instruments.includes('bleed')) one.edit(work.setBled(true))
  if (instruments.includes('start-list')) goThroughList(one, plan)
  if (instruments.includes('start')) {
    one.wait(20)
    one.measure(given.after, `after-${one.job.readingSets.length}`)
    one.edit(work.setRun({ otherModeOn: '2026-12-08' }))
  }
  if (task.id === 'refit' || roles.includes('close'))
    for (const line of takenOffList({
      job: one.job,
      state: unitState(one.job, effectsOf),
      tasks: plan.tasks.map(({ id }) => id),
    }))
      if (line.state === 'off') one.edit(work.markTaken(line, 'back'))
}

/** Why no step can be begun. */
const stuck = ({ task, state, gates, vetoes, waitsFor }: SheetStep): string =>
  `${task.id} ${state}: ${[
    ...gates.filter(({ isOpen }) => !isOpen).map(({ name, missing }) => `${name}: ${missing.join(', ')}`),
    ...vetoes.map(({ sentence }) => sentence),
    ...(waitsFor.length > 0 ? [`waits for ${waitsFor.join(', ')}`] : []),
  ].join('; ')}`

/** A job that was worked through, and the steps in the order in which they were done. */
export type Driven = { readonly job: KnownJob; readonly done: readonly string[]; readonly plan: Plan }

/**
 * Works a job from its plan to its closing. A step is begun only when the sheet lets it: where none can be, the reasons are thrown.
 * @throws Error with the reasons of the sheet
 */
export function workThrough(one: Technician, given: WholeJob): Driven {
  const done: string[] = []
  const plan = one.plan()
  for (let count = 0; count < MOST_STEPS; count++) {
    const now = one.plan()
    const sheet = runSheet(workScene(one.job, now), one.at)
    if (sheet.isOver) {
      one.edit(setClosing({ proven: 'proven' }))
      return { job: one.job, done, plan }
    }
    const listed = sheet.steps.find(
      ({ state, gates }) =>
        state === 'blocked' && gates.some(({ id, isOpen }) => id === 'not-listed' && !isOpen),
    )
    if (listed) goThroughList(one, now)
    const next = sheet.steps.find(({ state }) => state === 'ready' || state === 'paused')
    if (!next && listed) continue
    if (!next)
      throw new Error(
        sheet.steps
          .filter(({ state }) => state !== 'done')
          .map(stuck)
          .join('\n'),
      )
    const { task } = next
    one.edit(beginTask(task, now.refrigerantPath.goesIn))
    one.wait(task.handsOn[1])
    keepLog(one, now, next)
    handle(one, given, now, next)
    if (task.unattended && taskRow(task.id).log === null) {
      one.edit(work.leaveStep(task.id))
      one.wait(task.unattended[1])
    }
    const again = runSheet(workScene(one.job, one.plan()), one.at).steps.find(
      (each) => each.task.id === task.id,
    )
    if (again && again.gates.some(({ isOpen }) => !isOpen)) throw new Error(`at its end ${stuck(again)}`)
    one.edit(work.finishStep(task.id))
    done.push(task.id)
  }
  throw new Error(`not over after ${MOST_STEPS} steps: ${done.join(', ')}`)
}
