import type { UnitKind } from '../../record/equipment/unit'

/** What is usual on a kind of unit where its plate is silent. [memory] */
export type SizeRow = {
  readonly tons: number
  /** charge, kg a ton, of R-410A-like density 1,060 kg/m3 at 75 F where told for comfort */
  readonly chargePerTon: number
  /** cooling a watt of power at its rating point */
  readonly performance: number
  /** mean evaporating temperature at its rating point, F */
  readonly evaporating: number
}

const COMFORT: SizeRow = { tons: 3, chargePerTon: 0.9, performance: 3.8, evaporating: 40 }

export const SIZE_ROWS: Readonly<Record<UnitKind, SizeRow>> = {
  'split-ac': COMFORT,
  'package-ac': COMFORT,
  'split-heat-pump': { ...COMFORT, chargePerTon: 1.1 },
  'package-heat-pump': COMFORT,
  'water-source-heat-pump': { ...COMFORT, chargePerTon: 0.6, performance: 4.5 },
  'pool-heat-pump': { ...COMFORT, tons: 5, performance: 4.5 },
  'walk-in-cooler': { tons: 1, chargePerTon: 4, performance: 2.4, evaporating: 20 },
  'walk-in-freezer': { tons: 1, chargePerTon: 6, performance: 1.3, evaporating: -10 },
  'reach-in': { tons: 0.15, chargePerTon: 3.4, performance: 1.6, evaporating: 20 },
  other: COMFORT,
}
