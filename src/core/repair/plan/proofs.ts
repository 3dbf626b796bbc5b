import type { KnownJob } from '../../record/job/job'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { gateIdOf } from '../../diagnosis/faults/faults'
import type { GateId } from '../../diagnosis/faults/gateIds'
import { judgeGate, type ShownWhere, whereShown } from '../../diagnosis/proof/gates'
import { recordOf } from '../../diagnosis/proof/record'
import { type DecisionState, decisionStatesOf } from '../../diagnosis/proof/decisionState'

/** Whether a fault may be planned as bought and opened, or must be proven first. */
export type Proof = {
  readonly fault: SuspectId
  readonly isFirst: boolean
  /** why it is proven first: suspected only, not proven yet, or it was seen or brought along and is checked again */
  readonly why: 'suspected' | 'gate-shut' | 'shown' | undefined
  /** points of its proof that are not on record */
  readonly missing: readonly string[]
  /** those of them that need the compressor's own terminals: read when the pressure is off */
  readonly atTerminals: readonly string[]
  /** those of them that only an opened circuit shows */
  readonly atOpening: readonly string[]
}

/** Whether something of it can be shown before the circuit is emptied. */
export const isProvenEarly = ({ missing, atTerminals, atOpening }: Proof): boolean =>
  missing.some((point) => !atTerminals.includes(point) && !atOpening.includes(point))

type Lines = readonly { readonly id: string; readonly label: string }[]

const labels = (all: Lines) => all.map(({ label }) => label)

/** What is not on record, and where each point of it can be shown. */
function points(gate: GateId | undefined, all: Lines): Pick<Proof, 'missing' | 'atTerminals' | 'atOpening'> {
  const of = (where: ShownWhere) =>
    gate ? labels(all.filter(({ id }) => whereShown(gate, id) === where)) : []
  return { missing: labels(all), atTerminals: of('terminals'), atOpening: of('opened') }
}
const NONE: Lines = []

function ofDecided({ fault, state, asked }: DecisionState): Proof {
  const isChecked = state === 'shown' && asked.length > 0
  const isFirst = state === 'not-proven' || isChecked
  return {
    fault,
    isFirst,
    why: isChecked ? 'shown' : isFirst ? 'gate-shut' : undefined,
    ...points(gateIdOf(fault), isFirst ? asked : NONE),
  }
}

/**
 * How each fault of a plan stands: one that is only suspected is never bought for, one that is not proven yet neither.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function proofsOf(job: KnownJob, faults: readonly SuspectId[]): Proof[] {
  const decisionStates = decisionStatesOf(job)
  return faults.map((fault): Proof => {
    const standing = decisionStates.find((each) => each.fault === fault)
    if (standing) return ofDecided(standing)
    if (fault === 'healthy') return { fault, isFirst: false, why: undefined, ...points(undefined, NONE) }
    const gate = gateIdOf(fault)
    const missing = gate ? judgeGate(gate, recordOf(job.unit, job.readingSets, {})).missing : []
    return {
      fault,
      isFirst: true,
      why: 'suspected',
      ...points(gate, missing),
    }
  })
}
