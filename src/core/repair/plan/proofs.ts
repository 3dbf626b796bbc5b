import type { KnownJob } from '../../record/job/job'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { gateIdOf } from '../../diagnosis/faults/faults'
import type { GateId } from '../../diagnosis/faults/gateIds'
import { judgeGate, needsTerminals } from '../../diagnosis/proof/gates'
import { recordOf } from '../../diagnosis/proof/record'
import { type DecisionState, decisionStatesOf } from '../../diagnosis/proof/decisionState'

/** Whether a fault may be planned as bought and opened, or must be proven first. */
export type Proof = {
  readonly fault: SuspectId
  readonly isFirst: boolean
  /** why it is proven first: suspected only, or its gate is shut */
  readonly why: 'suspected' | 'gate-shut' | undefined
  /** points of its proof that are not on record */
  readonly missing: readonly string[]
  /** those of them that need the compressor's own terminals: read when the pressure is off */
  readonly atTerminals: readonly string[]
}

type Lines = readonly { readonly id: string; readonly label: string }[]

const labels = (all: Lines) => all.map(({ label }) => label)
/** Points that are read where one stands over the terminals. */
const ofTerminals = (gate: GateId | undefined, all: Lines) =>
  gate ? labels(all.filter(({ id }) => needsTerminals(gate, id))) : []

function ofDecided({ fault, state, gate }: DecisionState): Proof {
  const isFirst = state === 'not-proven'
  return {
    fault,
    isFirst,
    why: isFirst ? 'gate-shut' : undefined,
    missing: isFirst ? labels(gate?.missing ?? []) : [],
    atTerminals: isFirst ? ofTerminals(gateIdOf(fault), gate?.missing ?? []) : [],
  }
}

/**
 * How each fault of a plan stands: one that is only suspected is never bought for, one whose gate is shut neither.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function proofsOf(job: KnownJob, faults: readonly SuspectId[]): Proof[] {
  const decisionStates = decisionStatesOf(job)
  return faults.map((fault): Proof => {
    const standing = decisionStates.find((each) => each.fault === fault)
    if (standing) return ofDecided(standing)
    if (fault === 'healthy') return { fault, isFirst: false, why: undefined, missing: [], atTerminals: [] }
    const gate = gateIdOf(fault)
    const missing = gate ? judgeGate(gate, recordOf(job.unit, job.readingSets, {})).missing : []
    return {
      fault,
      isFirst: true,
      why: 'suspected',
      missing: labels(missing),
      atTerminals: ofTerminals(gate, missing),
    }
  })
}
