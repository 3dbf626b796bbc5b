import { hasReversingValve, isBoxKind, isThreePhase } from './kinds'
import type { UnitPlate } from './unit'

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

/** Whether a kind of unit is asked for this; a value that is there is always shown. */
export const asksFor = (unit: UnitPlate, field: PlateField): boolean =>
  FITS[field](unit) || (unit as Record<string, unknown>)[field] !== undefined
