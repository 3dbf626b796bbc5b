/** Core of a dryer: sieve for water, blend of sieve and alumina for acid too, alumina-rich after a burnout. */
export type DryerCore = 'sieve' | 'blend' | 'high-acid'
export type DryerPlace = 'liquid' | 'suction'

/**
 * One generic dryer. Figures are [memory], handbook 06: check the maker's sheet.
 * Water capacity is for a sieve-rich core at 75 F.
 */
export type DryerModel = {
  readonly id: string
  readonly place: DryerPlace
  readonly core: DryerCore
  readonly flow: 'one-way' | 'bi-flow'
  /** stands the working pressure of R-410A, R-32 and R-454B */
  readonly highPressure: boolean
  /** block volume, cubic inches, as it is sold */
  readonly block: number
  readonly line: string
  /** tons at 1 psi drop (liquid) or at the suction limit, R-22 */
  readonly tons: number
  /** grams of water */
  readonly waterR22: number
  readonly waterPOE: number
}

type Size = Pick<DryerModel, 'block' | 'line' | 'tons' | 'waterR22' | 'waterPOE'>

/** Handbook 06, generic sizes; tons are the upper figure of each row. */
const LIQUID_SIZES: readonly Size[] = [
  { block: 3, line: '1/4 in', tons: 2, waterR22: 1.5, waterPOE: 1.2 },
  { block: 5, line: '1/4-3/8 in', tons: 3, waterR22: 2.8, waterPOE: 2.2 },
  { block: 8, line: '3/8 in', tons: 5, waterR22: 5, waterPOE: 4 },
  { block: 16, line: '3/8-1/2 in', tons: 8, waterR22: 10, waterPOE: 8 },
  { block: 30, line: '1/2-5/8 in', tons: 12, waterR22: 19, waterPOE: 15 },
  { block: 41, line: '5/8-7/8 in', tons: 18, waterR22: 27, waterPOE: 21 },
]

/** Suction clean-up dryers by tons at the comfort limit of 2 psi. [memory] */
const SUCTION_SIZES: readonly Size[] = [
  { block: 16, line: '5/8-3/4 in', tons: 2.5, waterR22: 10, waterPOE: 8 },
  { block: 30, line: '3/4-7/8 in', tons: 5, waterR22: 19, waterPOE: 15 },
  { block: 48, line: '7/8-1 1/8 in', tons: 10, waterR22: 30, waterPOE: 24 },
]

const LIQUID_KINDS: readonly Pick<DryerModel, 'core' | 'flow' | 'highPressure'>[] = [
  { core: 'sieve', flow: 'one-way', highPressure: true },
  { core: 'blend', flow: 'one-way', highPressure: true },
  { core: 'high-acid', flow: 'one-way', highPressure: false },
  { core: 'high-acid', flow: 'one-way', highPressure: true },
  { core: 'blend', flow: 'bi-flow', highPressure: true },
]

const SUCTION_KINDS: readonly Pick<DryerModel, 'core' | 'flow' | 'highPressure'>[] = [
  { core: 'blend', flow: 'one-way', highPressure: true },
  { core: 'high-acid', flow: 'one-way', highPressure: true },
]

const models = (place: DryerPlace, sizes: readonly Size[], kinds: typeof LIQUID_KINDS): DryerModel[] =>
  sizes.flatMap((size) =>
    kinds.map((kind) => ({
      ...size,
      ...kind,
      place,
      id: `${place}-${size.block}-${kind.core}-${kind.flow}${kind.highPressure ? '-hp' : ''}`,
    })),
  )

/** The generic catalogue, smallest first. */
export const DRYER_CATALOGUE: readonly DryerModel[] = [
  ...models('liquid', LIQUID_SIZES, LIQUID_KINDS),
  ...models('suction', SUCTION_SIZES, SUCTION_KINDS),
]

/** [memory] an acid-rich core trades water for acid, handbook 06. */
export const HIGH_ACID_WATER_SHARE = 0.6
