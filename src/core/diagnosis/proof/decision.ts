import type { Job } from '../../record/job/job'
import type { ReadingSet } from '../../record/readings/schema'
import { assess } from '../evidence/assess'
import { isSuspect, type SuspectId } from '../faults/faults'
import { type Gate, judgeGate } from './gates'
import { gateIdOf } from '../faults/gateIds'

/**
 * What all sets of one mode put on record together; a later reading or word replaces an earlier one.
 * @param sets in the order in which they were taken; only those in the mode of the last count
 */
export function mergedSet(sets: readonly ReadingSet[]): ReadingSet {
  const mode = sets.at(-1)?.mode ?? 'cooling'
  const same = sets.filter((set) => set.mode === mode)
  return {
    mode,
    readings: Object.assign({}, ...same.map(({ readings }) => readings)),
    observations: Object.assign({}, ...same.map(({ observations }) => observations ?? {})),
  }
}

/** The sets that were taken before the repair was decided; all of them where nothing says when. */
export function setsBefore({ readingSets, decision }: Job): readonly ReadingSet[] {
  const decidedAt = decision?.at
  if (decidedAt === undefined) return readingSets
  const before = readingSets.filter(({ at }) => at === undefined || at <= decidedAt)
  return before.length > 0 ? before : readingSets
}

/** How a decision stands: on proof, on a written reason, or on neither. */
export type Standing = {
  readonly fault: SuspectId
  readonly gate: Gate | undefined
  readonly state: 'proven' | 'no-gate' | 'overridden' | 'not-proven'
}

/**
 * How the decision of a job stands; undefined where nothing is decided.
 * A part may be called condemned only when the state is proven or overridden.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function standingOf(job: Job): Standing | undefined {
  const fault = job.decision?.fault
  if (fault === undefined || !isSuspect(fault)) return undefined
  const id = gateIdOf(fault)
  if (id === undefined) return { fault, gate: undefined, state: 'no-gate' }
  const gate = judgeGate(id, assess(job.unit, mergedSet(setsBefore(job))))
  if (gate.met) return { fault, gate, state: 'proven' }
  return { fault, gate, state: job.decision?.override ? 'overridden' : 'not-proven' }
}
