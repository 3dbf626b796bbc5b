import type { UnitPlate } from '../../record/equipment/unit'
import type { ReadingSet } from '../../record/readings/schema'
import { assess, type Assessment } from './assess'
import type { BranchWord } from './branchWords'

/** Superheat so many half widths above its band is a starved branch. */
const STARVED = 1

/** Whether a branch is starved by its superheat; undefined where none was taken. */
function isStarved({ judged }: Pick<Assessment, 'judged'>): boolean | undefined {
  const found = judged.evaporatorSuperheat ?? judged.superheat
  return found && (found.measured.value - found.target.value) / found.target.tolerance > STARVED
}

/** The latest set of every other branch in the same mode. */
function otherBranches(set: ReadingSet, all: readonly ReadingSet[]): ReadingSet[] {
  const latest = new Map<number, ReadingSet>()
  for (const each of all) {
    if (each.branch !== undefined && each.branch !== set.branch && each.mode === set.mode)
      latest.set(each.branch, each)
  }
  return [...latest.values()]
}

/**
 * One starved branch among good ones is its own valve; all of them starved is the line or the charge (handbook 02).
 * @returns undefined where fewer than two branches have a superheat
 */
export function branchWord(
  unit: UnitPlate,
  own: Assessment,
  set: ReadingSet,
  all: readonly ReadingSet[],
): BranchWord | undefined {
  const self = isStarved(own)
  if (set.branch === undefined || self === undefined) return undefined
  const others = otherBranches(set, all).flatMap((each) => isStarved(assess(unit, each)) ?? [])
  if (others.length === 0) return undefined
  const starved = others.filter(Boolean).length
  if (self) return starved === others.length ? 'all-starved' : 'only-this-starved'
  return starved === 0 ? 'all-sound' : 'another-starved'
}
