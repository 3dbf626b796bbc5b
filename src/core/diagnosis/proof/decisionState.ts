import type { KnownJob } from '../../record/job/job'
import { decided, isReason } from '../../record/job/decisions'
import type { Decision, JudgedGate } from '../../record/records/decision'
import { isSuspect, type SuspectId } from '../faults/faults'
import { gateIdOf } from '../faults/faults'
import { type ProofGate, judgeGate } from './gates'
import { recordOf } from './record'

/** How a decision stands: on proof, on a written reason, on what was seen or brought along, or on none of them. */
export type DecisionState = {
  readonly fault: SuspectId
  readonly decision: Decision
  /** the gate as it was judged when it was decided */
  readonly gate: JudgedGate | undefined
  readonly state: 'proven' | 'no-gate' | 'overridden' | 'shown' | 'not-proven'
  /** points that are not on record and can be shown: what a state refuses now is not asked for again of a part that was seen or brought along */
  readonly asked: readonly { readonly id: string; readonly label: string }[]
}

const line = ({ id, label }: { id: string; label: string }) => ({ id, label })

/** A gate as it is kept with a decision. @param build the Orzo that judged it */
export const keptGate = (
  { gate, part, met, refused, missing, onRecord }: ProofGate,
  build: string,
): JudgedGate => ({
  gate,
  part,
  met,
  missing: [...refused.map((label, i) => ({ id: `refused-${i + 1}`, label })), ...missing.map(line)],
  onRecord: onRecord.map(line),
  build,
})

/** Said of a gate that was judged later than it was decided: the job comes from before gates were kept. */
const JUDGED_LATER = 'judged afterwards'

function judgedLater({ unit, readingSets }: KnownJob, fault: SuspectId, at?: string): ProofGate | undefined {
  const id = gateIdOf(fault)
  return id && judgeGate(id, recordOf(unit, readingSets, { at }))
}

function stateOf(gate: JudgedGate | undefined, { override, shown }: Decision): DecisionState['state'] {
  if (!gate) return 'no-gate'
  if (gate.met) return 'proven'
  if (isReason(override)) return 'overridden'
  return shown ? 'shown' : 'not-proven'
}

/** What was brought along is checked again: readings that came after the decision count for it. */
function ofShown(job: KnownJob, decision: Decision, fault: SuspectId): DecisionState {
  const now = judgedLater(job, fault)
  const gate = now && keptGate(now, decision.gate?.build ?? JUDGED_LATER)
  const asked = (now?.missing ?? []).filter(({ refused }) => refused === undefined).map(line)
  return { fault, decision, gate, state: stateOf(gate, decision), asked }
}

function ofFault(job: KnownJob, decision: Decision, fault: SuspectId): DecisionState {
  if (decision.shown) return ofShown(job, decision, fault)
  const later = decision.gate ? undefined : judgedLater(job, fault, decision.at)
  const gate = decision.gate ?? (later && keptGate(later, JUDGED_LATER))
  return { fault, decision, gate, state: stateOf(gate, decision), asked: gate?.missing ?? [] }
}

/**
 * How each decision of a job stands. A part may be called condemned only when the state is proven or overridden.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory and a gate was not kept
 */
export const decisionStatesOf = (job: KnownJob): DecisionState[] =>
  decided(job).flatMap((decision): DecisionState[] => {
    const { fault } = decision
    return isSuspect(fault) ? [ofFault(job, decision, fault)] : []
  })
