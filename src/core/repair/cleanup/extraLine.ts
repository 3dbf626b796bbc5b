import { type Basis, basisOf, fact, guess } from '../../base/known/known'
import { ENTRIES, type EntryId } from '../../base/known/entries'
import { toSI } from '../../base/units/convert'
import type { Quantity } from '../../base/units/units'
import { innerAreaOf } from '../../physics/processes/tubes'
import { isPipedOnSite } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { USUAL } from './usual'

/** Lines beyond what the plate charge covers. SI. */
export type ExtraLine = {
  /** m; negative for lines shorter than the plate includes */
  readonly length: number
  /** inner areas, m2; 0 where the size is not known */
  readonly liquidArea: number
  readonly vapourArea: number
  /** inner volume of the extra length, m3; never negative */
  readonly volume: number
  /** what is missing to calculate it, in words */
  readonly missing: readonly string[]
  /** whether its lines are written down, or taken as the plate includes them */
  readonly basis: Basis
}

/** What each missing entry of a line set is taken as. */
const TAKEN = {
  lineLength: 'lines as long as the plate includes, as their length is not entered',
  lineLiquid: 'nothing for a liquid line of unknown size',
  lineVapour: 'nothing for a vapour line of unknown size',
  lineIncluded: '15 ft of line in the plate charge',
} as const satisfies { readonly [E in EntryId]?: string }

/** Entries of the line set that are missing; a unit that is not piped on site has no lines beyond its plate. */
function missingOf(unit: Pick<UnitPlate, 'kind' | 'lineSet'>): (keyof typeof TAKEN)[] {
  const { length, liquid, vapour, included } = unit.lineSet ?? {}
  if (!length) return isPipedOnSite(unit) ? ['lineLength'] : []
  return [
    ...(liquid ? [] : (['lineLiquid'] as const)),
    ...(vapour ? [] : (['lineVapour'] as const)),
    ...(included ? [] : (['lineIncluded'] as const)),
  ]
}

/** Lines beyond the plate, from what is written of the line set. */
export function extraLine(unit: Pick<UnitPlate, 'kind' | 'lineSet'>): ExtraLine {
  const { lineSet } = unit
  const area = (size: Quantity | undefined) => (size ? innerAreaOf(toSI(size)) : 0)
  const [liquidArea, vapourArea] = [area(lineSet?.liquid), area(lineSet?.vapour)]
  const length = lineSet?.length
    ? toSI(lineSet.length) - (lineSet.included ? toSI(lineSet.included) : USUAL.lineIncluded)
    : 0
  const missing = missingOf(unit)
  return {
    length,
    liquidArea,
    vapourArea,
    volume: Math.max(length, 0) * (liquidArea + vapourArea),
    missing: missing.map((id) => ENTRIES[id]),
    basis: basisOf(fact('typed', 'line set'), ...missing.map((id) => guess(TAKEN[id], id))),
  }
}
