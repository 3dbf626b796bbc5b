import { hasReversingValve, isBoxKind, isThreePhase } from './kinds'
import type { Plate, UnitPlate } from './unit'

/** Figures and facts that the plate or the machine of some kinds shows. */
export type PlateField =
  | 'seer'
  | 'lineSet'
  | 'runCapacitor'
  | 'receiver'
  | 'headPressureControl'
  | 'accumulator'
  | 'crankcaseHeater'
  | 'heatRejection'
  | 'targetSubcooling'

const COMFORT: readonly UnitPlate['kind'][] = [
  'split-ac',
  'package-ac',
  'split-heat-pump',
  'package-heat-pump',
]
const SPLIT: readonly UnitPlate['kind'][] = [
  'split-ac',
  'split-heat-pump',
  'walk-in-cooler',
  'walk-in-freezer',
  'other',
]

const FITS: Readonly<Record<PlateField, (unit: UnitPlate) => boolean>> = {
  seer: ({ kind }) => COMFORT.includes(kind),
  lineSet: ({ kind }) => SPLIT.includes(kind),
  runCapacitor: (unit) => !isThreePhase(unit),
  receiver: (unit) => isBoxKind(unit) || unit.kind === 'other',
  headPressureControl: (unit) => isBoxKind(unit) || unit.kind === 'other',
  accumulator: (unit) => hasReversingValve(unit) || isBoxKind(unit) || unit.kind === 'other',
  crankcaseHeater: ({ kind }) => kind !== 'reach-in',
  heatRejection: ({ kind }) => kind !== 'pool-heat-pump',
  targetSubcooling: ({ metering }) => metering === 'txv' || metering === 'eev',
}

/** What is asked of a unit first, beside kind, refrigerant and metering device. */
type FirstField = 'nominalTons' | 'factoryCharge' | 'setpoint' | 'receiver' | 'heatRejection'

const COMFORT_FIRST = ['nominalTons', 'factoryCharge'] as const
const BOX_FIRST = ['setpoint', 'receiver'] as const
const FIRST: { readonly [K in UnitPlate['kind']]?: readonly FirstField[] } = {
  'water-source-heat-pump': ['nominalTons', 'heatRejection'],
  'walk-in-cooler': BOX_FIRST,
  'walk-in-freezer': BOX_FIRST,
  'reach-in': ['setpoint', 'factoryCharge'],
}

/** The two things that decide most on a unit of this kind, once kind, refrigerant and metering device are known. */
export const firstAsked = ({ kind }: Pick<Plate, 'kind'>): readonly FirstField[] =>
  (kind && FIRST[kind]) ?? COMFORT_FIRST

/** Whether a kind of unit is asked for this; a value that is there is always shown. */
export const asksFor = (unit: UnitPlate, field: PlateField): boolean =>
  FITS[field](unit) || (unit as Record<string, unknown>)[field] !== undefined
