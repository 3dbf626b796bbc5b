import type { ObservationKey } from './observations'
import type { ReadingKey } from './vocabulary'

/** The pairs of a motor's windings, by its phases. */
export function windingPairs(isThree: boolean): readonly ReadingKey[] {
  return isThree ? ['ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'] : ['ohmsCR', 'ohmsCS', 'ohmsRS']
}
/** Pairs of single-phase and three-phase motors. */
export const WINDING_KEYS: readonly ReadingKey[] = [...windingPairs(false), ...windingPairs(true)]

/** Settings, windings and parts on the meter: they stay true until something is repaired. */
export const LASTING_READINGS: readonly ReadingKey[] = [
  'lowCutIn',
  'lowCutOut',
  ...WINDING_KEYS,
  'ohmsToGround',
  'runCapacitance',
  'startCapacitance',
  'crankcaseHeaterOhms',
  'solenoidOhms',
]

/** What was looked at once and stays true while nothing was repaired. */
export const LASTING_WORDS: readonly ObservationKey[] = [
  'oilStain',
  'windingsMeasuredAt',
  'groundMeasuredAt',
  'groundInstrument',
  'groundPath',
  'terminalLook',
  'wiring',
  'orificeSize',
  'reliefPlug',
  'phaseSequence',
  'comesAndGoes',
]

/** Parts that were seen: what they are stays known on every later set of the repair. */
export const LASTING_FINDINGS: readonly ObservationKey[] = [
  ...LASTING_WORDS,
  'equalizerState',
  'inletScreen',
  'overheatedValve',
  'leadState',
  'compressorInside',
  'shaftTurns',
  'oilAppearance',
  'weighedCharge',
  'startGear',
  'hardStart',
]

/** Of one moment, but of no mode: the circuit at rest, the supply, one start, a heater. */
const MODELESS_READINGS: readonly ReadingKey[] = [
  'standingPressure',
  'standingSuctionPressure',
  'standingLiquidPressure',
  'voltageL1L2',
  'voltageL2L3',
  'voltageL3L1',
  'voltageRunning',
  'inrushAmps',
  'crankcaseHeaterAmps',
]

const ANY_MODE: ReadonlySet<string> = new Set([...LASTING_READINGS, ...MODELESS_READINGS])

/** Whether a reading says the same in every mode; all others belong to the mode in which they were read. */
export const isOfAnyMode = (key: string): boolean => ANY_MODE.has(key)
