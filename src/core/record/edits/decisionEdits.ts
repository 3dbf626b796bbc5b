import { decisionOn, UNKNOWN_CAUSE, unnamedNotes } from '../job/decisions'
import type { Job } from '../job/job'
import { idInRound } from '../job/idInRound'
import { type AlsoId, type Decision, type JudgedGate, type Shown, UNNAMED } from '../records/decision'
import { type Edit, edit, put } from './edit'

const editDecision = (fault: string, change: (decision: Decision) => void): Edit =>
  edit((job) => {
    const known = fault === UNNAMED ? unnamedNotes(job as Job) : decisionOn(job as Job, fault)
    const id = idInRound(job.round, fault)
    const decision: Decision = known ?? { id, state: 'draft', ...(fault === UNNAMED ? {} : { fault }) }
    change(decision)
    if (!known) job.decisions.push(decision)
    job.decisions = job.decisions.filter((each) => !isEmpty(each))
  })

/** A draft in which nothing is written says nothing. */
const isEmpty = ({ id: _id, fault: _fault, round: _round, state, causes, ...notes }: Decision) =>
  state === 'draft' && !causes?.length && Object.values(notes).every((value) => value === undefined)

/** Why a part is condemned without full proof; kept with its own fault, decided or not. */
export const setOverride = (fault: string, reason: string): Edit =>
  editDecision(fault, (decision) => put(decision, 'override', reason || undefined))

/** What stays of notes that name no fault when a fault is decided: their reason, which was written for none. */
const reasonOf = ({ id, state, override }: Decision): Decision[] =>
  override ? [{ id, state, override }] : []

/**
 * Decides to repair a fault: the gate as it is judged now is kept with it. Causes that were noted before anything had a
 * name go along; a reason is written for one fault and stays where it is.
 */
export const decide = (fault: string, gate: JudgedGate | undefined): Edit => {
  const decideIt = (now: string, notes: Decision | undefined) =>
    editDecision(fault, (decision) => {
      decision.state = 'decided'
      decision.at = now
      put(decision, 'gate', gate)
      // a reason is written for one fault: one that names none is nobody's
      const { causes, causesChecked } = notes ?? {}
      if (causes) decision.causes ??= causes
      if (causesChecked) decision.causesChecked ??= causesChecked
    })
  return (job, stamp) => {
    const notes = unnamedNotes(job)
    const others = notes
      ? { ...job, decisions: job.decisions.flatMap((each) => (each === notes ? reasonOf(notes) : each)) }
      : job
    return decideIt(stamp.now, notes)(others, stamp)
  }
}

/** Writes who showed a fault, how and when; a draft with it is a verdict to be checked. */
export const setShown = (fault: string, shown: Shown | undefined): Edit =>
  editDecision(fault, (decision) => put(decision, 'shown', shown))

/** Also replaces a part while the circuit is open, without a fault of its own; once more takes it back. */
export const toggleAlso = (part: AlsoId): Edit =>
  edit((job) => {
    const known = job.decisions.find(({ also }) => also === part)
    if (known) job.decisions = job.decisions.filter((each) => each !== known)
    else job.decisions.push({ id: idInRound(job.round, `also-${part}`), state: 'decided', also: part })
  })

/** Takes a decision back; reason and causes stay as a draft. */
export const takeBack = (fault: string): Edit =>
  editDecision(fault, (decision) => {
    decision.state = 'draft'
    delete decision.at
    delete decision.gate
  })

const oneAfterAnother =
  (edits: readonly Edit[]): Edit =>
  (job, stamp) =>
    edits.reduce((current, each) => each(current, stamp), job)

/** Decides several faults at once, as both of a pair. */
export const decideAll = (faults: readonly { fault: string; gate: JudgedGate | undefined }[]): Edit =>
  oneAfterAnother(faults.map(({ fault, gate }) => decide(fault, gate)))

/** Takes several decisions back at once. */
export const takeAllBack = (faults: readonly string[]): Edit => oneAfterAnother(faults.map(takeBack))

/** Chooses a cause of death or takes it away; "unknown" stands alone. */
export const toggleCause = (fault: string, cause: string): Edit =>
  editDecision(fault, (decision) => {
    const now = decision.causes ?? []
    const others = now.filter((each) => each !== cause && each !== UNKNOWN_CAUSE)
    const next = now.includes(cause)
      ? now.filter((each) => each !== cause)
      : cause === UNKNOWN_CAUSE
        ? [UNKNOWN_CAUSE]
        : [...others, cause]
    put(decision, 'causes', next.length > 0 ? next : undefined)
  })

/** The checks that were made where the cause stays unknown. */
export const setCausesChecked = (fault: string, text: string): Edit =>
  editDecision(fault, (decision) => put(decision, 'causesChecked', text || undefined))
