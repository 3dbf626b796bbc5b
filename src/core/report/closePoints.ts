import { isDecided, isReason } from '../record/job/decisions'
import { LAST_TASK } from '../record/job/lastTask'
import type { DecisionState } from '../diagnosis/proof/decisionState'
import { suspectLabel } from '../diagnosis/faults/faults'
import type { WorkGate } from '../repair/work/gates'
import type { GatePlace } from '../repair/work/gatePlaces'
import { replacedParts } from '../repair/work/replacedParts'
import { listed, lowerFirst } from './line'
import type { RoundScene } from './scene'
import { stepName } from './stepName'

/** A point that a job is closed by: what it asks, what it lacks, where that is done. */
export type ClosePoint = {
  readonly id: string
  readonly name: string
  readonly state: 'met' | 'overridden' | 'missing'
  /** what is not on record; empty where it is met */
  readonly missing: readonly string[]
  /** why it was passed all the same, as written */
  readonly override: string | undefined
  /** whether a written reason passes it: what must be chosen is chosen */
  readonly canOverride: boolean
  readonly place: ClosePlace | undefined
}

export type ClosePlace =
  GatePlace | { readonly at: 'close'; readonly field: 'proven' | 'returnOn' | 'recovered' | 'charged' }

/** How a repair stands at its end. */
export type Outcome = 'proven' | 'not-proven-today' | 'open'

type Row = Pick<ClosePoint, 'id' | 'name' | 'missing' | 'place'> & {
  readonly canOverride?: boolean
  /** passed at its step, in writing */
  readonly passed?: string | undefined
}

/** What each decision lacks of its proof; one that was decided in writing is passed with those words. */
function proofRow(states: readonly DecisionState[]): Row {
  const lacks = states.flatMap(({ fault, state, asked, gate, decision }) => {
    if (state === 'proven' || state === 'no-gate') return []
    const points = state === 'shown' ? asked : (gate?.missing ?? asked)
    if (points.length === 0) return []
    const what = `${lowerFirst(suspectLabel(fault))}: ${points.map(({ label }) => lowerFirst(label)).join('; ')}`
    return [{ what, reason: state === 'overridden' ? decision.override : undefined }]
  })
  const reasons = lacks.flatMap(({ reason }) => reason ?? [])
  return {
    id: 'proof',
    name: 'Proof of what was decided',
    missing: lacks.map(({ what }) => what),
    place: { at: 'stage', stage: 'diagnose' },
    passed: reasons.length > 0 && reasons.length === lacks.length ? reasons.join('; ') : undefined,
  }
}

/** A gate over all steps that it stands before: open, passed at each of them in writing, or missing. */
function gateRow(gates: readonly WorkGate[]): Row {
  const shut = gates.filter(({ isOpen }) => !isOpen)
  const [first] = gates as [WorkGate, ...WorkGate[]]
  const open = shut.filter(({ override }) => override === undefined)
  return {
    id: first.id,
    name: first.name,
    missing: [...new Set(shut.flatMap(({ missing }) => missing))],
    place: first.place,
    passed: open.length === 0 ? shut[0]?.override : undefined,
  }
}

/** The gates of the work, each once, in their order. */
function gateRows({ sheet, job }: RoundScene): Row[] {
  const all = sheet.steps.filter(({ state }) => state !== 'skipped').flatMap(({ gates }) => gates)
  const chosen = job.closing?.proven === 'not-proven-today' ? all.filter(({ id }) => id !== 'one-mode') : all
  return [...new Set(chosen.map(({ id }) => id))].map((id) =>
    gateRow(chosen.filter((gate) => gate.id === id)),
  )
}

/** [practice] so many are named, more are counted. */
const NAMED = 4
const fewOf = (names: readonly string[]): string =>
  names.length <= NAMED
    ? names.join('; ')
    : `${names.slice(0, NAMED - 1).join('; ')} and ${names.length - NAMED + 1} more`

function stepsRow({ sheet }: RoundScene): Row | undefined {
  const open = sheet.steps.filter(
    ({ state, task }) => state !== 'done' && state !== 'skipped' && task.id !== LAST_TASK,
  )
  if (sheet.steps.length === 0) return undefined
  const names = open.map(({ task, record }) => lowerFirst(stepName(task.id, record?.own?.label)))
  const first = open[0]
  return {
    id: 'steps',
    name: 'Every step',
    missing: open.length > 0 ? [`not done: ${fewOf(names)}`] : [],
    place: first && { at: 'step', task: first.task.id },
  }
}

/** Weights, where the whole circuit was emptied and filled. */
function weightRows({ job, answer: { plan } }: RoundScene): Row[] {
  if (!plan.opens || !isDecided(job)) return []
  // of a part only nobody weighs what stayed
  if (plan.isPart) return []
  const empties = plan.refrigerantPath.recovered !== 'nothing'
  const row = (field: 'recovered' | 'charged', name: string): Row => ({
    id: field,
    name,
    missing: job.closing?.[field] ? [] : [`the weight that was ${field}`],
    place: { at: 'close', field },
  })
  return [
    ...(empties ? [row('recovered', 'Recovered weight')] : []),
    ...(plan.charge ? [row('charged', 'Charged weight')] : []),
  ]
}

/** What leads the set after the repair. */
export type AfterLeader = { readonly label: string; readonly probability: number }

