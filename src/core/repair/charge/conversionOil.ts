import { type OilFamily, type RefrigerantName, refrigerantRow } from '../../physics/refrigerants/catalogue'
import { MOST_CHANGES } from '../cleanup/acid'

/** [practice] makers ask for this share of POE after a conversion from mineral oil; handbook 10. */
export const CONVERSION_SHARE = 0.95

/** Changes until the share of new oil is reached: each leaves a share of the old. @returns at most 6 */
export function changesForShare(share: number, left: number): number {
  let changes = 0
  for (let old = 1; 1 - old < share - 1e-12 && changes < MOST_CHANGES; old *= left) changes += 1
  return changes
}

/** Oil that suits a refrigerant in this circuit: the old one where it may stay. */
export function oilFor(refrigerant: RefrigerantName, old: OilFamily): OilFamily {
  const { oils } = refrigerantRow(refrigerant)
  return oils.includes(old) ? old : (oils[0] ?? old)
}
