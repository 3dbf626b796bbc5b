import type { Draft } from 'immer'
import { handMinutes } from '../job/hands'
import type { Job } from '../job/job'
import { latestPass, stepId } from '../job/passes'
import { idInRound } from '../job/idInRound'
import type { MappedLead, PumpSetup, Retest, Run, Trim } from '../records/run'
import type { StepRecord } from '../records/step'
import { LAST_TASK } from '../job/lastTask'
import { closeRound, putRefrigerant } from './roundEdits'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { taskKey } from '../records/tick'
import { type Edit, edit, put, putAll, type Stamp } from './edit'

type Values<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Several changes as one, one step of undo. */
export const together =
  (...edits: readonly Edit[]): Edit =>
  (job, stamp) =>
    edits.reduce((now, each) => each(now, stamp), job)

const newStep = (job: Draft<Job>, task: string): Draft<StepRecord> => ({
  id: stepId(job.round, task),
  task,
  spans: [],
})

/** Whether a step says anything; a further pass does by standing there. */
const says = ({ id: _id, task: _task, round: _round, spans, planned: _planned, ...rest }: StepRecord) =>
  spans.length > 0 || Object.values(rest).some((value) => value !== undefined)

/** Changes what is on record of a task, its latest pass; one that says nothing any more is taken away. */
const editStep = (
  task: string,
  change: (step: Draft<StepRecord>, now: string, job: Draft<Job>) => void,
): Edit =>
  edit((job, { now }) => {
    const known = latestPass(job.steps, task)
    const step = known ?? newStep(job, task)
    change(step, now, job)
    if (!known) job.steps.push(step)
    job.steps = job.steps.filter(says)
  })

const openSpan = (step: Draft<StepRecord>) => {
  const last = step.spans.at(-1)
  return last && last.to === undefined ? last : undefined
}

/** An end never lies before its beginning, however the clocks of two devices differ. */
const endOf = (from: string, at: string) => (Date.parse(at) < Date.parse(from) ? from : at)

function closeSpan(step: Draft<StepRecord>, at: string): void {
  const open = openSpan(step)
  if (open) open.to = endOf(open.from, at)
}

/** What is known of a task when it begins. */
type Beginning = {
  /** what goes into the circuit with it, where it charges */
  readonly refrigerant?: RefrigerantName | undefined
  /** the unit runs again with it */
  readonly starts?: boolean
  /** power is locked out with it: the crankcase heater has none any more */
  readonly locksOut?: boolean
}

/** A stretch in which the heater had power ends. */
function cutHeater(run: Draft<Run>, now: string): void {
  const open = run.heater?.find(({ to }) => to === undefined)
  if (open) open.to = endOf(open.from, now)
}

function noteBeginning(job: Draft<Job>, { refrigerant, starts, locksOut }: Beginning, now: string): void {
  if (refrigerant) putRefrigerant(job, refrigerant)
  if (locksOut && job.run) cutHeater(job.run, now)
  if (!starts) return
  job.repair ??= {}
  job.repair.startedAt ??= now
}

/** Its tick, and what it took, which the next estimate learns from. */
function markDone(job: Draft<Job>, step: Draft<StepRecord>, now: string): void {
  const { task } = step
  closeSpan(step, now)
  step.doneAt = now
  delete step.skipped
  const key = taskKey(task)
  if (task === LAST_TASK) closeRound(job, now)
  if (!job.ticks.some((each) => each.key === key)) job.ticks.push({ key, at: now })
  const actual = Math.round(handMinutes(step, Date.parse(now)))
  if (step.planned === undefined || actual < 1) return
  job.day ??= {}
  job.day.took = { ...job.day.took, [task]: { planned: step.planned, actual } }
}

/**
 * Somebody begins, or begins again, at a task. Another one that was worked on is left.
 * @param planned likely minutes of work
 */
export const beginStep = (task: string, planned: number, begun: Beginning = {}): Edit =>
  edit((job, { now }) => {
    const known = latestPass(job.steps, task)
    for (const step of job.steps) if (step !== known) closeSpan(step, now)
    const step = known ?? newStep(job, task)
    step.planned ??= planned
    delete step.doneAt
    delete step.skipped
    if (!openSpan(step)) step.spans.push({ from: now })
    if (!known) job.steps.push(step)
    noteBeginning(job, begun, now)
  })

/** A task that was done in another order than the sheet's, written down; whoever works on another one goes on. */
export const recordDone = (task: string, begun: Beginning = {}): Edit =>
  edit((job, { now }) => {
    const known = latestPass(job.steps, task)
    const step = known ?? newStep(job, task)
    if (!openSpan(step)) step.spans.push({ from: now })
    if (!known) job.steps.push(step)
    noteBeginning(job, begun, now)
    markDone(job, step, now)
  })

