import { UNITS } from '../../base/units/units'

/**
 * What is taken where nobody wrote it, beside the rows by kind of unit (`sizeRows.ts`). Whatever is computed from one of these is
 * assumed and says so; a test halves and doubles each.
 */
export const USUAL: Readonly<Record<UsualId, number>> = {
  /** [memory] oil a ton, and what the smallest hermetic holds, m3 */
  oilPerTon: 0.0004,
  leastOil: 0.0002,
  /** [practice] length of line that many plates include, m */
  lineIncluded: 15 * UNITS.ft.si,
  /** [memory] hours for which a circuit was open that nobody knows: a day, a month, a year */
  openLow: 24,
  openLikely: 30 * 24,
  openHigh: 365 * 24,
  /** [memory] water that a cylinder of the 50 lb class holds, kg */
  cylinderWater: 21.6,
  /** [practice] tubes of a header that nobody counted */
  feederTubes: 6,
}
export type UsualId =
  | 'oilPerTon'
  | 'leastOil'
  | 'lineIncluded'
  | 'openLow'
  | 'openLikely'
  | 'openHigh'
  | 'cylinderWater'
  | 'feederTubes'
