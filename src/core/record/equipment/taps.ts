import { hasReversingValve, isBoxKind, isThreePhase, hasWaterCoil } from './kinds'
import type { Mode } from '../readings/schema'
import type { ReadingKey } from '../readings/vocabulary'
import type { UnitPlate } from './unit'

type TapGroup = { readonly keys: readonly ReadingKey[]; readonly fits: (unit: UnitPlate) => boolean }

/** Taps in the order in which a technician takes them; a group that does not fit the unit is left out. */
const GROUPS: readonly TapGroup[] = [
  { keys: ['suctionPressure', 'liquidPressure', 'suctionLineTemp', 'liquidLineTemp'], fits: () => true },
  { keys: ['outdoorAirTemp'], fits: (unit) => !hasWaterCoil(unit) || unit.kind === 'pool-heat-pump' },
  { keys: ['waterInTemp', 'waterOutTemp'], fits: hasWaterCoil },
  { keys: ['boxTemp'], fits: isBoxKind },
  {
    keys: ['returnAirTemp', 'returnAirWetBulb', 'supplyAirTemp'],
    fits: (unit) => !isBoxKind(unit) && unit.kind !== 'pool-heat-pump',
  },
  { keys: ['dryerInTemp', 'dryerOutTemp', 'meteringInletTemp', 'dischargeLineTemp'], fits: () => true },
  { keys: ['evaporatorOutletTemp'], fits: (unit) => unit.metering === 'txv' || unit.metering === 'eev' },
  {
    keys: ['rvSuctionInTemp', 'rvSuctionOutTemp', 'rvDischargeTemp', 'rvHotOutTemp', 'solenoidVolts'],
    fits: hasReversingValve,
  },
  { keys: ['compressorAmps'], fits: () => true },
  {
    keys: ['standingPressure', 'dryerOutPressure', 'suctionDryerInPressure', 'suctionDryerOutPressure'],
    fits: () => true,
  },
]

/** Figures that some instruments show themselves; many technicians write only these [practice]. */
export const SHOWN_TAPS: readonly ReadingKey[] = [
  'superheatShown',
  'subcoolingShown',
  'splitShown',
  'overAmbientShown',
]
/** Settings that stand in the list beside the drawing: of the low-pressure control of a box. */
export const settingTapsOf = (unit: UnitPlate): readonly ReadingKey[] =>
  isBoxKind(unit) ? ['lowCutIn', 'lowCutOut'] : []

/** Where the sides do not read the same, each is its own statement. */
const SIDES: readonly ReadingKey[] = ['standingSuctionPressure', 'standingLiquidPressure']

/** What a circuit at rest tells, first of all. */
const AT_REST: readonly ReadingKey[] = [
  'standingPressure',
  'outdoorAirTemp',
  'boxTemp',
  'returnAirTemp',
  'waterInTemp',
]

/** Readings worth taking on this unit, in walking order; on a unit that stands, what a circuit at rest tells comes first. */
export function tapsOf(unit: UnitPlate, mode: Mode = 'cooling'): ReadingKey[] {
  const all = GROUPS.filter((group) => group.fits(unit)).flatMap((group) => [...group.keys])
  if (mode !== 'off') return all
  const [standing, ...rest] = AT_REST.filter((key) => all.includes(key))
  const first = [standing as ReadingKey, ...SIDES, ...rest]
  return [...first, ...all.filter((key) => !first.includes(key))]
}

const hasVolts3: readonly ReadingKey[] = ['voltageL1L2', 'voltageL2L3', 'voltageL3L1']

/** Electrical readings worth taking on this unit, in the order of the bench. */
export const electricalTapsOf = (unit: UnitPlate): ReadingKey[] => {
  const three = isThreePhase(unit)
  return [
    ...(three ? hasVolts3 : (['voltageL1L2'] as const)),
    'voltageRunning',
    ...(three ? (['ampsL1', 'ampsL2', 'ampsL3'] as const) : []),
    'inrushAmps',
    ...(three ? (['ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'] as const) : (['ohmsCR', 'ohmsCS', 'ohmsRS'] as const)),
    'ohmsToGround',
    ...(three ? [] : (['runCapacitance'] as const)),
    'contactorVoltageDrop',
    'crankcaseHeaterAmps',
    ...(hasReversingValve(unit) ? (['solenoidVoltsNoLoad', 'solenoidOhms'] as const) : []),
  ]
}