/**
 * A step that no plan knows.
 * @param task its id: what it does stands in it
 * @param after the task after which it stands in the list; undefined: at the end
 */
export const addOwnStep = (task: string, label: string, after: string | undefined): Edit =>
  edit((job) => {
    job.steps.push({ ...newStep(job, task), own: { label, ...(after ? { after } : {}) } })
  })

/** A step that no plan knows and for which a task of the plan waits. */
export const addStepBefore = (task: string, label: string, before: string): Edit =>
  edit((job) => {
    job.steps.push({ ...newStep(job, task), own: { label, before } })
  })

/** Takes a step of one's own away; one at which somebody worked stays on record. */
export const removeOwnStep = (task: string): Edit =>
  edit((job) => {
    job.steps = job.steps.filter(
      (step) =>
        step.task !== task || step.own === undefined || step.spans.length > 0 || step.doneAt !== undefined,
    )
  })

/**
 * A task is done once more: after a failed test, or because what it showed holds no longer. What the earlier pass showed
 * stays with it.
 */
export const repeatStep = (task: string): Edit =>
  edit((job, { now }) => {
    const known = latestPass(job.steps, task)
    if (!known) return
    closeSpan(known, now)
    const pass = (known.pass ?? 1) + 1
    const own = known.own ? { own: known.own } : {}
    job.steps.push({ id: stepId(job.round, task, pass), task, pass, calledAt: now, spans: [], ...own })
    job.ticks = job.ticks.filter(({ key }) => key !== taskKey(task))
  })

/** Takes a further pass back that was called for by mistake; one in which something was done stays. */
export const dropPass = (task: string): Edit =>
  edit((job, { now }) => {
    const last = latestPass(job.steps, task)
    if (!last || (last.pass ?? 1) < 2 || last.spans.length > 0) return
    job.steps = job.steps.filter((step) => step !== last)
    if (latestPass(job.steps, task)?.doneAt) job.ticks.push({ key: taskKey(task), at: now })
  })

/** Hands leave a task; it is not done. */
export const pauseStep = (id: string): Edit => editStep(id, closeSpan)

/** Hands leave a task that runs on unattended. */
export const leaveStep = (id: string): Edit =>
  editStep(id, (step, now) => {
    closeSpan(step, now)
    step.leftAt = now
  })

/** A task is done. */
export const finishStep = (task: string): Edit => editStep(task, (step, now, job) => markDone(job, step, now))

/** Takes back that a task is done or skipped. */
export const reopenStep = (task: string): Edit =>
  editStep(task, (step, _now, job) => {
    delete step.doneAt
    delete step.skipped
    job.ticks = job.ticks.filter(({ key }) => key !== taskKey(task))
    if (task === LAST_TASK) closeRound(job, undefined)
  })

/** A task is left out, with the reason. */
export const skipStep = (id: string, reason: string): Edit =>
  editStep(id, (step, now) => {
    closeSpan(step, now)
    delete step.doneAt
    step.skipped = { at: now, reason }
  })

/** What is to be remembered of a task. */
export const noteStep = (id: string, note: string): Edit =>
  editStep(id, (step) => put(step, 'note', note || undefined))

/** Puts a photo of the job to a task, or takes it off; the photo itself stays with the job. */
export const pinPhoto = (id: string, photo: string, on: boolean): Edit =>
  editStep(id, (step) => {
    const left = (step.photos ?? []).filter((each) => each !== photo)
    put(step, 'photos', on ? [...left, photo] : left.length > 0 ? left : undefined)
  })

/** Passes a gate with a written reason; an empty one takes that back. */
export const overrideGate = (id: string, gate: string, reason: string): Edit =>
  editStep(id, (step, now) => {
    const left = (step.overrides ?? []).filter((each) => each.gate !== gate)
    const all = reason ? [...left, { gate, reason, at: now }] : left
    put(step, 'overrides', all.length > 0 ? all : undefined)
  })

/** Changes what belongs to the work as a whole. */
const editRun = (change: (run: Draft<Run>, stamp: Stamp) => void): Edit =>
  edit((job, stamp) => {
    const run = { ...job.run }
    change(run, stamp)
    if (Object.keys(run).length > 0) job.run = run
    else delete job.run
  })

export const setRun = (values: Values<Run>): Edit => editRun((run) => putAll(run, values))

/** What the vacuum is pulled with. */
export const setPump = (values: Values<PumpSetup>): Edit =>
  editRun((run) => {
    const pump = { ...run.pump }
    putAll(pump, values)
    put(run, 'pump', Object.keys(pump).length > 0 ? pump : undefined)
  })

/** A point of the first start was gone through, or not. */
export const checkStart = (point: string, on: boolean): Edit =>
  editRun((run, { now }) => {
    const list: Record<string, string> = { ...run.startList }
    put(list, point, on ? now : undefined)
    put(run, 'startList', Object.keys(list).length > 0 ? list : undefined)
  })

