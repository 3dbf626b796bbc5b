import { type Contamination, isAcid, isBurnout } from './contamination'

/** [memory] handbook 06 thresholds, mg KOH a gram of oil. */
const TAN_CLEAN = 0.05
const TAN_MILD = 0.1
const TAN_BURNOUT = 0.3
/** [practice] share of the old oil that one change leaves behind. */
const OIL_LEFT = 0.25
const MOST_CHANGES = 6

export type AcidLedger = {
  /** assumed total acid number before, mg KOH/g */
  readonly before: number
  readonly target: number
  readonly changes: number
  /** acid number after each change */
  readonly after: readonly number[]
}

/**
 * Oil changes until the acid number is below the target: smallest n with TAN0 x f^n < target.
 * @param before mg KOH/g, zero or more
 * @param left share of old oil after a change, 0 to below 1
 * @returns the number of changes, at most 6
 */
export function oilChangesFor(before: number, target: number, left: number = OIL_LEFT): number {
  let changes = 0
  for (let now = before; now >= target && changes < MOST_CHANGES; now *= left) changes += 1
  return changes
}

/** Acid before, and after each oil change. */
export function acidLedger(contamination: Contamination): AcidLedger {
  const before = isBurnout(contamination) ? TAN_BURNOUT : isAcid(contamination) ? TAN_MILD : 0
  const changes = oilChangesFor(before, TAN_CLEAN)
  const after = Array.from({ length: changes }, (_v, i) => before * OIL_LEFT ** (i + 1))
  return { before, target: TAN_CLEAN, changes, after }
}
