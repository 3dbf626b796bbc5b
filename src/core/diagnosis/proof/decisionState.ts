import type { KnownJob } from '../../record/job/job'
import { decided, isReason } from '../../record/job/decisions'
import type { Decision, JudgedGate } from '../../record/records/decision'
import { isSuspect, type SuspectId } from '../faults/faults'
import { gateIdOf } from '../faults/faults'
import { type ProofGate, judgeGate } from './gates'
import { recordOf } from './record'

/** How a decision stands: on proof, on a written reason, or on neither. */
export type DecisionState = {
  readonly fault: SuspectId
  readonly decision: Decision
  /** the gate as it was judged when it was decided */
  readonly gate: JudgedGate | undefined
  readonly state: 'proven' | 'no-gate' | 'overridden' | 'not-proven'
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

function gateOf({ unit, readingSets }: KnownJob, { at }: Decision, fault: SuspectId): JudgedGate | undefined {
  const id = gateIdOf(fault)
  return id && keptGate(judgeGate(id, recordOf(unit, readingSets, { at })), JUDGED_LATER)
}

function stateOf(gate: JudgedGate | undefined, { override }: Decision): DecisionState['state'] {
  if (!gate) return 'no-gate'
  if (gate.met) return 'proven'
  return isReason(override) ? 'overridden' : 'not-proven'
}

/**
 * How each decision of a job stands. A part may be called condemned only when the state is proven or overridden.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory and a gate was not kept
 */
export const decisionStatesOf = (job: KnownJob): DecisionState[] =>
  decided(job).flatMap((decision): DecisionState[] => {
    const { fault } = decision
    if (!isSuspect(fault)) return []
    const gate = decision.gate ?? gateOf(job, decision, fault)
    return [{ fault, decision, gate, state: stateOf(gate, decision) }]
  })
