import { UNITS } from '../../base/units/units'
import { toSI } from '../../base/units/convert'
import type { Quantity } from '../../base/units/units'
import { innerAreaOf } from '../../physics/processes/tubes'
import type { UnitPlate } from '../../record/equipment/unit'

/** Lines beyond what the plate charge covers. SI. */
export type ExtraLine = {
  /** m; negative for lines shorter than the plate includes */
  readonly length: number
  /** inner areas, m2; 0 where the size is not known */
  readonly liquidArea: number
  readonly vapourArea: number
  /** inner volume of the extra length, m3; never negative */
  readonly volume: number
  /** what is missing to reckon it, in words */
  readonly missing: readonly string[]
}

/** [practice] many plates include 15 ft. */
const USUAL_INCLUDED = 15 * UNITS.ft.si

/** Lines beyond the plate, from what is written of the line set. */
export function extraLine({ lineSet }: Pick<UnitPlate, 'lineSet'>): ExtraLine {
  const area = (size: Quantity | undefined) => (size ? innerAreaOf(toSI(size)) : 0)
  const [liquidArea, vapourArea] = [area(lineSet?.liquid), area(lineSet?.vapour)]
  const length = lineSet?.length
    ? toSI(lineSet.length) - (lineSet.included ? toSI(lineSet.included) : USUAL_INCLUDED)
    : 0
  const hasLength = lineSet?.length !== undefined
  const missing = [
    ...(hasLength && !lineSet?.liquid ? ['size of the liquid line'] : []),
    ...(hasLength && !lineSet?.vapour ? ['size of the vapour line'] : []),
    ...(hasLength && !lineSet?.included ? ['length that the plate includes (15 ft assumed)'] : []),
  ]
  return {
    length,
    liquidArea,
    vapourArea,
    volume: Math.max(length, 0) * (liquidArea + vapourArea),
    missing,
  }
}
