import { type Contamination, isAcid } from '../cleanup/contamination'
import type { Policy } from '../../record/policy/policy'
import type { UnitPlate } from '../../record/equipment/unit'
import { isFlammable } from '../../physics/refrigerants/catalogue'

export type RefrigerantPath = {
  readonly keep: string
  readonly recovered: 'reuse-in-same-equipment' | 'reclaim'
  readonly reasons: readonly string[]
}

/** What becomes of the refrigerant (handbook 10, 11): the plate's refrigerant stays; acid or water means reclaim. */
export function refrigerantPath(
  unit: UnitPlate,
  contamination: Contamination,
  acidNegative: boolean,
  policy: Policy,
): RefrigerantPath {
  const mayReturn = policy.recoveredRefrigerant === 'reuse-when-clean'
  const clean = contamination.class === 'clean' && acidNegative && !isAcid(contamination)
  const reusable = clean && mayReturn
  const listed = unit.listedFor && !unit.listedFor.includes(unit.refrigerant)
  return {
    keep: unit.refrigerant,
    recovered: reusable ? 'reuse-in-same-equipment' : 'reclaim',
    reasons: [
      reusable
        ? "clean class and a negative acid test: it may go back into the same owner's equipment"
        : clean
          ? 'by policy the recovered charge is not used again'
          : contamination.class === 'clean'
            ? 'no negative acid test on record: test before it is used again, else reclaim'
            : `class "${contamination.class}": not to be used again, into a cylinder of its own`,
      ...(listed ? [`the plate does not list ${unit.refrigerant}: check what is really in it`] : []),
      ...(isFlammable(unit.refrigerant)
        ? [`${unit.refrigerant} is flammable: only in equipment listed for it`]
        : []),
      'never top up with another refrigerant',
    ],
  }
}