/** [practice] from this chance on a fault that leads after the repair is one that it shows. */
const SHOWN_FROM = 0.5

/** Proven is what shows nothing wrong: neither what was decided nor another fault leads after the repair. */
function stillThere({ answer, job }: RoundScene, leader: AfterLeader | undefined): Row[] {
  if (job.closing?.proven !== 'proven' || leader === undefined) return []
  const { label, probability } = leader
  const isDecidedOn = answer.decisionStates.some(({ fault }) => suspectLabel(fault) === label)
  const isFault = label !== suspectLabel('healthy')
  const isShown = isFault && (isDecidedOn || probability >= SHOWN_FROM)
  return [
    {
      id: 'still-there',
      name: 'Nothing wrong after the repair',
      missing: isShown ? [`${lowerFirst(label)} leads after the repair`] : [],
      place: { at: 'stage', stage: 'diagnose' },
    },
  ]
}

/** What was shown in the end: chosen by a person, never assumed; proven only by readings after the start. */
function provenRows({ job, sheet }: RoundScene): Row[] {
  const { proven, returnOn } = job.closing ?? {}
  const gates = sheet.steps.flatMap(({ gates }) => gates).filter(({ id }) => id === 'not-proven')
  const isMeasured = gates.length === 0 ? job.readingSets.length > 1 : gates.every(({ isOpen }) => isOpen)
  const chosen: Row = {
    id: 'proven',
    name: 'Proof under load',
    missing:
      proven === undefined
        ? ['the choice: proven under load, or not proven today']
        : proven === 'proven' && !isMeasured
          ? ['a set measured after the start: without it, choose “not proven today”']
          : [],
    place: proven === undefined ? { at: 'close', field: 'proven' } : { at: 'stage', stage: 'measure' },
    canOverride: false,
  }
  const booked: Row = {
    id: 'return',
    name: 'Return reading booked',
    missing: returnOn ? [] : ['the day of the return reading'],
    place: { at: 'close', field: 'returnOn' },
  }
  return proven === 'not-proven-today' ? [chosen, booked] : [chosen]
}

function replacedRow({ job, answer: { plan } }: RoundScene): Row[] {
  const isNamed = (job.closing?.replaced ?? replacedParts(job, plan).join('')) !== ''
  if (!isDecided(job) || !plan.opens) return []
  return [
    {
      id: 'replaced',
      name: 'What was replaced',
      missing: isNamed ? [] : ['what was replaced, or that nothing was'],
      place: undefined,
    },
  ]
}

/**
 * Everything that a job is closed by, judged anew from its records: the one judge of Close, of the report and of the tag.
 * @param leader the leading suspect of the set after the repair
 */
export function closePoints(scene: RoundScene, leader?: AfterLeader): ClosePoint[] {
  const { job, answer } = scene
  const decided: Row = {
    id: 'decided',
    name: 'Decision',
    missing: isDecided(job) ? [] : ['what is repaired is not decided'],
    place: { at: 'stage', stage: 'diagnose' },
    canOverride: false,
  }
  const rows = [
    decided,
    proofRow(answer.decisionStates),
    ...gateRows(scene),
    stepsRow(scene),
    ...weightRows(scene),
    ...replacedRow(scene),
    ...stillThere(scene, leader),
    ...provenRows(scene),
  ].filter((row) => row !== undefined)
  return rows.map((row) => pointOf(row, job.closing?.overrides ?? []))
}

function pointOf(
  { canOverride = true, passed, ...row }: Row,
  overrides: readonly { readonly point: string; readonly reason: string }[],
): ClosePoint {
  const own = overrides.find(({ point }) => point === row.id)?.reason
  const override =
    row.missing.length === 0 ? undefined : (passed ?? (canOverride && isReason(own) ? own : undefined))
  const state = row.missing.length === 0 ? 'met' : override === undefined ? 'missing' : 'overridden'
  return { ...row, canOverride, override, state }
}

/** How the repair stands: what is chosen counts only where no point is missing. */
export function outcomeOf({ job }: Pick<RoundScene, 'job'>, points: readonly ClosePoint[]): Outcome {
  const chosen = job.closing?.proven
  return chosen === undefined || points.some(({ state }) => state === 'missing') ? 'open' : chosen
}

/** Few points by their names, many by their number. */
function missingText(missing: readonly ClosePoint[]): string {
  if (missing.length > NAMED) return `${missing.length} points are`
  return `${listed(missing.map(({ name }) => lowerFirst(name)))} ${missing.length === 1 ? 'is' : 'are'}`
}

/** The same in words. */
export function outcomeText({ job }: Pick<RoundScene, 'job'>, points: readonly ClosePoint[]): string {
  const missing = points.filter(({ state }) => state === 'missing')
  const passed = points.filter(({ state }) => state === 'overridden').length
  const reasons =
    passed === 0 ? '' : `, ${passed} ${passed === 1 ? 'point' : 'points'} passed with a written reason`
  const returnOn = job.closing?.returnOn
  const WORDS: Readonly<Record<Outcome, string>> = {
    proven: `Proven under load${reasons}`,
    'not-proven-today': `Not proven today${returnOn ? `, return reading on ${returnOn}` : ''}${reasons}`,
    open: `Not closed: ${missingText(missing)} not on record`,
  }
  return WORDS[outcomeOf({ job }, points)]
}
