import type { UnitKind } from '../record/equipment/unit'
import type { CompressorShape } from './compressorShapes'

/** Air or water that enters the two coils at the rating point, and what the coils then show. Temperatures in F. */
export type KindRow = {
  /** tons where the plate is silent */
  readonly tons: number
  /** air or box entering the evaporator: dry bulb, and wet bulb or humidity; water: entering temperature */
  readonly evaporatorAir: { readonly dry: number; readonly wet?: number; readonly humidity?: number }
  readonly condenserEntering: number
  /** entering air less the dew temperature of evaporating, F */
  readonly evaporatorDifference: number
  /** indoor or box air, cfm a ton */
  readonly evaporatorCfmPerTon: number
  readonly superheat: number
  /** with a fixed orifice or capillary, F */
  readonly fixedSuperheat: number
  /** superheat gained between coil and compressor at the rating point, F */
  readonly lineGain: number
  readonly subcooling: number
  /** condensing temperature beside what overAmbient.ts or the water gives, F */
  readonly condensingShift?: number
  /** refrigerant volume, litres a ton */
  readonly evaporatorVolume: number
  readonly condenserVolume: number
  readonly compressor: CompressorShape
  readonly lineLengthFeet: number
  /** fans, W a ton: evaporator and condenser */
  readonly evaporatorFan: number
  readonly condenserFan: number
}

/**
 * Comfort rating point 95 F outdoor, 80 F dry and 67 F wet indoor [std: AHRI 210/240]. Differences and superheats are the
 * middle of the bands of handbook 03 [practice]; volumes, line gains and fan powers [memory].
 */
const COMFORT: KindRow = {
  tons: 3,
  evaporatorAir: { dry: 80, wet: 67 },
  condenserEntering: 95,
  evaporatorDifference: 35,
  evaporatorCfmPerTon: 400,
  superheat: 10,
  // (3 x 67 - 80 - 95) / 2, less what the line gains
  fixedSuperheat: 12,
  lineGain: 3,
  subcooling: 10,
  evaporatorVolume: 1.0,
  condenserVolume: 1.7,
  compressor: 'scroll',
  lineLengthFeet: 25,
  evaporatorFan: 146,
  condenserFan: 70,
}
const PACKAGED: KindRow = { ...COMFORT, lineLengthFeet: 6, lineGain: 2 }
const COOLER: KindRow = {
  tons: 1.5,
  evaporatorAir: { dry: 35, humidity: 0.85 },
  condenserEntering: 95,
  evaporatorDifference: 10,
  evaporatorCfmPerTon: 2300,
  superheat: 10,
  fixedSuperheat: 8,
  lineGain: 14,
  subcooling: 5,
  evaporatorVolume: 2.2,
  condenserVolume: 2.4,
  compressor: 'semi-hermetic',
  lineLengthFeet: 40,
  evaporatorFan: 110,
  condenserFan: 110,
}

export const KINDS: Readonly<Record<Exclude<UnitKind, 'other'>, KindRow>> = {
  'split-ac': COMFORT,
  'package-ac': PACKAGED,
  'split-heat-pump': COMFORT,
  'package-heat-pump': PACKAGED,
  'water-source-heat-pump': {
    ...PACKAGED,
    tons: 2,
    condenserEntering: 85,
    condenserVolume: 1.1,
    condenserFan: 0,
  },
  'pool-heat-pump': {
    ...PACKAGED,
    tons: 5,
    // The pool is the condenser; outdoor air 80 F feeds the evaporator.
    evaporatorAir: { dry: 80, wet: 67 },
    condenserEntering: 80,
    evaporatorDifference: 18,
    evaporatorCfmPerTon: 1700,
    condenserVolume: 1.0,
    condenserFan: 0,
  },
  'walk-in-cooler': COOLER,
  'walk-in-freezer': {
    ...COOLER,
    tons: 1,
    evaporatorAir: { dry: 0, humidity: 0.85 },
    superheat: 6,
    lineGain: 19,
  },
  'reach-in': {
    ...COOLER,
    tons: 0.25,
    evaporatorAir: { dry: 38, humidity: 0.75 },
    condenserEntering: 90,
    evaporatorDifference: 14,
    evaporatorCfmPerTon: 1500,
    superheat: 8,
    lineGain: 16,
    evaporatorVolume: 1.6,
    condenserVolume: 1.3,
    compressor: 'reciprocating',
    lineLengthFeet: 5,
  },
}

/** Heating rating: source and room, F [std: AHRI 210/240 and ISO 13256 for water]; superheat and subcooling as in cooling. */
export const HEATING_RATING = {
  air: { source: 47, humidity: 0.73, room: 70 },
  water: { source: 68, humidity: 0, room: 70 },
} as const

/** Water through a condenser, gallons a minute a ton, and condensing over leaving water, F [practice]. */
export const WATER_FLOW_GPM_PER_TON = 3
export const POOL_FLOW_GPM_PER_TON = 8
export const OVER_LEAVING_WATER = 10
