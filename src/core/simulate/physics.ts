import type { VoidLaw } from './twoPhase'

/**
 * Choices that a model of the circuit has to make and no plate tells. One set of them is one physics: the diagnosis is
 * learned from a family of such sets and judged on one that no book has seen (docs/simulator.md).
 */
export type Physics = {
  readonly voids: VoidLaw
  /** inner volumes against those of kinds.ts */
  readonly evaporatorVolume: number
  readonly condenserVolume: number
  readonly liquidLineVolume: number
  readonly accumulatorVolume: number
  /** loads of the outer groups of circuits of a coil against the mean, 0 for one ideal pipe */
  readonly loadSpread: number
  /** films of dry vapour in the evaporator, of hot gas and of liquid in the condenser, against two-phase films */
  readonly vapourFilm: number
  readonly gasFilm: number
  readonly liquidFilm: number
  /** power of the refrigerant's flow with which inner films grow; 0 where they do not */
  readonly filmExponent: number
  /** saturation lost inside the evaporator at rated flow, K */
  readonly coilLoss: number
  /** the design against the usual at its rating point: entering air over boiling, superheat, subcooling; condensing, F more */
  readonly evaporatorDifference: number
  readonly condensing: number
  readonly superheat: number
  readonly subcooling: number
  /** superheat gained in the suction line against the usual, and saturation lost in it, K */
  readonly lineGain: number
  readonly suctionLoss: number
  /** outer surface of the evaporator against the usual, how near a condenser brings its air, inner film against outer */
  readonly evaporatorDepth: number
  readonly condenserEffectiveness: number
  readonly innerToOuter: number
  /** opening of a valve at its rating point, its closed superheat as a share of the rated, and the power of its way */
  readonly ratedOpening: number
  readonly closedShare: number
  readonly openingExponent: number
  /** pressure at the throat of an orifice and of a capillary as a share of saturation, and its fall a kelvin of subcooling */
  readonly orificeThroat: number
  readonly capillaryThroat: number
  readonly throatFall: number
  /** dead volume, fall of efficiency and inner leak against compressorShapes.ts; share of its rise that warms suction gas */
  readonly clearance: number
  readonly efficiencyFall: number
  readonly innerLeak: number
  readonly suctionWarming: number
  /** of a compressor that does not pump, how much is lost stroke and not a leak */
  readonly lostStroke: number
  /** of air that is missing at a coil, how much comes with a fouled surface, 0 to 1 */
  readonly fouling: number
  /** share of the inner film that air in the condenser takes at full severity */
  readonly airFilmLoss: number
}

/** [memory] ordinary values: what demo jobs, examples and tests are computed with. */
export const USUAL_PHYSICS: Physics = {
  voids: { kind: 'slip', exponent: 1 / 3 },
  evaporatorVolume: 1,
  condenserVolume: 1,
  liquidLineVolume: 1,
  accumulatorVolume: 1,
  loadSpread: 0.06,
  vapourFilm: 0.2,
  gasFilm: 0.3,
  liquidFilm: 0.4,
  filmExponent: 0,
  coilLoss: 0,
  evaporatorDifference: 1,
  condensing: 0,
  superheat: 1,
  subcooling: 1,
  lineGain: 1,
  suctionLoss: 2 / 1.8,
  evaporatorDepth: 1,
  condenserEffectiveness: 0.65,
  innerToOuter: 3,
  ratedOpening: 0.62,
  closedShare: 0.55,
  openingExponent: 1,
  orificeThroat: 0.82,
  capillaryThroat: 0.7,
  throatFall: 0,
  clearance: 1,
  efficiencyFall: 1,
  innerLeak: 1,
  suctionWarming: 0,
  lostStroke: 0,
  fouling: 0,
  airFilmLoss: 0.25,
}
