import { instantOf } from '../base/units/instants'
import { type FaultId, isFault, isSuspect } from '../diagnosis/faults/faults'
import type { History, ToldFault } from '../diagnosis/faults/priors'
import type { Job } from '../record/job/job'
import type { Fix } from '../record/state/unit'
import type { ReadingSet } from '../record/readings/schema'
import type { Decision, ShownHow } from '../record/records/decision'

/** What of a job tells its history. */
export type HistoryRecords = Pick<Job, 'arrival' | 'decisions'> & Partial<Pick<Job, 'others'>>

const isNamed = (decision: Decision): decision is Decision & { fault: FaultId } =>
  decision.fault !== undefined && isSuspect(decision.fault) && isFault(decision.fault)

/** [practice] how far a verdict is believed before it is checked here, by who found it. */
const BELIEVED: Readonly<Record<Exclude<ShownHow, 'seen'>, Omit<ToldFault, 'fault'>>> = {
  'earlier-visit': { share: 0.85, because: 'measured on an earlier visit, not checked here yet' },
  'another-firm': { share: 0.6, because: 'the verdict of another firm, not checked here yet' },
}

/** Faults that were decided and repaired in earlier repairs of this job, or in this one before the set was taken. */
const repairedIn = (
  others: readonly Decision[],
  own: readonly Decision[],
  isRepaired: boolean,
): FaultId[] => [
  ...new Set(
    [...others, ...(isRepaired ? own : [])].flatMap((each) =>
      each.state === 'decided' && each.also === undefined && isNamed(each) ? [each.fault] : [],
    ),
  ),
]

/** Steps that look, prove or make ready, and leave every fault where it is. */
const CHANGES_NOTHING = /^(setUp|confirm|prove|lockOut|gainAccess|checkControls)/

/** When the last part of the repair was done, ms: what was found before it is no finding of what is read later. */
export function repairedAt(steps: Job['steps'], fixes: readonly Pick<Fix, 'at'>[]): number | undefined {
  const done = steps.flatMap(({ task, doneAt }) =>
    CHANGES_NOTHING.test(task) ? [] : (instantOf(doneAt) ?? []),
  )
  const all = [...done, ...fixes.map(({ at }) => at)]
  return all.length > 0 ? Math.max(...all) : undefined
}

/** Whether a set was taken after something was repaired. @param repairedAt ms; undefined where nothing was */
export function isAfterRepair(set: Pick<ReadingSet, 'at'>, repairedAt: number | undefined): boolean {
  const own = instantOf(set.at)
  return repairedAt !== undefined && own !== undefined && own >= repairedAt
}

/**
 * What is known beside the readings of a set: history from Arrive, what was seen, brought along and repaired before.
 * @param isRepaired whether the set was taken after the repair: what was decided is then what was repaired
 */
export function historyOf({ arrival, decisions, others }: HistoryRecords, isRepaired: boolean): History {
  const { previousBurnout, previousCompressor } = arrival ?? {}
  const shown = isRepaired ? [] : decisions.filter(isNamed).filter(({ shown }) => shown !== undefined)
  const seenFaults = shown.filter(({ shown }) => shown?.how === 'seen').map(({ fault }) => fault)
  const told = shown.flatMap(({ fault, shown }): ToldFault[] =>
    shown && shown.how !== 'seen' ? [{ fault, ...BELIEVED[shown.how] }] : [],
  )
  const repaired = repairedIn(others?.decisions ?? [], decisions, isRepaired)
  return {
    ...(previousBurnout === undefined ? {} : { previousBurnout }),
    ...(previousCompressor === undefined ? {} : { previousCompressor }),
    ...(seenFaults.length > 0 ? { seenFaults } : {}),
    ...(told.length > 0 ? { told } : {}),
    ...(repaired.length > 0 ? { repaired } : {}),
  }
}
