import { SATURATION_NAMES } from '../../record/readings/saturationNames'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Derived } from '../../record/readings/derive'
import type { Mode } from '../../record/readings/schema'
import type { Measured, Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'
import { shownAtCoil, shownAtCompressor, shownSubcooling } from './shownFigures'
import type { TargetKey } from '../targets/target'

/** How a feature is shown: a temperature, a difference, a pressure drop or a share of a rating. */
export type FeatureKind = 'temperature' | 'temperatureDifference' | 'pressureDifference' | 'share'

export type FeatureRow = {
  readonly label: string
  readonly kind: FeatureKind
  readonly measure: (unit: UnitPlate, at: Snapshot, derived: Derived) => Measured | undefined
  /** readings without which the feature is missing; the first not yet taken is the one to ask for */
  readonly needs: readonly ReadingKey[]
  /** a stand-in: left out where one of these was measured, which says the same better */
  readonly insteadOf?: readonly FeatureKey[]
  /** what the value means in plain words, above and below its target */
  readonly high: string
  readonly low: string
}

function ampsShare(unit: UnitPlate, at: Snapshot): Measured | undefined {
  const rla = unit.power?.rla
  const amps = at.values.compressorAmps
  return rla && amps ? { value: amps.value / rla, error: amps.error / rla } : undefined
}

/** A split is written without its sign: what is cooled in summer is warmed in winter. */
function shownSplit(at: Snapshot, mode: Mode): Measured | undefined {
  const shown = at.values.splitShown
  return shown && at.mode === mode ? { value: Math.abs(shown.value), error: shown.error } : undefined
}

/** Condensing temperature from what the instrument shows over outdoor air, where no liquid pressure was written down. */
function condensingShown({ values }: Snapshot): Measured | undefined {
  const { overAmbientShown: over, outdoorAirTemp: air } = values
  return over && air && { value: air.value + over.value, error: Math.hypot(over.error, air.error) }
}

/** Continuous evidence, one row per target (handbook 04 columns, then the tells). */
const FEATURES = {
  evaporatingMean: {
    label: SATURATION_NAMES.evaporatingMean,
    kind: 'temperature',
    measure: (_unit, _at, derived) => derived.evaporatingMean,
    needs: ['suctionPressure'],
    high: 'the low side is not being pulled down',
    low: 'the evaporator is short of refrigerant or of warm air',
  },
  condensingMean: {
    label: SATURATION_NAMES.condensingMean,
    kind: 'temperature',
    measure: (_unit, at, derived) => derived.condensingMean ?? condensingShown(at),
    needs: ['liquidPressure'],
    high: 'the condenser cannot shed its heat',
    low: 'little heat reaches the condenser',
  },
  superheat: {
    label: 'Superheat at the compressor',
    kind: 'temperatureDifference',
    measure: (unit, at, derived) => derived.superheat ?? shownAtCompressor(unit, at),
    needs: ['suctionPressure', 'suctionLineTemp'],
    high: 'the evaporator runs dry early',
    low: 'liquid comes back toward the compressor',
  },
  evaporatorSuperheat: {
    label: 'Superheat at the evaporator',
    kind: 'temperatureDifference',
    measure: (unit, at, derived) => derived.evaporatorSuperheat ?? shownAtCoil(unit, at),
    needs: ['suctionPressure', 'evaporatorOutletTemp'],
    high: 'the valve lets too little through, or too little reaches it',
    low: 'the valve lets too much through',
  },
  subcooling: {
    label: 'Subcooling',
    kind: 'temperatureDifference',
    measure: (unit, at, derived) => derived.subcooling ?? shownSubcooling(unit, at),
    needs: ['liquidPressure', 'liquidLineTemp'],
    high: 'liquid is piling up ahead of something',
    low: 'there is too little liquid at the condenser outlet',
  },
  temperatureSplit: {
    label: 'Temperature split',
    kind: 'temperatureDifference',
    measure: (_unit, at, derived) => derived.temperatureSplit ?? shownSplit(at, 'cooling'),
    needs: ['returnAirTemp', 'supplyAirTemp'],
    high: 'little air passes the coil',
    low: 'the coil moves too little heat',
  },
  ampsShare: {
    label: 'Compressor amps',
    kind: 'share',
    measure: (unit, at) => ampsShare(unit, at),
    needs: ['compressorAmps'],
    high: 'the compressor works harder than it should',
    low: 'the compressor moves little gas',
  },
  dischargeLineTemp: {
    label: 'Discharge line',
    kind: 'temperature',
    measure: (_unit, at) => at.values.dischargeLineTemp,
    needs: ['dischargeLineTemp'],
    high: 'the compressor runs hot',
    low: 'the compressor is cooled by liquid or moves nothing',
  },
  liquidLineDrop: {
    label: 'Liquid-line drop',
    kind: 'temperatureDifference',
    measure: (_unit, _at, derived) => derived.liquidLineDrop,
    needs: ['liquidLineTemp', 'meteringInletTemp'],
    high: 'refrigerant expands on its way along the line',
    low: 'the line gains heat, or a clamp is off',
  },
  dryerDrop: {
    label: 'Dryer drop',
    kind: 'temperatureDifference',
    measure: (_unit, _at, derived) => derived.dryerDrop,
    needs: ['dryerInTemp', 'dryerOutTemp'],
    high: 'refrigerant expands inside the dryer',
    low: 'a clamp is off: repeat both',
  },
  reversingValveRise: {
    label: 'Reversing valve suction rise',
    kind: 'temperatureDifference',
    measure: (_unit, _at, derived) => derived.reversingValveRise,
    needs: ['rvSuctionInTemp', 'rvSuctionOutTemp'],
    high: 'hot gas crosses into suction inside the valve',
    low: 'a clamp is off: repeat both',
  },
  standingOverAmbient: {
    label: 'Standing saturation over ambient',
    kind: 'temperatureDifference',
    measure: (_unit, _at, derived) => derived.standingOverAmbient,
    needs: ['standingPressure', 'outdoorAirTemp'],
    high: 'there is air or another gas in the charge',
    low: 'no liquid is left, or it is another refrigerant',
  },
  suctionDryerDrop: {
    label: 'Suction dryer drop',
    kind: 'pressureDifference',
    measure: (_unit, _at, derived) => derived.suctionDryerDrop,
    needs: ['suctionDryerInPressure', 'suctionDryerOutPressure'],
    high: 'the suction dryer holds the gas back',
    low: 'a gauge is off: repeat both with one gauge',
  },
  waterRise: {
    label: 'Water rise',
    kind: 'temperatureDifference',
    measure: (_unit, _at, derived) => derived.waterRise,
    needs: ['waterInTemp', 'waterOutTemp'],
    high: 'too little water flows',
    low: 'little heat reaches the water',
  },
  temperatureRise: {
    label: 'Temperature rise',
    kind: 'temperatureDifference',
    measure: (_unit, at, derived) => derived.temperatureRise ?? shownSplit(at, 'heating'),
    needs: ['returnAirTemp', 'supplyAirTemp'],
    high: 'little air passes the coil',
    low: 'the coil gives too little heat',
  },
  liquidApproach: {
    label: 'Liquid line over outdoor air',
    kind: 'temperatureDifference',
    measure: (_unit, _at, derived) => derived.liquidApproach,
    needs: ['liquidLineTemp', 'outdoorAirTemp'],
    insteadOf: ['subcooling'],
    high: 'the condenser sheds too little heat, or liquid leaves it early',
    low: 'liquid stays long in the condenser, or little passes it',
  },
  suctionLineTemp: {
    label: 'Suction line',
    kind: 'temperature',
    measure: (_unit, at) => at.values.suctionLineTemp,
    needs: ['suctionLineTemp'],
    insteadOf: ['superheat'],
    high: 'little cold gas comes back',
    low: 'the gas comes back too cold, or liquid with it',
  },
  spaceTemp: {
    label: 'Space or box',
    kind: 'temperature',
    measure: (_unit, at) => at.values.boxTemp ?? at.values.returnAirTemp,
    needs: [],
    high: 'the load is still high: a valve stands wide open until it is pulled down',
    low: 'the space is already cold',
  },
} as const satisfies Record<TargetKey, FeatureRow>

export type FeatureKey = TargetKey
export const FEATURE_KEYS = Object.keys(FEATURES) as FeatureKey[]

/** The row seen without its literal types. */
export const featureRow = (key: FeatureKey): FeatureRow => FEATURES[key]