/** Every joint was bubbled while it held, or not. */
export const setBubbled = (on: boolean): Edit =>
  editRun((run, { now }) => put(run, 'bubbledAt', on ? now : undefined))

/** The nitrogen was bled off to 0 psig, or not. */
export const setBled = (on: boolean): Edit =>
  editRun((run, { now }) => put(run, 'bledAt', on ? now : undefined))

/** The crankcase heater has power from now on, or has none any more. */
export const powerHeater = (on: boolean): Edit =>
  editRun((run, { now }) => {
    if (!on) return cutHeater(run, now)
    if (run.heater?.some(({ to }) => to === undefined)) return
    run.heater = [...(run.heater ?? []), { from: now }]
  })

const putWiring = (run: Draft<Run>, leads: readonly MappedLead[]) =>
  put(run, 'wiring', leads.length > 0 ? [...leads] : undefined)

/** One more lead of the wiring map: where it sits before it comes off. */
export const addLead = (lead: Omit<MappedLead, 'id'>): Edit =>
  editRun((run, { newId }) => putWiring(run, [...(run.wiring ?? []), { ...lead, id: newId() }]))

/** Types over what is known of a lead; a lead without a name is taken off the map. */
export const setLead = (id: string, values: Values<Omit<MappedLead, 'id'>>): Edit =>
  editRun((run) => {
    const leads = (run.wiring ?? []).map((lead) => {
      if (lead.id !== id) return lead
      const next = { ...lead }
      putAll(next, values)
      return next
    })
    putWiring(
      run,
      leads.filter(({ wire }) => wire),
    )
  })

/** A turn of the valve's stem; in is plus. */
export const addTurn = (turns: number): Edit =>
  editRun((run, { now, newId }) => {
    run.turns = [...(run.turns ?? []), { id: newId(), at: now, turns }]
  })

/** Takes a turn that was typed wrongly out of the list. */
export const removeTurn = (id: string): Edit =>
  editRun((run) => {
    const left = (run.turns ?? []).filter((each) => each.id !== id)
    put(run, 'turns', left.length > 0 ? left : undefined)
  })

/** One step of the trim, with what the circuit showed then. */
export const addTrim = (trim: Omit<Trim, 'id' | 'at'>): Edit =>
  editRun((run, { now, newId }) => {
    run.trims = [...(run.trims ?? []), { ...trim, at: now, id: newId() }]
  })
export const removeTrim = (id: string): Edit =>
  editRun((run) => {
    const left = (run.trims ?? []).filter((each) => each.id !== id)
    put(run, 'trims', left.length > 0 ? left : undefined)
  })

type RetestMoment = 'startedAt' | 'doneAt'
const editRetest = (row: RetestRow, change: (retest: Draft<Retest>, now: string) => void): Edit =>
  editRun((run, { now }) => {
    const known = (run.retests ?? []).find(({ id }) => id === row.id)
    const next: Draft<Retest> = { id: row.id, of: row.of, dueAt: row.dueAt, ...known }
    change(next, now)
    run.retests = [...(run.retests ?? []).filter(({ id }) => id !== row.id), next]
  })
type RetestRow = Pick<Retest, 'id' | 'of' | 'dueAt'>

/** A test after the first start begins, or is read; the first word of it writes the row. */
export const markRetest = (row: RetestRow, moment: RetestMoment): Edit =>
  editRetest(row, (retest, now) => {
    retest[moment] = now
  })

/** What a test after the first start said. */
export const setRetestResult = (row: RetestRow, result: string): Edit =>
  editRetest(row, (retest) => put(retest, 'result', result || undefined))

/** A line of the taken-off list: its name in the table, or its id where it was written by hand. */
type Off = { readonly what: string; readonly label: string }
/** Where something is that the work takes off. */
export type TakenState = 'off' | 'back' | 'stays'

/** Something came off, went back on, or stays where it is. */
export const markTaken = ({ what, label }: Off, state: TakenState): Edit =>
  edit((job, { now }) => {
    const known = job.takenOff.find((each) => each.what === what)
    const row = known ?? { id: idInRound(job.round, what), what, label }
    put(row, 'stays', state === 'stays' ? true : undefined)
    put(row, 'backAt', state === 'back' ? now : undefined)
    if (state === 'off') row.offAt = now
    if (!known) job.takenOff.push(row)
  })

/** Something that the plan does not name came off. */
export const addTaken = (label: string): Edit =>
  edit((job, { now, newId }) => {
    const id = `own-${newId()}`
    job.takenOff.push({ id, what: id, label, offAt: now })
  })

export const removeTaken = (what: string): Edit =>
  edit((job) => {
    job.takenOff = job.takenOff.filter((each) => each.what !== what)
  })
