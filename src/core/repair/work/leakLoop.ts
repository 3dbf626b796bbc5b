import type { Edit } from '../../record/edits/edit'
import { addFoundLeak } from '../../record/edits/repairEdits'
import { addStepBefore, repeatStep, together } from '../../record/edits/workEdits'
import type { FoundLeak, LeakRepair } from '../../record/records/repair'
import { type AddedKind, ownRow, type OwnTaskId } from '../plan/tasks/own'

/** [practice] handbook 07: where one looks first after a hold that falls. */
export const LIKELY_PLACES = [
  'a joint made today',
  'a tube that was moved',
  'a valve that got hot',
  'a core, stem or cap',
  'a flare',
] as const

/** What each way of repairing it does to the circuit. */
const DOES: Readonly<Record<LeakRepair, { readonly kind: AddedKind; readonly what: string }>> = {
  brazed: { kind: 'flame', what: 'Braze it again, nitrogen flowing' },
  tightened: { kind: 'opens', what: 'Tighten it, or change its seal' },
  replaced: { kind: 'flame', what: 'Replace the part, nitrogen flowing' },
}

/**
 * A failed hold opens a loop (handbook 07): bleed, repair, sweep, then the test from its first step; what the earlier pass showed
 * stays with it, part and joints join the plan.
 */
export function openLeakLoop(leak: Omit<FoundLeak, 'at'>): Edit {
  const { kind, what } = DOES[leak.repair]
  const before = (task: OwnTaskId, label: string) => addStepBefore(task, label, 'pressureTest')
  const [bleed, sweep] = [`own-bleed-${leak.id}`, `own-sweep-${leak.id}`] as const
  return together(
    addFoundLeak(leak),
    before(bleed, ownRow(bleed).label),
    before(`own-${kind}-${leak.id}`, `${what}: ${leak.place}; wipe the oil off`),
    before(sweep, ownRow(sweep).label),
    repeatStep('pressureTest'),
    repeatStep('bubbleJoints'),
  )
}
