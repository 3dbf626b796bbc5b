import { type Contamination, isAcid } from '../cleanup/contamination'
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
): RefrigerantPath {
  const reusable = contamination.class === 'clean' && acidNegative && !isAcid(contamination)
  const listed = unit.listedFor && !unit.listedFor.includes(unit.refrigerant)
  return {
    keep: unit.refrigerant,
    recovered: reusable ? 'reuse-in-same-equipment' : 'reclaim',
    reasons: [
      reusable
        ? "clean class and a negative acid test: it may go back into the same owner's equipment"
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
