import type { ReadingKey } from '../readings/vocabulary'
import { hasReversingValve } from './reversing'
import type { UnitPlate } from './unit'

const BOXES = ['walk-in-cooler', 'walk-in-freezer', 'reach-in'] as const

const isBox = (unit: UnitPlate) => (BOXES as readonly string[]).includes(unit.kind)
const rejectsToWater = (unit: UnitPlate) =>
  unit.heatRejection === 'water' ||
  (unit.heatRejection === undefined && unit.kind === 'water-source-heat-pump')

type TapGroup = { readonly keys: readonly ReadingKey[]; readonly fits: (unit: UnitPlate) => boolean }

/** Taps in the order in which a technician takes them; a group that does not fit the unit is left out. */
const GROUPS: readonly TapGroup[] = [
  { keys: ['suctionPressure', 'liquidPressure', 'suctionLineTemp', 'liquidLineTemp'], fits: () => true },
  { keys: ['outdoorAirTemp'], fits: (unit) => !rejectsToWater(unit) },
  { keys: ['waterInTemp', 'waterOutTemp'], fits: rejectsToWater },
  { keys: ['boxTemp'], fits: isBox },
  { keys: ['returnAirTemp', 'returnAirWetBulb', 'supplyAirTemp'], fits: (unit) => !isBox(unit) },
  { keys: ['dryerInTemp', 'dryerOutTemp', 'meteringInletTemp', 'dischargeLineTemp'], fits: () => true },
  { keys: ['evaporatorOutletTemp'], fits: (unit) => unit.metering === 'txv' || unit.metering === 'eev' },
  {
    keys: ['rvSuctionInTemp', 'rvSuctionOutTemp', 'rvDischargeTemp', 'rvHotOutTemp', 'solenoidVolts'],
    fits: hasReversingValve,
  },
  { keys: ['compressorAmps'], fits: () => true },
  { keys: ['standingPressure', 'suctionDryerInPressure', 'suctionDryerOutPressure'], fits: () => true },
]

/** Readings worth taking on this unit, in walking order. */
export const tapsOf = (unit: UnitPlate): ReadingKey[] =>
  GROUPS.filter((group) => group.fits(unit)).flatMap((group) => [...group.keys])
